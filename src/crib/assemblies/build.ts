import { judgeBuild } from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import { type ItemKind, KINDS, regroundGeometry } from '@/core/cutters';
import { judgeFit, type Use } from '@/core/jobs';
import { DEFAULT_LADDER, isWorn } from '@/core/life';
import { countsAs, freeFor, inCrib, usedPiece } from '@/core/stock';
import { first } from '@/core/sure';
import { cutterOf, factText, holderOf, loadItem, loadPair } from '@/crib/catalogue';
import { field, found, type Moment, Problem, toLength } from '@/crib/door';
import { BACK_FIRST, mustBeInCrib } from '@/crib/stock';
import { insertAssembly, nextNumber } from '@/data/assemblies';
import { type ItemRow, maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { insertTie, type OperationRow } from '@/data/jobs';
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
  presentSizes,
} from '@/data/stock';
import { buildOf } from './useFigures';

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

interface HeldHolder {
  itemId: number;
  /** The place it is returned to. */
  placeId: number;
  lotId: number | null;
}

interface Built {
  tag: string;
  assemblyId: number;
  judgements: Judgement[];
}

/** Takes unused stock out of a place for a build, with a message that says what the count has. */
export async function takeUnused(
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

/** Whether the last reading of a piece says that it is worn; null: none was taken. */
async function wornNow(c: Connection, piece: PieceRow): Promise<boolean | null> {
  const [wear] = await manyLatestWear(c, [piece.edgeSetId]);
  return wear ? isWorn(wear.flankWearMm, cutterOf(await loadItem(c, piece.itemId)).DC) : null;
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
async function takeCutter(
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

/** What a build is wanted for: judged before anybody tightens a nut. */
export type Wanted = Pick<Use, 'asks' | 'here' | 'machine'>;

/**
 * Puts cutter and holder together and gives the build its tag number. Judged 'stop' is refused unless `despite`
 * says why: the hands at the bench can see what the figures can't.
 */
export async function build(
  c: Connection,
  moment: Moment,
  source: CutterSource,
  holder: HeldHolder,
  stickout: string | number,
  despite: string | undefined,
  wanted: Wanted | null = null,
  /** Jobs it is built for: what is set aside for them may be taken. */
  jobs: readonly string[] = [],
): Promise<Built> {
  const length = toLength(stickout);
  const cutter = await takeCutter(c, moment, source, jobs, despite);
  const [cutterItem, holderItem] = await loadPair(c, cutter.itemId, holder.itemId);
  const present = regroundGeometry(
    cutterOf(cutterItem),
    (await presentSizes(c, [cutter.pieceId])).get(cutter.pieceId) ?? null,
  );
  const judgements = [
    ...judgeBuild({
      cutter: present,
      holder: holderOf(holderItem),
      stickout: length.mm,
      shank: { form: factText(cutterItem, 'SHANK'), takes: factText(holderItem, 'SHANKS') },
    }),
    ...(wanted ? judgeFit(wanted, buildOf('this build', cutterItem, present, holderItem, length.mm)) : []),
  ];
  const stops = judgements.filter((j) => j.grade === 'stop');
  if (stops.length && !despite)
    throw new Problem('REFUSED', stops.map((j) => j.words).join('. '), {
      field: 'stickout',
      value: length.entered,
      limit: first(stops).because.formula,
      wayOut: 'Change the stickout or the holder; or say in ‘despite’ why it is right all the same.',
    });
  const tag = await nextNumber(c, 'assembly', 'tag', 'A');
  const assemblyId = await insertAssembly(c, moment.entryId, {
    tag,
    pieceId: cutter.pieceId,
    edgeSetId: cutter.edgeSetId,
    holderItemId: holder.itemId,
    holderPlaceId: holder.placeId,
    holderLotId: holder.lotId,
    stickoutMm: length.mm,
    stickoutEntered: length.entered,
  });
  return { tag, assemblyId, judgements };
}

export async function tieBuilt(
  c: Connection,
  moment: Moment,
  operation: OperationRow,
  t: number,
  assemblyId: number,
): Promise<void> {
  moment.leansOn(operation.entryId);
  await insertTie(c, moment.entryId, { operationId: operation.id, t, assemblyId: assemblyId });
}
