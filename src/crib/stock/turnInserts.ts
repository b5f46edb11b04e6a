import { group } from 'd3';
import { type InSeat, turnSeats } from '@/core/stock';
import { first, held } from '@/core/sure';
import { bookEnding, type EndingSaid } from '@/crib/breakage';
import type { CribItem } from '@/crib/catalogue';
import { type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertEdgeSet } from '@/data/life';
import {
  insertMounting,
  insertSeatInsert,
  insertUnmounting,
  manyGoodSeats,
  type Mounted,
  onePlaceOfKind,
  type PieceRow,
  type SeatInsert,
} from '@/data/stock';
import { type Broken, endTheirLife, insideOf, moveInserts, mustHoldInserts, usedParcel } from './inserts';
import { mustBeInCrib } from './placeInCrib';
import { takeThing } from './things';

type Seat = Pick<SeatInsert, 'seat' | 'lotId' | 'edgesLeft' | 'sinceId'>;

/** What is said of a turn: which seats, which of them are broken, where new inserts come from, how the life ended. */
export interface TurnSaid {
  /** Left out: all that hold an insert. */
  seats?: readonly number[];
  broken?: Broken;
  /** Where new inserts come from, for those that can't be turned. */
  fresh?: { item?: string; from: string; lot?: string; supplier?: string; edgesLeft?: string | number };
  ended?: EndingSaid;
}

/** The seats that hold an insert, each with it. */
async function seatsOf(c: Connection, piece: PieceRow, mounted: Mounted): Promise<Seat[]> {
  if (mounted.seats.length) return mounted.seats;
  const good = await manyGoodSeats(c, piece.id);
  if (good.length !== mounted.quantity)
    throw new Problem(
      'REFUSED',
      `${piece.mark} holds ${mounted.quantity} inserts and has ${good.length} good seats: which are where is not known`,
      {
        field: 'seats',
        value: piece.mark,
        limit: 'as many good seats as inserts',
        wayOut: 'Mark the seats as they are; or take the inserts out and put a whole set in.',
      },
    );
  const { lotId, edgesLeft, edgeSetId } = mounted;
  return good.map((seat) => ({ seat, lotId, edgesLeft, sinceId: edgeSetId }));
}

/**
 * Turns inserts of a body that lies in the crib to their next edge, all or some seats. Where one is broken or was on its last
 * edge, a new one goes in, from where is said. It is a new life: fresh where every edge is, else one with edges that have cut
 * before, which is shown apart. What is not turned keeps its edge and its minutes.
 */
