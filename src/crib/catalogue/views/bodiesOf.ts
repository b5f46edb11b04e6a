import { group } from 'd3';
import { type BodyLife, bodyLife, screwsDue } from '@/core/life';
import { inCrib, sitsInDamagedSeat } from '@/core/stock';
import { manySparesFor } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import {
  manyBodies,
  manyDamagedSeats,
  manyGoodSeats,
  manyPiecesHere,
  manySparesRenewed,
  maybeMounted,
  type SeatInsert,
} from '@/data/stock';

/** A marked body of inserts: where it is, its seats, and what sits in them. */
export interface MarkedBody {
  mark: string;
  place: string | null;
  /** It lies in the crib, where its inserts may be touched. */
  here: boolean;
  damaged: number[];
  /** Numbers of the seats that are good. */
  good: number[];
  inserts: string | null;
  /** An insert sits in a seat that was marked damaged since: it runs nowhere so. */
  inDamaged: boolean;
  /** What sits in each seat where the inserts are not alike; empty: they are. */
  seats: SeatInsert[];
  /** The life of its edges has ended: it is not said again. */
  ended: boolean;
  /** How many sets of edges it has held. */
  sets: number;
  /** Screws and the like that were renewed: sets of edges held since, and whether that is many. */
  renewed: { item: string; at: Date; sets: number; due: boolean }[];
  /** Some are due; where none was ever renewed, those it came with. */
  screwsDue: boolean;
}

/** What is known of the marked bodies of an item; of everything else nothing. */
export interface BodiesOf {
  /** Those that are still here. */
  bodies: MarkedBody[];
  /** How many sets of edges such bodies hold; null: it is no body. */
  bodyLife: BodyLife | null;
  /** Spares that say they fit it, where they lie. */
  spares: { code: string; place: string; quantity: number }[];
}

/** The words of a text, as codes are compared. */
const wordsOf = (text: string): string[] => text.toUpperCase().split(/[\s,;]+/);

/** The marked bodies of an item: their seats, what sits in them, how long such bodies and their screws last. */
export async function bodiesOf(c: Connection, itemId: number, code: string): Promise<BodiesOf> {
  const damaged = group(await manyDamagedSeats(c, itemId), (s) => s.pieceId);
  const all = await manyBodies(c, itemId);
  const sets = new Map(all.map((b) => [b.pieceId, b.sets]));
  const renewed = group(await manySparesRenewed(c, itemId), (r) => r.pieceId);
  const bodies: MarkedBody[] = [];
  for (const p of await manyPiecesHere(c, [itemId])) {
    const in_ = await maybeMounted(c, p.id);
    const held = sets.get(p.id) ?? 0;
    const bad = (damaged.get(p.id) ?? []).map((s) => s.seat);
    const good = await manyGoodSeats(c, p.id);
    const own = (renewed.get(p.id) ?? []).map((r) => ({
      item: r.item,
      at: r.happenedAt,
      sets: r.setsSince,
      due: screwsDue(r.setsSince),
    }));
    bodies.push({
      mark: p.mark,
      place: p.place,
      here: inCrib(p.placeKind),
      damaged: bad,
      good,
      inserts:
        in_ &&
        `${in_.quantity} × ${in_.item}${in_.seats.length || in_.edgesLeft === null ? '' : `, ${in_.edgesLeft} edges left each`}`,
      inDamaged: in_ !== null && sitsInDamagedSeat(in_.quantity, bad.length, good.length),
      seats: in_?.seats ?? [],
      ended: p.endedEntryId !== null,
      sets: held,
      renewed: own,
      screwsDue: own.length ? own.some((r) => r.due) : screwsDue(held),
    });
  }
  return {
    bodies,
    bodyLife: bodyLife(all.map((b) => ({ sets: b.sets, scrapped: b.placeKind === 'scrap' }))),
    spares: (await manySparesFor(c, code))
      .filter((s) => inCrib(s.placeKind) && wordsOf(s.fits).includes(code.toUpperCase()))
      .map(({ code: spare, place, quantity }) => ({ code: spare, place, quantity })),
  };
}
