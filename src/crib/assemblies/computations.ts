import { assemblyOutline, expectedGaugeLength, judgeBuild, type Build } from '@/core/assemblies';
import { computation, part, type Computation } from '@/crib/door';

/** What is reckoned of a build. */
export const ASSEMBLIES_COMPUTATIONS: readonly Computation[] = [
  computation<Build>(
    'assemblies/judge',
    'Judgement of a build and its expected gauge length, mm.',
    part.shape(
      {
        ...part.buildOf,
        shank: part.shape({ form: part.textOrNull, takes: part.textOrNull }, ['form', 'takes']),
      },
      ['cutter', 'holder', 'stickout'],
    ),
    (b) => ({
      judgements: judgeBuild({ ...b, cutter: part.whole(b.cutter) }),
      expectedGaugeLength: expectedGaugeLength(b.holder.LF, b.stickout),
    }),
  ),
  computation<Build & { length?: number }>(
    'assemblies/outline',
    'Half outline hung from the gauge line, mm.',
    part.shape({ ...part.buildOf, length: part.positive }, ['cutter', 'holder', 'stickout']),
    (b) => assemblyOutline(part.whole(b.cutter), b.holder, b.stickout, b.length),
  ),
];
