import { checkToolLine, cycleMinutes, type MachineTimes, type ToolLineFacts } from '@/core/jobs';
import { computation, part, type Computation } from '@/crib/door';

/** What is reckoned of a tool in its program. */
export const JOBS_COMPUTATIONS: readonly Computation[] = [
  computation<ToolLineFacts>(
    'jobs/check',
    'One T of a program against its assembly and machine.',
    part.shape(
      {
        t: { type: 'integer' },
        h: part.list({ type: 'integer' }),
        spindle: part.list(part.number),
        feeds: part.list(part.number),
        lowestFeedZ: part.orNull,
        highestBeside: part.orNull,
        passDepth: part.orNull,
        hEqualsT: { type: 'boolean' },
        machineRpmMax: part.orNull,
        machineFeedMax: part.orNull,
        assembly: {
          anyOf: [
            part.shape(
              { tag: part.text, stickout: part.positive, LCF: part.orNull, holderRpmMax: part.orNull },
              ['tag', 'stickout', 'LCF', 'holderRpmMax'],
            ),
            { type: 'null' },
          ],
        },
      },
      [
        't',
        'h',
        'spindle',
        'feeds',
        'lowestFeedZ',
        'highestBeside',
        'passDepth',
        'hEqualsT',
        'machineRpmMax',
        'machineFeedMax',
        'assembly',
      ],
    ),
    (i) => ({ judgements: checkToolLine(i) }),
  ),
  computation<MachineTimes & { cuttingS: number; rapidMm: number; changes: number }>(
    'jobs/cycle',
    'Minutes of one part: in the cut, rapid, tool changes.',
    part.shape(
      {
        cuttingS: { type: 'number', minimum: 0 },
        rapidMm: { type: 'number', minimum: 0 },
        changes: { type: 'integer', minimum: 0 },
        rapidMmMin: part.orNull,
        toolChangeS: part.orNull,
      },
      ['cuttingS', 'rapidMm', 'changes', 'rapidMmMin', 'toolChangeS'],
    ),
    (i) =>
      cycleMinutes(i.cuttingS, i.rapidMm, i.changes, {
        rapidMmMin: i.rapidMmMin,
        toolChangeS: i.toolChangeS,
      }),
  ),
];
