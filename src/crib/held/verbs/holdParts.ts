import { partWords, without } from '@/core/breakage';
import { LIMITS, mostOf } from '@/core/limits';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { insertHold, manyHoldsOfOperations, maybeBreakage } from '@/data/breakage';
import { maybeOperation } from '@/data/jobs';
import { maybePiece } from '@/data/stock';

/** Holds parts back until somebody decides of each; a part that is held already is not held twice. */
export const holdParts = defineVerb({
  name: 'holdParts',
  may: ['crib', 'planner', 'operator'],
  path: 'holds',
  summary:
    'Hold parts of an operation back, from a number to a number, until each is decided: good, rework or scrap.',
  properties: {
    operation: field.number,
    from: field.whole(1, 10_000_000),
    to: field.whole(1, 10_000_000),
    why: field.words(200),
    ending: { ...field.number, description: 'What broke, where that is why' },
    piece: { ...field.words(20), description: 'The cutter by which they were traced' },
  },
  required: ['operation', 'from', 'to', 'why'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const [first, last] = [toNumber(input.from), toNumber(input.to)];
    if (last < first || last > operation.partsMade)
      throw new Problem(
        'INVALID_INPUT',
        last < first
          ? `to: ${last} comes before ${first}`
          : `to: only ${operation.partsMade} parts of ${operation.job} are logged`,
        {
          field: 'to',
          value: last,
          limit: `${first} to ${operation.partsMade}`,
          wayOut: 'Parts are counted in the order they are logged; log those that are made first.',
        },
      );
    if (last - first >= LIMITS.heldParts.most)
      throw new Problem('INVALID_INPUT', `to: ${last - first + 1} parts are more than are held at once`, {
        field: 'to',
        value: last,
        limit: mostOf('heldParts'),
        wayOut: 'Hold them in several goes.',
      });
    const held = (await manyHoldsOfOperations(c, [operation.id])).filter(
      (h) => h.firstPart <= last && h.lastPart >= first,
    );
    const free = without(
      [{ first, last }],
      held.map((h) => ({ first: h.firstPart, last: h.lastPart })),
    );
    const [only] = free;
    if (held.length && (free.length !== 1 || only?.first !== first || only.last !== last))
      throw new Problem(
        'CONFLICT',
        `Of them are held already: ${held.map((h) => `${h.number} (${partWords([{ first: h.firstPart, last: h.lastPart }])})`).join(', ')}`,
        {
          field: 'from',
          value: first,
          limit: free.length ? partWords(free) : 'none is left',
          wayOut: free.length ? `Hold ${partWords(free)}.` : 'Decide of those.',
        },
      );
    const ending =
      input.ending === undefined
        ? null
        : found(await maybeBreakage(c, input.ending), 'ending', input.ending, 'breakage');
    const piece =
      input.piece === undefined
        ? null
        : found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    moment.leansOn(operation.entryId);
    moment.leansOn(ending?.entryId ?? null);
    const number = await nextNumber(c, 'hold', 'number', 'Q');
    await insertHold(c, moment.entryId, {
      ...{ number, operationId: operation.id, firstPart: first, lastPart: last, why: input.why.trim() },
      edgeSetId: ending?.edgeSetId ?? piece?.edgeSetId ?? null,
      endingId: ending?.entryId ?? null,
    });
    return { number, job: operation.job, from: first, to: last };
  },
  says: (a) => `${a.number}: ${partWords([{ first: a.from, last: a.to }])} of ${a.job} held`,
});
