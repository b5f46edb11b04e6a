import { BREAKS, type Cause, type Seen } from '@/core/breakage';
import { type Connection, many, maybeOne } from '@/data/database';
import type {
  BreakageRow,
  CutByRow,
  HoldRow,
  HoldVerdictRow,
  LoggedRow,
  LogOfEdgesRow,
  OpenFragmentsRow,
  PieceDoubtRow,
} from './types';

const KINDS = `x.kind in (${BREAKS.map((k) => `'${k}'`).join(', ')})`;
const CASE = `select x.entry_id, e.happened_at, e.who, e.note, x.kind, x.signs, x.cost_cents, x.edge_set_id, p.mark, p.item_id, i.code as item,
    coalesce(n.minutes, 0) as minutes, a.tag, h.code as holder,
    b.operation_id, b.t, j.number as job, o.number, m.code as machine, rc.code as recipe, b.parts_made, b.lost_parts, b.lost_minutes,
    coalesce(b.fragments and b.operation_id is not null, false) as asks_fragments,
    f.state as fragments, f.recut_by, f.entry_id as fragments_entry_id, f.who as fragments_who,
    c.cause, c.remedy, c.seen, c.not_seen, c.entry_id as cause_entry_id, c.who as cause_who
  from ending x join live_entry e on e.id = x.entry_id join edge_set s on s.id = x.edge_set_id join piece p on p.id = s.piece_id
  join item i on i.id = p.item_id left join life_now n on n.edge_set_id = x.edge_set_id
  left join take_down td on td.entry_id = x.entry_id left join assembly a on a.id = td.assembly_id left join item h on h.id = a.holder_item_id
  left join breakage b on b.entry_id = x.entry_id left join operation o on o.id = b.operation_id left join job j on j.id = o.job_id
  left join operation_now w on w.operation_id = o.id left join machine m on m.id = w.machine_id
  left join lateral (select y.recipe_id from tool_plan y join live_entry ye on ye.id = y.entry_id
    where y.operation_id = b.operation_id and y.t = b.t order by ye.happened_at desc, ye.id desc limit 1) tp on true
  left join recipe rc on rc.id = tp.recipe_id
  left join lateral (select y.*, ye.who from fragments y join live_entry ye on ye.id = y.entry_id
    where y.ending_id = x.entry_id order by ye.happened_at desc, ye.id desc limit 1) f on true
  left join lateral (select y.*, ye.who from cause_confirmed y join live_entry ye on ye.id = y.entry_id
    where y.ending_id = x.entry_id order by ye.happened_at desc, ye.id desc limit 1) c on true`;
/** A page of what broke, the latest first; before one of them, or from the start. */
export const manyBreakages = (c: Connection, before: number | null, limit: number) =>
  many<BreakageRow>(
    c,
    `${CASE} where ${KINDS} ${before === null ? '' : 'and x.entry_id < $2'} order by x.entry_id desc limit $1`,
    before === null ? [limit] : [limit, before],
  );
/** What broke since a time, the latest first. */
export const manyBreakagesSince = (c: Connection, since: Date, limit: number) =>
  many<BreakageRow>(
    c,
    // The index goes by entry, and nothing is entered before it happened: what was entered before that time is not looked at.
    `${CASE} where ${KINDS} and e.happened_at >= $2 and x.entry_id > coalesce((
       select y.entry_id from ending y join entry ye on ye.id = y.entry_id
       where ${KINDS.replace('x.', 'y.')} and ye.recorded_at < $2 order by y.entry_id desc limit 1), 0)
     order by x.entry_id desc limit $1`,
    [limit, since],
  );
export const maybeBreakage = (c: Connection, entryId: number) =>
  maybeOne<BreakageRow>(c, `${CASE} where ${KINDS} and x.entry_id = $1`, [entryId]);

