import { worstGrade } from '@/core/because';
import { correctSize, FEATURES, type MeasuredFeature, type SizeCorrection } from '@/core/measuring';
import { namesOf } from '@/core/names';
import {
  asEntered,
  asRead,
  type CorrectionPlace,
  CORRECTION_PLACES,
  hasWear,
  isWear,
  judgeCorrection,
  registerNumber,
  whyOther,
} from '@/core/registers';
import { usableGauge } from '@/crib/devices';
import { defineVerb, field, found, maybeLength, Problem, toLength, toNumber } from '@/crib/door';
import { onItsMachine } from '@/crib/work';
import { maybeOperation } from '@/data/jobs';
import { insertSizeCorrection, insertSizeFeature } from '@/data/registers';
import { type MachineRow, maybeMachine } from '@/data/shop';
import { type SheetWith, sheetWithCards } from '../sheet';

const control = {
  type: 'string',
  minLength: 1,
  maxLength: 20,
  description: 'As the control shows it, in the machine’s own unit.',
} as const;
const MEASURED = namesOf(FEATURES).filter((k) => k !== 'same way');

/**
 * Sizes that were measured on a part, and what went into D and H for them. The change follows from the sizes and is never taken
 * as typed; what the control shows afterwards is read back, so that what is recorded is what is in it.
 */
export const recordCorrection = defineVerb({
  name: 'recordCorrection',
  may: ['crib', 'operator'],
  path: 'corrections',
  summary:
    'Record sizes measured on a part and the register they were corrected with: what is to be added follows from them, and what the control shows then is read back. With ‘stays’ nothing is entered: the register is proved as it is.',
  properties: {
    operation: field.number,
    t: field.whole(0, 9999),
    tag: field.words(20),
    features: {
      type: 'array',
      minItems: 1,
      maxItems: 20,
      items: {
        type: 'object',
        properties: {
          kind: field.choice(MEASURED),
          wanted: field.length(0.001, 99_999, 'The size on the drawing.'),
          measured: field.length(0.001, 99_999),
          least: field.length(0.001, 99_999, 'The limits of the size, where they are stated.'),
          most: field.length(0.001, 99_999),
        },
        required: ['kind', 'wanted', 'measured'],
        additionalProperties: false,
      },
    },
    place: {
      enum: CORRECTION_PLACES,
      description: 'Left out: as the machine’s figures say',
    },
    stays: { type: 'boolean', description: 'It is good as it is: nothing is entered' },
    ...{ hBefore: control, hAfter: control, dBefore: control, dAfter: control },
    gauge: { ...field.code, description: 'What the sizes were measured with, where it has a certificate' },
    despite: field.words(200),
  },
  required: ['operation', 't', 'features'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    onItsMachine(operation, moment.happenedAt);
    const machine = found(await maybeMachine(c, operation.machine), 'machine', operation.machine, 'machine');
    const t = toNumber(input.t);
    const at = lineAt(await sheetWithCards(c, machine, 'UTC'), t, operation.job, input.tag);
    const { card, row, corrections } = at;
    const features = input.features.map((f): MeasuredFeature => ({
      kind: f.kind,
      wanted: toLength(f.wanted).mm,
      measured: toLength(f.measured).mm,
      least: maybeLength(f.least)?.mm ?? null,
      most: maybeLength(f.most)?.mm ?? null,
    }));
    const cutBefore = card.life.minutes > 0 || corrections.length > 0;
    const moved = (['D', 'H'] as const).flatMap(
      (register) => correctSize(register, features, { school: machine.diameterSchool, cutBefore }) ?? [],
    );
    const swapped = moved.flatMap((x) => x.judgements).find((j) => j.code === 'LIMITS_SWAPPED');
    if (swapped)
      throw new Problem('INVALID_INPUT', swapped.words, {
        field: 'features',
        value: swapped.because.values[0]?.value,
        limit: 'least below most',
        wayOut: 'Enter the limits the other way round.',
      });
    const done = moved.map((correction) => {
      const name = correction.register === 'H' ? 'h' : 'd';
      return read(correction, {
        ...{ machine, at, corrections },
        place: placeOf(machine, correction.register, input.place),
        before: input[`${name}Before`] ?? null,
        after: input[`${name}After`] ?? null,
        stays: input.stays === true,
      });
    });
    const judgements = done.flatMap((x) => x.judgements);
    const asked = judgements.filter((j) => j.grade === 'question');
    if (asked.length && !input.despite)
      throw new Problem('REFUSED', asked.map((j) => j.words).join('. '), {
        field: 'despite',
        value: null,
        limit: 'somebody who looked, and says why',
        wayOut: 'Look at the edge and measure again; if it is right all the same, say why.',
      });
    const gauge =
      input.gauge === undefined
        ? null
        : await usableGauge(c, moment, 'gauge', input.gauge, ['bore gauge', 'micrometer']);
    moment.leansOn(operation.entryId);
    moment.leansOn(row.entryId);
    const last = corrections.at(-1);
    if (last) moment.leansOn(last.entryId);
    for (const x of done)
      await insertSizeCorrection(c, moment.entryId, {
        ...{ operationId: operation.id, machineId: machine.id, assemblyId: row.id, t },
        ...{ edgeSetId: row.edgeSetId, register: x.register, number: x.number, place: x.place },
        ...{ leftMm: x.leftMm, changeMm: x.changeMm, unit: machine.units },
        ...{ before: x.before, after: x.after, despite: asked.length ? (input.despite ?? null) : null },
        gaugeId: gauge?.id ?? null,
      });
    for (const [i, f] of features.entries())
      await insertSizeFeature(c, moment.entryId, {
        ...{ n: i + 1, kind: f.kind, wantedMm: f.wanted, measuredMm: f.measured },
        ...{ leastMm: f.least, mostMm: f.most },
      });
    return {
      tag: row.tag,
      t,
      machine: machine.code,
      grade: worstGrade(judgements),
      corrected: done.map(({ register, number, place, text, after }) => ({
        ...{ register: `${register}${number}`, place, change: text, after },
      })),
    };
  },
  says: (a) =>
    `${a.tag} on ${a.machine}: ${a.corrected.map((x) => `${x.place === 'wear' ? 'wear of ' : ''}${x.register} ${x.change}`).join(', ')}`,
});

