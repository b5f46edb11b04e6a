import { CHANGE_BASES, perPartOf } from '@/core/jobs';
import { amountWords, type Measure, MEASURE_NAMES, MEASURES } from '@/core/life';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, maybeLength, maybeNumber, Problem, toNumber } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertChangeRule, manyChangeRules, manyPrograms, maybeOperation } from '@/data/jobs';
import { t } from '../toolNumber';

/** When the cutter of a T is changed: after so many parts or so much of its edge, whoever said why; or when a sign shows (left out). */
export const stateChange = defineVerb({
  name: 'stateChange',
  may: ['crib', 'planner'],
  path: 'change-rules',
  summary:
    'Say when the cutter of a T is changed: after so many parts, or so many holes, metres or minutes that its edge cut wherever, and by what that was chosen; or when a sign shows (all left out). And at which wear of its flank or a corner it counts as worn there, where that is another than usual.',
  properties: {
    operation: field.number,
    t,
    parts: field.whole(1, 1_000_000),
    amount: field.decimal(0.001, 1_000_000, 'So much of what its edge cut, wherever it did.'),
    counts: field.choice(MEASURE_NAMES),
    basis: field.choice(namesOf(CHANGE_BASES)),
    flank: field.length(0.005, 2, 'Flank wear at which it counts as worn on this T.'),
    corner: field.length(0.005, 2, 'Wear of a corner, or at one spot, at which it counts as worn on this T.'),
    /** The entry of the word it is said over, 0: none was. Left out: over whatever stands. */
    over: field.whole(0, 2_147_483_647),
  },
  required: ['operation', 't'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    if (input.over !== undefined) await mustBeOver(c, operation.id, toNumber(input.t), toNumber(input.over));
    const parts = maybeNumber(input.parts);
    const counted = countedOf(input.amount, input.counts);
    if (parts === null && counted === null && input.basis !== undefined)
      throw new Problem('INVALID_INPUT', 'parts: by what it was chosen is said of a number of parts', {
        field: 'parts',
        value: null,
        limit: 'a number of parts, or no basis',
        wayOut: 'Say after how many parts; or leave both out: it runs until a sign shows.',
      });
    if (parts !== null && counted !== null)
      throw new Problem(
        'INVALID_INPUT',
        'amount: it is changed after parts, or after what is counted, not after both',
        {
          field: 'amount',
          value: counted.amount,
          limit: 'parts or an amount',
          wayOut: 'Leave one of them out.',
        },
      );
    if (counted) await mustBeCounted(c, operation.id, toNumber(input.t), counted);
    const [flank, corner] = [maybeLength(input.flank), maybeLength(input.corner)];
    moment.leansOn(operation.entryId);
    await insertChangeRule(c, moment.entryId, {
      ...{ operationId: operation.id, t: toNumber(input.t), parts },
      ...{ basis: input.basis ?? null, amount: counted?.amount ?? null, counts: counted?.counts ?? null },
      ...{ flankMm: flank?.mm ?? null, flankEntered: flank?.entered ?? null },
      ...{ cornerMm: corner?.mm ?? null, cornerEntered: corner?.entered ?? null },
    });
    return {
      ...{ job: operation.job, t: toNumber(input.t), parts },
      after: counted && amountWords(counted.amount, counted.counts),
      ...{ flank: flank?.entered ?? null, corner: corner?.entered ?? null },
    };
  },
  says: (a) =>
    [
      `T${a.t} of ${a.job} ${whenIn(a)}`,
      ...(a.flank ? [`worn there at ${a.flank} of its flank`] : []),
      ...(a.corner ? [`at ${a.corner} of a corner`] : []),
    ].join(', '),
});

/** Refuses where somebody else said meanwhile when it is changed: the second of two does not undo the first unseen. */
async function mustBeOver(c: Connection, operationId: number, number: number, over: number): Promise<void> {
  const now = (await manyChangeRules(c, [operationId])).find((r) => r.t === number) ?? null;
  if ((now?.entryId ?? 0) === over) return;
  throw new Problem(
    'CONFLICT',
    now
      ? `${now.who} has said anew when T${number} is changed since you opened it`
      : `What was said of T${number} was taken back since you opened it`,
    {
      field: 't',
      value: number,
      limit: now ? `entry ${now.entryId} is in force` : 'nothing is in force',
      wayOut: 'Look at what stands now; then say it over that.',
    },
  );
}

/** An entry that was written before anything was counted says parts or nothing. */
const whenIn = ({ after, parts }: { after?: unknown; parts?: unknown }): string => {
  if (typeof after === 'string') return `is changed after ${after}`;
  return parts === null ? 'runs until a sign shows' : `is changed after ${String(parts)} parts`;
};

interface Counted {
  amount: number;
  counts: Measure;
}

/** An amount with what it counts; null: neither was said. */
function countedOf(said: string | number | undefined, counts: Measure | undefined): Counted | null {
  const amount = maybeNumber(said);
  if (amount === null && counts === undefined) return null;
  if (amount === null || counts === undefined)
    throw new Problem('INVALID_INPUT', `${amount === null ? 'amount' : 'counts'}: how much, and of what`, {
      field: amount === null ? 'amount' : 'counts',
      value: amount ?? null,
      limit: `an amount of ${MEASURE_NAMES.join(', ')}`,
      wayOut: 'Say both; or leave both out.',
    });
  return { amount, counts };
}

/** Refuses what nobody could count: by the program in force a part has none of it, or more than the whole amount. */
async function mustBeCounted(
  c: Connection,
  operationId: number,
  t: number,
  { amount, counts }: Counted,
): Promise<void> {
  const [program] = await manyPrograms(c, [operationId]);
  const tool = program?.tools.find((x) => x.t === t);
  const perPart = tool ? perPartOf(tool, counts) : null;
  const refuse = (words: string, wayOut: string) =>
    new Problem('REFUSED', words, {
      ...(perPart === null
        ? { field: 'counts', value: counts, limit: 'what its program counts' }
        : { field: 'amount', value: amount, limit: `${amountWords(perPart, counts)} or more` }),
      wayOut,
    });
  if (perPart === null)
    throw refuse(
      tool
        ? `T${t}: its program does not say how many ${MEASURES[counts].words} a part takes`
        : `T${t} is not called by a program that is stored, so nothing of it can be counted`,
      tool ? 'Count it in something else, or in parts.' : 'Store its program first, or say it in parts.',
    );
  if (amount < perPart)
    throw refuse(
      `T${t}: one part takes ${amountWords(perPart, counts)}, and it is never changed within a part`,
      `Say ${amountWords(perPart, counts)} or more.`,
    );
}
