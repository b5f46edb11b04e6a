import { PART_KINDS } from '@/core/assemblies';
import { type ItemKind, KINDS } from '@/core/cutters';
import { DEFAULT_LADDER, isWorn } from '@/core/life';
import { countsAs, freeFor, inCrib, usedPiece } from '@/core/stock';
import { first } from '@/core/sure';
import { cutterOf, factNumber, loadItem } from '@/crib/catalogue';
import { field, found, maybeLength, type Moment, Problem } from '@/crib/door';
import { BACK_FIRST, mustBeInCrib } from '@/crib/stock';
import { type AssemblyRow, manyParts, nextNumber, type PartRow } from '@/data/assemblies';
import { type ItemRow, maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyHolderIn } from '@/data/holders';
import { insertEdgeSet, manyLatestWear, maybeLadder } from '@/data/life';
import {
  insertMovement,
  insertPiece,
  manyBalances,
  manyReservations,
  maybePiece,
  maybePlace,
  onePlaceOfKind,
  type PieceRow,
} from '@/data/stock';
import { takeMarked } from './takeMarked';

/** Where the cutter comes from: unused stock of an item at a place, or a marked piece that lies in the crib. */
export const cutterSourceSchema = {
  oneOf: [
    {
      type: 'object',
      properties: { item: field.words(40), place: field.code },
      required: ['item', 'place'],
      additionalProperties: false,
    },
    {
      type: 'object',
      properties: { piece: field.words(20) },
      required: ['piece'],
      additionalProperties: false,
    },
  ],
} as const;
export type CutterSource = { item: string; place: string } | { piece: string };

const marked = { ...field.words(20), description: 'Which of them, by its own mark' } as const;

/** The holder, at a place; which one, where it has a mark of its own. */
export const holderSchema = {
  type: 'object',
  properties: { item: field.words(40), place: field.code, marked },
  required: ['item', 'place'],
  additionalProperties: false,
} as const;

/** What is put between holder and cutter, in order from the spindle down, and what stands beside. */
export const partsSchema = {
  type: 'array',
  maxItems: 12,
  description:
    'Extensions and collets in order from the spindle down; pull stud, screws and coolant tube beside them.',
  items: {
    type: 'object',
    properties: {
      item: field.words(40),
      place: field.code,
      marked,
      out: field.length(1, 999, 'How far an extension stands out; left out: as its LPR says.'),
    },
    required: ['item', 'place'],
    additionalProperties: false,
  },
} as const;
type Taken = { item: string; place: string; marked?: string };
type PartsTaken = readonly (Taken & { out?: string | number })[];

/** A thing that goes back to its place when the build is taken down. */
interface Returns {
  itemId: number;
  /** The place it is returned to. */
  placeId: number;
  lotId: number | null;
  /** Which one it is, where it has a mark of its own; null: it has none. */
  markedId: number | null;
}
type HeldPart = Returns & Pick<PartRow, 'outMm' | 'outEntered'>;
export interface HeldHolder extends Returns {
  parts: readonly HeldPart[];
}

/** Holder and parts of a build, to be built with again where they are. */
export async function heldBy(c: Connection, a: AssemblyRow): Promise<HeldHolder> {
  const marks = new Map((await manyHolderIn(c, [a.id])).map((x) => [x.placeInStack, x.markedId]));
  return {
    itemId: a.holderItemId,
    placeId: a.holderPlaceId,
    lotId: a.holderLotId,
    markedId: marks.get(0) ?? null,
    parts: (await manyParts(c, [a.id])).map((part, i) => ({ ...part, markedId: marks.get(i + 1) ?? null })),
  };
}

/** Takes unused stock out of a place for a build, with a message that says what the count has. */
async function takeUnused(
  c: Connection,
  moment: Moment,
  field_: string,
  code: string,
  placeCode: string,
  kinds: readonly ItemKind[],
) {
  const item = found(await maybeItem(c, code), `${field_}.item`, code, KINDS[first(kinds)].words);
  if (!kinds.includes(item.kind))
    throw new Problem(
      'REFUSED',
      `${code} is a ${KINDS[item.kind].words}, not a ${KINDS[first(kinds)].words}`,
      {
        field: `${field_}.item`,
        value: code,
        wayOut: `Choose a ${KINDS[first(kinds)].words}.`,
      },
    );
  const place = found(await maybePlace(c, placeCode.toUpperCase()), `${field_}.place`, placeCode, 'place');
  mustBeInCrib(place, `${field_}.place`);
  // Our own ordinary stock first, then lots, then what is a supplier's until it is used.
  const parcels = (await manyBalances(c, [item.id]))
    .filter((b) => b.placeId === place.id && b.quantity > b.pieces)
    .sort((a, b) => Number(a.owner !== null) - Number(b.owner !== null) || (a.lotId ?? 0) - (b.lotId ?? 0));
  if (!parcels.length)
    throw new Problem('CONFLICT', `The count says there is no unused ${code} at ${place.code}`, {
      field: `${field_}.place`,
      value: place.code,
      limit: 'none there',
      wayOut: 'If you hold one, book it as found there first; else choose another place.',
    });
  moment.leansOn(item.entryId);
  moment.leansOn(place.entryId);
  return { item, place, lotId: first(parcels).lotId };
}