/** Cases of which somebody found the cause, the latest first: by them the ranking learns. */
export const manyConfirmedCases = (c: Connection, limit: number) =>
  many<{ endingId: number; cause: Cause; seen: Seen[]; notSeen: Seen[] }>(
    c,
    `select x.entry_id as ending_id, k.cause, k.seen, k.not_seen from ending x join live_entry e on e.id = x.entry_id
     cross join lateral (select y.* from cause_confirmed y join live_entry ye on ye.id = y.entry_id where y.ending_id = x.entry_id
       order by ye.happened_at desc, ye.id desc limit 1) k
     where ${KINDS} order by x.entry_id desc limit $1`,
    [limit],
  );

/** Of some operations, cutters that broke there and of whose fragments nobody said what became, the oldest first. */
export const manyOpenFragments = (c: Connection, operationIds: readonly number[]) =>
  many<OpenFragmentsRow>(
    c,
    `select w.id as entry_id, w.operation_id, w.t, j.number as job, p.mark, e.happened_at from waits_now w join entry e on e.id = w.id
     join breakage b on b.entry_id = w.id join edge_set s on s.id = b.edge_set_id join piece p on p.id = s.piece_id
     join operation o on o.id = w.operation_id join job j on j.id = o.job_id
     where w.kind = 'fragments' and w.operation_id = any ($1)
     order by e.happened_at, e.id`,
    [operationIds],
  );
/** What was said last of the fragments on a T: what is put there next leans on it. */
export const maybeFragmentsOn = (c: Connection, operationId: number, t: number) =>
  maybeOne<{ entryId: number }>(
    c,
    `select f.entry_id from breakage b join live_entry e on e.id = b.entry_id
     join fragments f on f.ending_id = b.entry_id join live_entry fe on fe.id = f.entry_id
     where b.operation_id = $1 and b.t = $2 order by f.entry_id desc limit 1`,
    [operationId, t],
  );

const holdsOf = (
  source: string,
) => `select h.id, h.number, h.entry_id, e.happened_at, e.who, h.operation_id, j.number as job, j.part, o.number as operation, m.code as machine,
    h.first_part, h.last_part, h.why, p.mark, h.ending_id
  from ${source} h join live_entry e on e.id = h.entry_id join operation o on o.id = h.operation_id join job j on j.id = o.job_id
  join operation_now n on n.operation_id = o.id join machine m on m.id = n.machine_id
  left join lateral (select p.mark from edge_set s join piece p on p.id = s.piece_id where s.id = h.edge_set_id offset 0) p on true`;
const HOLD = holdsOf('hold');
/** A page of holds, the latest first; before one of them, or from the start. */
export const manyHolds = (c: Connection, before: number | null, limit: number) =>
  many<HoldRow>(
    c,
    // The page first: of a limit that is not known yet the planner would join all holds there ever were.
    `with page as materialized (select x.* from hold x join live_entry xe on xe.id = x.entry_id
       ${before === null ? '' : 'where x.id < $2'} order by x.id desc limit $1)
     ${holdsOf('page')} order by h.id desc`,
    before === null ? [limit] : [limit, before],
  );
/** Holds with parts of which nobody decided, the oldest first. */
export const manyOpenHolds = (c: Connection) =>
  many<HoldRow>(
    c,
    // Those first: beside so many joins the planner would begin with all holds there ever were.
    `with open as materialized (select x.* from hold x join waits_now w on w.kind = 'hold' and w.id = x.id)
     ${holdsOf('open')} order by h.id`,
  );
export const maybeHold = (c: Connection, number: string) =>
  maybeOne<HoldRow>(c, `${HOLD} where h.number = $1`, [number]);
export const manyHoldsOf = (c: Connection, endingId: number) =>
  many<HoldRow>(c, `${HOLD} where h.ending_id = $1 order by h.id`, [endingId]);
export const manyHoldsOfOperations = (c: Connection, operationIds: readonly number[]) =>
  many<HoldRow>(c, `${HOLD} where h.operation_id = any ($1) order by h.id`, [operationIds]);
