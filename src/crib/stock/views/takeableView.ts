import { group } from 'd3';
import { PART_KINDS } from '@/core/assemblies';
import { itemQuery, type ItemKind } from '@/core/cutters';
import { DEFAULT_LADDER } from '@/core/life';
import type { Question, TAKEABLE } from '@/core/questions';
import { inCrib } from '@/core/stock';
import { loadItems } from '@/crib/catalogue';
import { turnsOf } from '@/crib/lives';
import { manyLinks, manyStandings, manyTakeableIds, maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyMarkedOf, maybeMarked } from '@/data/holders';
import { manyLatestWear, manyWornBeforeTurn, maybeLadder, type WornRow } from '@/data/life';
import {
  manyBalances,
  manyPiecesHere,
  manyReservations,
  maybePiece,
  type PieceRow,
  presentSizes,
} from '@/data/stock';
import { judgedMarked } from '../markedHolders';
import { fitFirst, type Together, togetherSoFar } from './fitting';
import { againstTaking, type Known, olderThan, sourcesOf, type TakeSource, turnBefore } from './sources';

export type { TakeSource } from './sources';

export interface TakeableView {
  sources: TakeSource[];
  /** More answer than are shown: more words are needed. */
  more: boolean;
  /** Why a piece that was scanned can't be taken; null: it can, or none was scanned. */
  against: string | null;
}
type TakeableAsked = Question<typeof TAKEABLE>;
const SHOWN = 24;

/** What can be taken for a build and answers to some words; older versions before what follows them. */
export async function takeableView(
  c: Connection,
  asked: TakeableAsked,
  today: string,
): Promise<TakeableView> {
  const what = asked.what ?? 'cutter';
  const { words, ranges } = itemQuery(asked.q ?? '', 'mm');
  // A mark is a cutter's or a holder's: in the field of the other it finds nothing.
  const typed = asked.q?.trim() ?? '';
  const scanned = what === 'cutter' && /^\S+$/.test(typed) ? await maybePiece(c, typed.toUpperCase()) : null;
  const holder =
    what !== 'cutter' && /^h-\d{4,}$/i.test(typed) ? await maybeMarked(c, typed.toUpperCase()) : null;
  const found = scanned
    ? [scanned.itemId]
    : holder
      ? [holder.itemId]
      : await manyTakeableIds(
          c,
          { words: words.slice(0, 10), ranges: ranges.slice(0, 10), kind: null },
          KINDS_OF[what],
          what === 'part' ? PARTS_JUDGED : SHOWN + 1,
        );
  const like = asked.like && !asked.q?.trim() ? await maybeItem(c, asked.like) : null;
  const listed = [...new Set([...(like ? [like.id] : []), ...found])];
  const together = what === 'part' ? await togetherSoFar(c, asked) : null;
  const ids = (together ? await fitFirst(c, listed, together) : listed).slice(0, SHOWN);
  if (!ids.length) return { sources: [], more: false, against: null };
  const tried = what === 'holder' && asked.shank ? await maybeItem(c, asked.shank) : null;
  const known = await knownOf(
    c,
    ids,
    today,
    { material: asked.material ?? null, cutterId: tried?.id ?? null },
    together,
    scanned,
  );
  // Whose turn it is in a trial stands first where nobody typed words for another.
  const turn = (id: number) => (typed ? [] : turnBefore(id, known));
  const order = ids.flatMap((id) => [...turn(id), ...olderThan(id, known), id]);
  const scannedItem = scanned && known.items.get(scanned.itemId);
  return {
    against: scannedItem ? againstTaking(scanned, scannedItem, known) : null,
    sources: [...new Set(order)].flatMap((id) =>
      sourcesOf(known.items.get(id), known, scanned?.mark ?? holder?.mark ?? null),
    ),
    more: found.length > SHOWN,
  };
}

/** In which material what is taken is to cut, and with which cutter a holder; null: not known. */
export interface TakenFor {
  material: string | null;
  cutterId: number | null;
}

/** What can be taken of some items, in their order: unused stock a place at a time, and marked cutters. */
export async function takeSources(
  c: Connection,
  itemIds: readonly number[],
  today: string,
  taken: TakenFor,
): Promise<TakeSource[]> {
  if (!itemIds.length) return [];
  const known = await knownOf(c, itemIds, today, taken, null, null);
  return itemIds.flatMap((id) => sourcesOf(known.items.get(id), known, null));
}

/** What is read of some items to say what can be taken of them. */
async function knownOf(
  c: Connection,
  ids: readonly number[],
  today: string,
  { material, cutterId }: TakenFor,
  together: Together | null,
  scanned: PieceRow | null,
): Promise<Known> {
  const links = (await manyLinks(c, ids)).filter((l) => l.relation === 'version');
  // An older version that still lies here belongs beside the newer one, whatever words were typed.
  const older = links.filter((l) => ids.includes(l.itemId)).map((l) => l.earlierItemId);
  const turns = await turnsOf(c, ids, material, cutterId);
  const all = [...new Set([...ids, ...older, ...[...turns.values()].map((t) => t.itemId)])];
  const items = new Map((await loadItems(c, all)).map((i) => [i.id, i]));
  const balances = group(await manyBalances(c, all), (b) => b.itemId);
  const pieces = (await manyPiecesHere(c, all)).filter((p) =>
    scanned ? p.id === scanned.id : inCrib(p.placeKind),
  );
  const edges = pieces.map((p) => p.edgeSetId);
  const cutOn = pieces
    .filter((p) => !p.fresh && items.get(p.itemId)?.kind === 'body')
    .map((p) => p.edgeSetId);
  return {
    reserved: group(await manyReservations(c, all), (r) => r.itemId),
    turns,
    today,
    links,
    balances,
    pieces: group(pieces, (p) => p.itemId),
    sizes: await presentSizes(
      c,
      pieces.map((p) => p.id),
    ),
    standings: new Map((await manyStandings(c, all)).map((s) => [s.itemId, s.standing])),
    wear: byEdgeSet(await manyLatestWear(c, edges)),
    before: byEdgeSet(cutOn.length ? await manyWornBeforeTurn(c, cutOn) : []),
    ladder: (await maybeLadder(c))?.rungs ?? DEFAULT_LADDER,
    items,
    together,
    marked: group(await judgedMarked(c, await manyMarkedOf(c, all)), (m) => m.row.itemId),
  };
}

const byEdgeSet = (rows: readonly WornRow[]) => new Map(rows.map((w) => [w.edgeSetId, w]));

/** So many parts are judged for whether they fit; the crib has fewer kinds of them. */
const PARTS_JUDGED = 400;
const KINDS_OF: Record<'cutter' | 'holder' | 'part', readonly ItemKind[]> = {
  cutter: ['cutter', 'body'],
  holder: ['holder'],
  part: PART_KINDS,
};