type Standing = SheetWith & {
  card: NonNullable<SheetWith['card']>;
  row: NonNullable<SheetWith['row']>;
};

/** What stands on a T: the tag that is named, else what the job has tied to it. */
function lineAt(sheet: readonly SheetWith[], t: number, job: string, tag: string | undefined): Standing {
  const stands = (x: SheetWith): x is Standing => x.card !== null && x.row !== null && x.line.t === t;
  const wanted = tag?.toUpperCase();
  const at = sheet
    .filter(stands)
    .find((x) => (wanted === undefined ? x.line.jobs.includes(job) : x.line.tag === wanted));
  if (at) return at;
  throw new Problem('REFUSED', `${tag ?? 'Nothing'} is on T${t} here`, {
    field: tag === undefined ? 't' : 'tag',
    value: tag ?? t,
    limit: 'a tool that is tied to this T, or loaded under it',
    wayOut: 'Tie what is in the machine to its T first.',
  });
}

/** Where a correction goes: as said, else as the machine's figures have it. */
function placeOf(
  machine: MachineRow,
  register: 'H' | 'D',
  said: CorrectionPlace | undefined,
): CorrectionPlace {
  // Such a school holds its D in the register for wear: there is no other.
  if (register === 'D' && isWear(machine.diameterSchool)) return 'register';
  if (said) return said;
  const has = hasWear(machine);
  if (has !== null) return has ? 'wear' : 'register';
  throw new Problem('INVALID_INPUT', `Whether ${machine.code} has registers for wear: nobody said`, {
    field: 'place',
    value: null,
    limit: CORRECTION_PLACES.join(' or '),
    wayOut: 'Say where it was entered; stated with the machine’s figures it is not asked again.',
  });
}

/** A correction as it was entered: what was in the control, what was added, what is in it now. */
function read(
  correction: SizeCorrection,
  {
    machine,
    at,
    corrections,
    place,
    before: typed,
    after,
    stays,
  }: {
    machine: MachineRow;
    at: Standing;
    corrections: SheetWith['corrections'];
    place: CorrectionPlace;
    before: string | null;
    after: string | null;
    stays: boolean;
  },
) {
  const { register } = correction;
  const name = register === 'H' ? 'h' : 'd';
  const number = at.line.numbers[name];
  const called = `${place === 'wear' ? 'wear of ' : ''}${register}${number}`;
  for (const [which, text] of [
    ['Before', typed],
    ['After', after],
  ] as const)
    if (text !== null && registerNumber(text) === null)
      throw new Problem('INVALID_INPUT', `${called} ${which.toLowerCase()}: ${text} is no number`, {
        field: `${name}${which}`,
        value: text,
        limit: 'a number as the control shows it',
      });
  const had = at.had?.tag === at.row.tag ? at.had : null;
  const believed = (place === 'wear' ? had?.[`${name}Wear`] : had?.[name]) ?? null;
  const before = typed ?? believed;
  const { added: text, addedMm, after: wanted } = asEntered(stays ? 0 : correction.change, before, machine);
  // What was in it is never taken for nothing.
  if (before === null && !stays)
    throw new Problem('INVALID_INPUT', `${called}: what did it show before?`, {
      field: `${name}Before`,
      value: null,
      limit: 'as the control showed it',
      wayOut: `Nothing is recorded of ${called} yet: look at the control, then add ${text}.`,
    });
  if (after === null && !stays)
    throw new Problem('INVALID_INPUT', `${called}: what does it show now?`, {
      field: `${name}After`,
      value: null,
      limit: wanted ?? `${text} more than before`,
      wayOut: `Add ${text} to ${called}, and enter what the control shows then.`,
    });
  const why = after === null || wanted === null ? null : whyOther(after, wanted, machine);
  if (why !== null)
    throw new Problem('REFUSED', `${called} reads ${after}, it should be ${wanted}: ${why}`, {
      field: `${name}After`,
      value: after,
      limit: wanted ?? '',
      wayOut: `Nothing was recorded. ${before} and ${text} make ${wanted}: look at the control.`,
    });
  return {
    ...{ register, number, place, text, changeMm: addedMm },
    before: asRead(before ?? '', machine),
    leftMm: correction.left,
    after: asRead(after ?? before ?? '', machine),
    judgements: [
      ...correction.judgements,
      ...judgeCorrection({ register, left: stays ? null : correction.left }, corrections, {
        name: called,
        form: machine,
        before: typed,
        believed,
      }),
    ],
  };
}