/** What was decided of the parts of some holds, in the order in which it was. */
export const manyHoldVerdicts = (c: Connection, holdIds: readonly number[]) =>
  many<HoldVerdictRow>(
    c,
    `select v.*, e.happened_at, e.who from hold_verdict v join live_entry e on e.id = v.entry_id
     where v.hold_id = any ($1) order by e.happened_at, e.id, v.first_part`,
    [holdIds],
  );

/** The number of the last part of each of some operations that was checked and found good; those without one are left out. */
export const manyLastGood = (c: Connection, operationIds: readonly number[]) =>
  many<{ operationId: number; part: number; entryId: number }>(
    c,
    `select distinct on (k.operation_id) k.operation_id, k.part, k.entry_id from part_check k join live_entry e on e.id = k.entry_id
     where k.operation_id = any ($1) and k.good order by k.operation_id, k.part desc, k.entry_id desc`,
    [operationIds],
  );

/** Everything that was logged on some operations, in the order of its parts. */
export const manyLogged = (c: Connection, operationIds: readonly number[]) =>
  many<LoggedRow>(
    c,
    `select l.operation_id, l.id as log_id, l.entry_id,
       (sum(l.parts) over (partition by l.operation_id order by l.id) - l.parts + 1)::int as first,
       (sum(l.parts) over (partition by l.operation_id order by l.id))::int as last,
       e.happened_at, e.who, l.material_lot as lot
     from parts_log l join live_entry e on e.id = l.entry_id where l.operation_id = any ($1) order by l.operation_id, l.id`,
    [operationIds],
  );
/** Each log that some edges cut in, as it was booked or as somebody said later, with its operation. */
export const manyLogsOfEdges = (c: Connection, edgeSetIds: readonly number[]) =>
  many<LogOfEdgesRow>(
    c,
    `select x.edge_set_id, l.id as log_id, l.operation_id from (
       select u.edge_set_id, u.parts_log_id from use u where u.edge_set_id = any ($1)
       union select a.edge_set_id, u.parts_log_id from use_assignment a join live_entry ae on ae.id = a.entry_id
         join use u on u.id = a.use_id where a.edge_set_id = any ($1)) x
     join parts_log l on l.id = x.parts_log_id`,
    [edgeSetIds],
  );
/** What cut the parts of a log. */
export const manyCutBy = (c: Connection, logId: number) =>
  many<CutByRow>(
    c,
    `select l.parts_log_id as log_id, l.t, l.edge_set_id, p.mark, i.code as item, l.minutes from (
       select u.parts_log_id, u.t, u.minutes, coalesce((select a.edge_set_id from use_assignment a join live_entry ae on ae.id = a.entry_id
         where a.use_id = u.id order by a.entry_id desc limit 1), u.edge_set_id) as edge_set_id
       from use u join live_entry e on e.id = u.entry_id where u.parts_log_id = $1) l
     left join edge_set s on s.id = l.edge_set_id left join piece p on p.id = s.piece_id left join item i on i.id = p.item_id
     order by l.t`,
    [logId],
  );

const DOUBT = `select w.id as entry_id, d.piece_id, p.mark, i.code as item, a.tag, pl.code as place, d.why, e.happened_at, e.who
  from waits_now w join piece_doubt d on d.entry_id = w.id join live_entry e on e.id = d.entry_id join piece p on p.id = d.piece_id join item i on i.id = p.item_id
  left join piece_place pp on pp.piece_id = p.id left join place pl on pl.id = pp.place_id
  left join assembly_now n on n.piece_id = p.id left join assembly a on a.id = n.assembly_id
  where w.kind = 'doubt'`;
/** Cutters that are held back, the longest held first. */
export const manyHeldBack = (c: Connection) =>
  many<PieceDoubtRow>(c, `${DOUBT} and not coalesce(pp.gone, false) order by d.entry_id`);
/** Of some pieces, why they are held back; those that are not are left out. */
export const manyPieceDoubts = (c: Connection, pieceIds: readonly number[]) =>
  many<PieceDoubtRow>(c, `${DOUBT} and w.piece_id = any ($1) order by d.entry_id`, [pieceIds]);