/** Takes holder and parts out of their places for a build. */
export async function takeHeld(
  c: Connection,
  moment: Moment,
  holder: Taken,
  parts: PartsTaken,
): Promise<HeldHolder> {
  const inBuild = await onePlaceOfKind(c, 'build');
  const had = new Set<number>();
  const take = async (name: string, of: Taken, kinds: readonly ItemKind[]) => {
    const { item, place, lotId } = await takeUnused(c, moment, name, of.item, of.place, kinds);
    const one = of.marked === undefined ? null : await takeMarked(c, moment, name, of.marked, item, had);
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: item.id,
      lotId,
      from: place.id,
      to: inBuild.id,
      quantity: 1,
    });
    return { itemId: item.id, placeId: place.id, lotId, markedId: one?.id ?? null };
  };
  const taken = await take('holder', holder, ['holder']);
  const put: HeldPart[] = [];
  for (const [i, part] of parts.entries()) {
    const out = maybeLength(part.out);
    const of = await take(`parts/${i}`, part, PART_KINDS);
    await mustHaveLength(c, of.itemId, out === null, `parts/${i}/out`);
    put.push({ ...of, outMm: out?.mm ?? null, outEntered: out?.entered ?? null });
  }
  return { ...taken, parts: put };
}

/** Refuses an extension of which nobody says how far it stands out: no length could be expected of the build. */
async function mustHaveLength(c: Connection, itemId: number, notSet: boolean, name: string): Promise<void> {
  const item = await loadItem(c, itemId);
  if (item.kind !== 'extension' || !notSet || factNumber(item, 'LPR') !== null) return;
  throw new Problem('INVALID_INPUT', `How far ${item.code} stands out is not known`, {
    field: name,
    limit: 'LPR stated, or how far it was set out',
    wayOut: 'Measure how far it stands out and enter it; or state its LPR.',
  });
}

/** Whether the last reading of a piece says that it is worn; null: none was taken. */
async function wornNow(c: Connection, piece: PieceRow): Promise<boolean | null> {
  const [wear] = await manyLatestWear(c, [piece.edgeSetId]);
  return wear ? isWorn(wear, cutterOf(await loadItem(c, piece.itemId)).DC) : null;
}

/** Refuses the last ones that are set aside for other jobs. */
async function mustBeFree(c: Connection, item: ItemRow, jobs: readonly string[]): Promise<void> {
  const reservations = await manyReservations(c, [item.id]);
  if (!reservations.length) return;
  const { free, words } = freeFor((await loadItem(c, item.id)).unused, reservations, jobs);
  if (free > 0) return;
  throw new Problem('REFUSED', `None of ${item.code} is free; ${words}`, {
    field: 'cutter.item',
    value: item.code,
    limit: 'one that is not set aside',
    wayOut:
      'Take another cutter, set fewer aside for that job, or say in ‘despite’ why it is right all the same.',
  });
}

/** The cutter's piece and edge set for a build: made from stock, gone on with, or begun anew on a graded cutter. */
export async function takeCutter(
  c: Connection,
  moment: Moment,
  source: CutterSource,
  jobs: readonly string[],
  despite: string | undefined,
) {
  const build = await onePlaceOfKind(c, 'build');
  const startEdges = (pieceId: number, fresh: boolean) =>
    insertEdgeSet(c, moment.entryId, { pieceId: pieceId, fresh });
  if ('item' in source) {
    const { item, place, lotId } = await takeUnused(c, moment, 'cutter', source.item, source.place, [
      'cutter',
      'body',
    ]);
    if (!despite) await mustBeFree(c, item, jobs);
    const mark = await nextNumber(c, 'piece', 'mark', 'E');
    const pieceId = await insertPiece(c, moment.entryId, { mark, itemId: item.id, lotId: lotId });
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: item.id,
      pieceId,
      lotId,
      from: place.id,
      to: build.id,
      quantity: 1,
    });
    return { itemId: item.id, pieceId, edgeSetId: await startEdges(pieceId, true) };
  }
  const piece = found(await maybePiece(c, source.piece.toUpperCase()), 'cutter.piece', source.piece, 'piece');
  const counts = countsAs(
    usedPiece(piece, (await maybeLadder(c))?.rungs ?? DEFAULT_LADDER, await wornNow(c, piece), moment.today),
    null,
  );
  if (piece.placeId === null || !inCrib(piece.placeKind))
    throw new Problem('CONFLICT', `${piece.mark} is not in the crib: ${counts.why}`, {
      field: 'cutter.piece',
      value: piece.mark,
      wayOut: BACK_FIRST[piece.placeKind ?? ''] ?? 'Choose another.',
    });
  if (counts.as === 'nothing')
    throw new Problem('REFUSED', `${piece.mark} counts as nothing to build with: ${counts.why}`, {
      field: 'cutter.piece',
      value: piece.mark,
      wayOut:
        counts.why === 'worn'
          ? 'End its life, and grade it: where may it be used again?'
          : piece.heldBack
            ? 'Look at it, and say under Held what was found; or take another.'
            : 'Grade it first: where may it be used again?',
    });
  moment.leansOn(piece.entryId);
  moment.leansOn(piece.edgeSetEntryId);
  moment.leansOn(piece.gradeEntryId);
  await insertMovement(c, {
    entryId: moment.entryId,
    itemId: piece.itemId,
    pieceId: piece.id,
    lotId: piece.lotId,
    from: piece.placeId,
    to: build.id,
    quantity: 1,
  });
  const edgeSetId = piece.endedEntryId === null ? piece.edgeSetId : await startEdges(piece.id, false);
  return { itemId: piece.itemId, pieceId: piece.id, edgeSetId };
}
