import { FRAGMENT_STATES, isBreak, leavesFragments, SEEN_NAMES } from '@/core/breakage';
import { type Ending, ENDING_NAMES, ENDINGS } from '@/core/life';
import { namesOf } from '@/core/names';
import { field, maybeNumber, type Moment, Problem } from '@/crib/door';
import type { AssemblyRow } from '@/data/assemblies';
import { insertBreakage, insertFragments, manyOpenFragments, maybeFragmentsOn } from '@/data/breakage';
import type { Connection } from '@/data/database';
import { manyOperationsById, manyTiesOfAssemblies, maybeOperation } from '@/data/jobs';
import { insertEnding } from '@/data/life';

export const signsField = {
  type: 'array',
  items: field.choice(SEEN_NAMES),
  maxItems: SEEN_NAMES.length,
  uniqueItems: true,
} as const;
const FRAGMENTS = namesOf(FRAGMENT_STATES);
/** What became of the fragments, said at an end or later. */
export const fragmentFields = {
  fragments: field.choice(FRAGMENTS),
  recutBy: { ...field.words(80), description: 'Not found: by what, or by whom, the spot was recut' },
} as const;

/** How a life ended, and what is said of it where something broke. */
export const endingFields = {
  kind: field.choice(ENDING_NAMES),
  signs: signsField,
  costCents: field.cents,
  at: {
    type: 'object',
    description: 'On which T it broke; left out: on the one it is tied to',
    properties: { operation: field.number, t: field.whole(0, 99_999) },
    required: ['operation', 't'],
    additionalProperties: false,
  },
  lostParts: field.whole(0, 1000),
  lostMinutes: field.decimal(0, 100_000, 'Minutes the machine stood'),
  ...fragmentFields,
} as const;

/** What ended: the edges of an assembly, or of what lies in the crib and is on no T. */
interface Ended extends Pick<AssemblyRow, 'edgeSetId' | 'tag'> {
  id: number | null;
}

/** What is said of an ending. */
export interface EndingSaid {
  kind: Ending;
  signs?: readonly string[];
  costCents?: number;
  at?: { operation: number; t: string | number };
  lostParts?: string | number;
  lostMinutes?: string | number;
  fragments?: (typeof FRAGMENTS)[number];
  recutBy?: string;
}

/**
 * Books how a life ended. Where something broke, hit or came out it books on which T and after how many parts, what was lost,
 * and what became of the fragments; nobody saying that leaves it open, and the T waits for it. Gives that T, or null.
 */
export async function bookEnding(
  c: Connection,
  moment: Moment,
  assembly: Ended,
  said: EndingSaid,
): Promise<{ operation: number; t: number } | null> {
  if (!isBreak(said.kind)) {
    const name = (['at', 'lostParts', 'lostMinutes', 'fragments', 'recutBy'] as const).find(
      (n) => said[n] !== undefined,
    );
    if (name)
      throw new Problem('INVALID_INPUT', `${name}: nothing broke where it was ${ENDINGS[said.kind].words}`, {
        field: name,
        value: said[name],
        limit: 'said of what broke, chipped, crashed or was pulled out',
        wayOut: 'Leave it out, or say that it broke.',
      });
  } else if (said.fragments && !leavesFragments(said.kind))
    throw new Problem('INVALID_INPUT', `fragments: a cutter that was ${ENDINGS[said.kind].words} is whole`, {
      field: 'fragments',
      value: said.fragments,
      limit: 'said of what broke, chipped or crashed',
      wayOut: 'Leave it out, or say that it broke.',
    });
  else if (said.recutBy !== undefined && said.fragments === undefined)
    throw new Problem('INVALID_INPUT', 'recutBy: whether the fragments were found is not said', {
      field: 'fragments',
      value: null,
      limit: 'recut, where it says by what',
      wayOut: 'Say ‘not found, recut’; or leave out by what.',
    });
  await insertEnding(c, moment.entryId, {
    edgeSetId: assembly.edgeSetId,
    kind: said.kind,
    signs: JSON.stringify(said.signs ?? []),
    costCents: said.costCents ?? null,
  });
  if (!isBreak(said.kind)) return null;
  const at = await brokeAt(c, assembly, said);
  const operation = at && (await maybeOperation(c, at.operation));
  if (operation) moment.leansOn(operation.entryId);
  await insertBreakage(c, moment.entryId, {
    edgeSetId: assembly.edgeSetId,
    operationId: at?.operation ?? null,
    t: at?.t ?? null,
    partsMade: operation?.partsMade ?? null,
    lostParts: maybeNumber(said.lostParts),
    lostMinutes: maybeNumber(said.lostMinutes),
    fragments: leavesFragments(said.kind),
  });
  if (said.fragments) await bookFragments(c, moment, moment.entryId, said.fragments, said.recutBy);
  return at;
}