export async function turnInserts(
  c: Connection,
  moment: Moment,
  piece: PieceRow,
  said: TurnSaid,
): Promise<{ item: CribItem; turned: number; replaced: number; cutsOn: number }> {
  const { mounted, item, whole } = await insideOf(c, moment, piece);
  if (typeof said.broken === 'number' && said.broken > 0)
    throw new Problem('REFUSED', `${said.broken} of ${piece.mark} are broken: what is left is no whole set`, {
      field: 'inserts',
      value: said.broken,
      limit: 'none broken, or the seats of those that are',
      wayOut: 'Say which seats, and from where new ones go in; or take them out, and put a whole set in.',
    });
  if (said.ended && piece.endedEntryId !== null)
    throw new Problem('CONFLICT', `How the life of the edges in ${piece.mark} ended is said already`, {
      field: 'ended',
      value: said.ended.kind,
      limit: 'left out',
      wayOut: 'Leave it out.',
    });
  // '2' and 2 are one seat.
  const broken = typeof said.broken === 'object' ? [...new Set(said.broken)] : [];
  const before = await seatsOf(c, piece, mounted);
  const all = before.map((s) => s.seat);
  mustHoldInserts(piece, before, said.seats ?? [], 'seats');
  mustHoldInserts(piece, before, broken, 'brokenSeats');
  const seats = said.seats?.length ? [...new Set([...said.seats, ...broken])] : all;
  if (seats.length < all.length && piece.endedEntryId === null && said.ended === undefined)
    throw new Problem('REFUSED', 'Why only some edges are turned is not said', {
      field: 'ended.kind',
      value: null,
      limit: 'how the life of these edges ended',
      wayOut: 'Say how it ended: chipped, worn, or before a sign was seen.',
    });
  const after = turnSeats(
    before.map((s): InSeat => ({ seat: s.seat, edgesLeft: s.edgesLeft ?? whole })),
    seats,
    broken,
  );
  const was = new Map(before.map((s) => [s.seat, s]));
  const replaced = after.filter((s) => s.becomes === 'replaced');
  if (replaced.length && said.fresh === undefined)
    throw new Problem(
      'REFUSED',
      replaced.length === all.length && !broken.length
        ? `${item.code} in ${piece.mark} was on its last edge`
        : `${replaced.length} of the inserts can’t be turned: seat ${replaced.map((s) => s.seat).join(', ')} is broken or was on its last edge`,
      {
        field: 'inserts',
        value: 'turned',
        limit: 'an edge left',
        wayOut: 'Say from where new ones go in; or take them out, and put new ones in.',
      },
    );
  const edgeSetId = await insertEdgeSet(c, moment.entryId, {
    pieceId: piece.id,
    fresh: seats.length === all.length,
  });
  const fresh =
    replaced.length && said.fresh ? await takeNew(c, moment, item, said.fresh, replaced.length) : null;
  const build = await onePlaceOfKind(c, 'build');
  const scrap = await onePlaceOfKind(c, 'scrap');
  const move = moveInserts(c, moment, item.id);
  const inSeats: (Omit<Seat, 'edgesLeft'> & { becomes: string })[] = [];
  for (const [lotId, alike] of group(after, (s) => held(was, s.seat).lotId))
    for (const [becomes, some] of group(alike, (s) => s.becomes)) {
      let into = lotId;
      if (becomes === 'replaced') {
        await move(build.id, scrap.id, lotId, some.length);
        into = fresh?.lotId ?? null;
      } else if (becomes === 'turned') {
        into = await usedParcel(c, moment, item.id, lotId, first(some).edgesLeft);
        await move(build.id, null, lotId, some.length);
        await move(null, build.id, into, some.length);
      }
      for (const { seat } of some)
        inSeats.push({
          seat,
          becomes,
          lotId: into,
          sinceId: becomes === 'cuts on' ? held(was, seat).sinceId : edgeSetId,
        });
    }
  if (said.ended) await bookEnding(c, moment, { ...mounted, id: null, tag: piece.mark }, said.ended);
  else await endTheirLife(c, moment, piece, mounted);
  await insertUnmounting(c, moment.entryId, { edgeSetId: mounted.edgeSetId, broken: broken.length });
  await mountIn(c, moment, { edgeSetId, itemId: item.id }, inSeats);
  const of = (becomes: string) => after.filter((s) => s.becomes === becomes).length;
  return { item, turned: of('turned'), replaced: of('replaced'), cutsOn: of('cuts on') };
}

/** New inserts out of a place into the build, for the seats that can't be turned. */
async function takeNew(
  c: Connection,
  moment: Moment,
  item: CribItem,
  fresh: NonNullable<TurnSaid['fresh']>,
  quantity: number,
) {
  if (fresh.item !== undefined && fresh.item.toUpperCase() !== item.code.toUpperCase())
    throw new Problem('REFUSED', `${item.code} is in the other seats: grades are never mixed`, {
      field: 'fresh.item',
      value: fresh.item,
      limit: item.code,
      wayOut: `Take ${item.code}; or take all out, and put a whole set of the other in.`,
    });
  const thing = await takeThing(c, moment, { ...fresh, item: item.code, quantity });
  mustBeInCrib(thing.from, 'fresh.from');
  const build = await onePlaceOfKind(c, 'build');
  await moveInserts(c, moment, item.id)(thing.from.id, build.id, thing.lotId, quantity);
  return thing;
}

/** Books what sits in the seats: one row where all are alike, a row each where they are not. */
async function mountIn(
  c: Connection,
  moment: Moment,
  { edgeSetId, itemId }: { edgeSetId: number; itemId: number },
  seats: readonly Omit<Seat, 'edgesLeft'>[],
): Promise<void> {
  const lots = [...group(seats, (s) => s.lotId)].toSorted(([, a], [, b]) => b.length - a.length);
  const [lotId] = first(lots);
  await insertMounting(c, moment.entryId, { edgeSetId, itemId, lotId, quantity: seats.length });
  if (lots.length === 1 && seats.every((s) => s.sinceId === edgeSetId)) return;
  for (const { seat, lotId: of, sinceId } of seats)
    await insertSeatInsert(c, moment.entryId, { edgeSetId, seat, lotId: of, sinceId });
}