/** Books what became of the fragments; one that was recut says by what. */
export async function bookFragments(
  c: Connection,
  moment: Moment,
  endingId: number,
  state: (typeof FRAGMENTS)[number],
  recutBy: string | undefined,
): Promise<void> {
  const by = recutBy?.trim() || null;
  if ((state === 'recut') !== (by !== null))
    throw new Problem(
      'INVALID_INPUT',
      state === 'recut' ? 'recutBy: recut by what is not said' : 'recutBy: all were found, nothing is recut',
      {
        field: 'recutBy',
        value: recutBy ?? null,
        limit: state === 'recut' ? 'by what the spot was recut' : 'left out',
        wayOut:
          state === 'recut'
            ? 'Say what was done, such as: carbide 6 mm at full chip load.'
            : 'Say ‘recut’ where they were not found.',
      },
    );
  await insertFragments(c, moment.entryId, { endingId, state, recutBy: by });
}

/** The T it broke on: the one that is said, or the only one it is tied to; null: it is on none. */
async function brokeAt(c: Connection, assembly: Ended, said: EndingSaid) {
  const ties = assembly.id === null ? [] : await manyTiesOfAssemblies(c, [assembly.id]);
  const at = said.at && { operation: said.at.operation, t: Number(said.at.t) };
  const its = at ? ties.filter((x) => x.operationId === at.operation && x.t === at.t) : ties;
  const [tie] = its;
  if (its.length === 1 && tie) return { operation: tie.operationId, t: tie.t };
  if (!ties.length && !at) return null;
  const jobs = new Map(
    (await manyOperationsById(c, [...new Set(ties.map((x) => x.operationId))])).map((o) => [o.id, o]),
  );
  const words = ties
    .map((x) => `T${x.t} of ${jobs.get(x.operationId)?.job ?? x.operationId} (operation ${x.operationId})`)
    .join(', ');
  throw new Problem(
    at ? 'INVALID_INPUT' : 'REFUSED',
    at
      ? `at: ${assembly.tag} is not tied to T${at.t} of operation ${at.operation}`
      : `On which T did it break? ${assembly.tag} is ${words}`,
    {
      field: 'at',
      value: said.at ?? null,
      limit: words || 'no T: leave it out',
      wayOut: 'Say on which of them.',
    },
  );
}

/**
 * Refuses to put the next cutter on a T, or to log parts, while nobody said what became of the fragments of the last one;
 * what is put there next leans on what was said. `t` left out: asked of all of the operation.
 */
export async function mustBeClear(
  c: Connection,
  moment: Moment,
  operationId: number,
  t: number | null,
  name: string,
): Promise<void> {
  const open = (await manyOpenFragments(c, [operationId])).find(
    (o) => (t === null || o.t === t) && o.happenedAt <= moment.happenedAt,
  );
  if (open)
    throw new Problem(
      'REFUSED',
      `Fragments of the cutter that broke on T${open.t} of ${open.job} are not accounted for`,
      {
        field: name,
        value: t ?? open.operationId,
        limit: 'all found, or the spot recut',
        wayOut: `Say under Broken, at ${open.mark}: all found, or by what the spot was recut.`,
      },
    );
  if (t !== null) moment.leansOn((await maybeFragmentsOn(c, operationId, t))?.entryId ?? null);
}
