import type { CostsSaid, Ending, Rung } from '@/core/life';
import { type Connection, many, maybeOne, one } from '@/data/database';
import type {
  CutLogRow,
  CutSumRow,
  UseRow,
  EdgeUseRow,
  ForetoldRow,
  LifeLineRow,
  LifeRow,
  LifeTimesRow,
  RunningRow,
  WearRow,
  WornRow,
} from './types';

const LIFE = `select n.edge_set_id, n.item_id, p.mark, n.fresh, n.minutes, n.materials, n.material_id, n.rpm, e.happened_at as began_at,
    n.ended, n.ended_id as ended_entry_id, xe.happened_at as ended_at, x.signs, x.cost_cents, xe.note,
    coalesce(u.parts, 0) as parts, coalesce(u.lower_bound, false) as lower_bound, u.holes, u.cut_mm, f.failed_by as foretold
  from life_now n join edge_set s on s.id = n.edge_set_id join entry e on e.id = s.entry_id join piece p on p.id = n.piece_id
  left join ending x on x.entry_id = n.ended_id left join entry xe on xe.id = n.ended_id
  left join lateral (select sum(y.parts)::int as parts, bool_or(y.lower_bound) as lower_bound,
      whole_or_unknown(count(y.holes), count(*), sum(y.holes))::int as holes, whole_or_unknown(count(y.cut_mm), count(*), sum(y.cut_mm)) as cut_mm
    from edge_use y where y.edge_set_id = n.edge_set_id) u on true
  left join lateral (select y.failed_by from forecast y join live_entry ye on ye.id = y.entry_id
    where y.edge_set_id = n.edge_set_id and y.material_id = n.material_id order by y.entry_id limit 1) f on true`;
/** The lives of a cutter in a material that the statistics take, the latest begun first, each with the mark of what they are. */
export const manyFittedLives = (c: Connection, itemId: number, materialId: number, limit: number) =>
  many<LifeRow & Pick<LifeLineRow, 'revision'>>(
    c,
    `select x.*, (select l.revision from life_line l where l.item_id = $1 and l.material_id = $2) as revision
     from (${LIFE} where n.fitted and n.item_id = $1 and n.material_id = $2 order by n.edge_set_id desc limit $3) x`,
    [itemId, materialId, limit],
  );
/** Lives that are shown apart and not fitted, the latest begun first. */
export const manyLivesApart = (c: Connection, limit: number) =>
  many<LifeRow & { item: string; body: boolean }>(
    c,
    `select x.*, i.code as item, i.kind = 'body' as body from (${LIFE} where n.apart order by n.edge_set_id desc limit $1) x join item i on i.id = x.item_id
     order by x.edge_set_id desc`,
    [limit],
  );
/** Of a life `n` of no one speed: minutes at each it is known to have cut at, where these are nine tenths of it. */
export const SPEEDS = `case when n.rpm is null then (select case when sum(s.minutes) >= 0.9 * n.minutes
    then json_agg(json_build_object('speed', s.rpm, 'minutes', s.minutes) order by s.rpm) end from edge_speed s where s.edge_set_id = n.edge_set_id) end`;
/** How many lives there are of some cutters in every material they cut, and the mark of what these are. */
export const manyLifeLines = (c: Connection, itemIds: readonly number[]) =>
  many<LifeLineRow>(c, `select ${LINE} from life_line l where l.lives > 0 and l.item_id = any ($1)`, [
    itemIds,
  ]);
const LINE = 'l.item_id, l.material_id, l.lives, l.revision';
/** The same of all cutters and materials, a page of them: those with the most lives first. */
export const manyLinesWithMost = (
  c: Connection,
  after: { itemId: number; materialId: number } | null,
  limit: number,
) =>
  many<LifeLineRow>(
    c,
    `select ${LINE} from life_line l where l.lives > 0${
      after
        ? ' and (l.lives, l.item_id, l.material_id) < (select y.lives, y.item_id, y.material_id from life_line y where y.item_id = $2 and y.material_id = $3)'
        : ''
    } order by l.lives desc, l.item_id desc, l.material_id desc limit $1`,
    after ? [limit, after.itemId, after.materialId] : [limit],
  );
/** The lives of some cutters each in a material, the latest begun first, at most `each` of them. */
export const manyLifeTimes = (
  c: Connection,
  lines: readonly Pick<LifeLineRow, 'itemId' | 'materialId'>[],
  each: number,
) =>
  many<LifeTimesRow>(
    c,
    `select ${LINE}, x.minutes, x.ended, x.rpm, x.speeds from unnest($2::int[], $3::int[]) w (item_id, material_id)
     join life_line l on l.item_id = w.item_id and l.material_id = w.material_id and l.lives > 0
     cross join lateral (select array_agg(y.minutes) as minutes, array_agg(y.ended) as ended, array_agg(y.rpm) as rpm,
         coalesce(json_agg(y.speeds), '[]') as speeds from
       (select n.minutes, n.ended, n.rpm, ${SPEEDS} as speeds from life_now n where n.fitted and n.item_id = l.item_id and n.material_id = l.material_id
        order by n.edge_set_id desc limit $1) y) x`,
    [each, lines.map((l) => l.itemId), lines.map((l) => l.materialId)],
  );
/** Lives that began to cut since some time, beside what was foretold of them then, the latest first: those that the statistics take. */
export const manyForetold = (c: Connection, since: Date, limit: number) =>
  many<ForetoldRow>(
    c,
    // Nothing is entered before it happened: what was entered before that time is not looked at.
    `select f.entry_id, e.happened_at, f.failed_by as foretold, n.minutes, n.ended from forecast f join live_entry e on e.id = f.entry_id
     join life_now n on n.edge_set_id = f.edge_set_id and n.fitted and n.material_id = f.material_id
     where e.happened_at >= $2 and f.entry_id > coalesce((
       select y.entry_id from forecast y join entry ye on ye.id = y.entry_id where ye.recorded_at < $2 order by y.entry_id desc limit 1), 0)
     order by f.entry_id desc, f.edge_set_id desc limit $1`,
    [limit, since],
  );
/** Of some edge sets those that are fresh and have not cut yet, each with its cutter. */
export const manyUncutEdges = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; itemId: number }>(
    c,
    'select edge_set_id, item_id from life_now where edge_set_id = any ($1) and fresh and materials = 0 and ended is null order by 1',
    [edgeSetIds],
  );
/** Cutters that cut a material, those with the most lives first. */
export const manyCuttersIn = (c: Connection, materialId: number, limit: number) =>
  many<{ itemId: number; code: string; lives: number }>(
    c,
    `select l.item_id, i.code, l.lives from life_line l join item i on i.id = l.item_id
     where l.material_id = $1 and l.lives > 0 order by l.lives desc, l.item_id limit $2`,
    [materialId, limit],
  );
/** What is counted of an edge set `n`: of some nobody may know. */
const COUNTED = `(select case when count(*) = count(u.holes) then coalesce(sum(u.holes), 0)::int end from edge_use u where u.edge_set_id = n.edge_set_id) as holes,
       (select case when count(*) = count(u.cut_mm) then coalesce(sum(u.cut_mm), 0) end from edge_use u where u.edge_set_id = n.edge_set_id) as cut_mm,
       (select coalesce(bool_or(u.lower_bound), false) from edge_use u where u.edge_set_id = n.edge_set_id) as lower_bound`;
/** What an edge set `n` cut in each material at each speed; what is not known to be at one last of its material. */
const USES = `coalesce((select json_agg(json_build_object('materialId', u.material_id, 'rpm', u.rpm, 'minutes', u.minutes) order by u.material_id, u.rpm)
    from (select s.material_id, s.rpm, s.minutes from edge_speed s where s.edge_set_id = n.edge_set_id
      union all select w.material_id, null, w.minutes - coalesce(s.minutes, 0) from edge_use w
        left join lateral (select sum(x.minutes) as minutes from edge_speed x where x.edge_set_id = w.edge_set_id and x.material_id = w.material_id) s on true
        where w.edge_set_id = n.edge_set_id and (s.minutes is null or w.minutes - s.minutes > 1e-6)) u), '[]')`;
/** What some edge sets have cut so far. */
export const manyEdgeUses = (c: Connection, edgeSetIds: readonly number[]) =>
  many<EdgeUseRow>(
    c,
    `select n.edge_set_id, n.item_id, n.fresh, n.minutes,
       ${COUNTED},
       ${USES} as uses
     from life_now n where n.edge_set_id = any ($1)`,
    [edgeSetIds],
  );
/**
 * Of some edge sets whose edges are not all of one age, what their oldest edge has cut: in the set since which it sits, and in those
 * that came of it until theirs. Where that one was not fresh either, nobody knows, and there is none.
 */
export const manyOldestUses = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ of: number; minutes: number; uses: EdgeUseRow['uses'] }>(
    c,
    `with oldest as materialized (
       select si.edge_set_id as of, min(si.since_id) as since_id from seat_insert si where si.edge_set_id = any ($1) group by 1)
     select o.of, n.minutes, ${USES} as uses
     from oldest o join life_now b on b.edge_set_id = o.since_id and b.fresh
     join life_now n on n.piece_id = b.piece_id and n.edge_set_id between o.since_id and o.of
     order by o.of, n.edge_set_id`,
    [edgeSetIds],
  );
/** What an edge set has cut on each T, and beside what was logged, what it ran on last first; each as it is known now. */
export const manyCutSums = (c: Connection, edgeSetId: number, limit: number) =>
  many<CutSumRow>(
    c,
    `select x.*, j.number as job, m.code as material from (
       select u.operation_id, u.t, u.material_id, sum(u.parts)::int as parts, sum(u.minutes) as minutes,
         whole_or_unknown(count(u.holes), count(*), sum(u.holes))::int as holes, whole_or_unknown(count(u.cut_mm), count(*), sum(u.cut_mm)) as cut_mm,
         bool_or(u.lower_bound) as lower_bound, max(u.happened_at) as last_at
       from cut_of(array[$1::int]) u group by 1, 2, 3 order by last_at desc, 1, 2 limit $2) x
     join material m on m.id = x.material_id left join operation o on o.id = x.operation_id left join job j on j.id = o.job_id
     order by x.last_at desc, x.operation_id, x.t`,
    [edgeSetId, limit],
  );
/** The latest logs and words of what an edge set has cut. */
export const manyCutLogs = (c: Connection, edgeSetId: number, limit: number) =>
  many<CutLogRow>(
    c,
    `select x.*, e.who, e.note, j.number as job, m.code as material from (
       select u.* from cut_of(array[$1::int]) u order by u.happened_at desc, u.entry_id desc, u.use_id limit $2) x
     join entry e on e.id = x.entry_id join material m on m.id = x.material_id
     left join operation o on o.id = x.operation_id left join job j on j.id = o.job_id
     order by x.happened_at desc, x.entry_id desc, x.use_id`,
    [edgeSetId, limit],
  );
/** One T of one log of parts, as it was booked and as it is known now; null where it was taken back or is none. */
export const maybeUse = (c: Connection, useId: number) =>
  maybeOne<UseRow>(
    c,
    `select u.id, u.entry_id, u.t, l.parts, coalesce(k.minutes, u.minutes) as minutes,
       case when k.entry_id is null then u.holes else k.holes end as holes, case when k.entry_id is null then u.cut_mm else k.cut_mm end as cut_mm,
       k.entry_id as corrected_by, e.happened_at, a.entry_id as assigned_by, coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, j.number as job, p.mark
     from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
     join operation o on o.id = l.operation_id join job j on j.id = o.job_id
     left join lateral (select x.* from use_assignment x join live_entry xe on xe.id = x.entry_id where x.use_id = u.id order by 1 desc limit 1) a on true
     left join lateral (select x.* from use_corrected x join live_entry xe on xe.id = x.entry_id where x.use_id = u.id order by x.entry_id desc limit 1) k on true
     left join edge_set s on s.id = coalesce(a.edge_set_id, u.edge_set_id) left join piece p on p.id = s.piece_id
     where u.id = $1`,
    [useId],
  );

/** Edge sets of some cutters that have not ended and lie in the crib or stand in a build. */
export const manyRunningEdges = (c: Connection, itemIds: readonly number[]) =>
  many<RunningRow>(
    c,
    // What is here first: with what each cut in one go the planner walks all pieces there ever were, in the order of their marks.
    `with n as materialized (
       select l.edge_set_id, l.item_id, pp.piece_id, l.fresh, l.minutes, p.mark, pl.code as place, a.tag,
         exists (select 1 from waits_now h where h.kind = 'doubt' and h.piece_id = pp.piece_id) as held_back
       from piece_place pp join place pl on pl.id = pp.place_id and (in_crib(pl.kind) or pl.kind = 'build')
       -- The present edges of the piece: grinding or turning them began a new set.
       join lateral (select x.* from life_now x where x.piece_id = pp.piece_id order by x.edge_set_id desc limit 1) l on l.ended is null
       join piece p on p.id = pp.piece_id
       left join assembly_now b on b.piece_id = pp.piece_id left join assembly a on a.id = b.assembly_id
       where pp.item_id = any ($1) and not pp.gone)
     select n.*, ${COUNTED}, ${USES} as uses from n order by n.mark`,
    [itemIds],
  );
/** The latest flank wear, wear of the corner and word of the gauge of some edge sets. */
export const manyLatestWear = (c: Connection, edgeSetIds: readonly number[]) =>
  many<WornRow>(
    c,
    `select w.edge_set_id,
       (array_agg(w.flank_wear_mm order by e.happened_at desc, e.id desc) filter (where w.flank_wear_mm is not null))[1] as flank_mm,
       (array_agg(w.corner_mm order by e.happened_at desc, e.id desc) filter (where w.corner_mm is not null))[1] as corner_mm,
       (array_agg(w.gauge order by e.happened_at desc, e.id desc) filter (where w.gauge is not null))[1] as gauge
     from wear_reading w join live_entry e on e.id = w.entry_id where w.edge_set_id = any ($1) group by w.edge_set_id`,
    [edgeSetIds],
  );
/**
 * Every wear reading of some edge sets in the order of its time, each with the minutes the edge had cut by then: parts that
 * were logged late for an hour before it count.
 */
export const manyWearReadings = (c: Connection, edgeSetIds: readonly number[]) =>
  many<WearRow>(
    c,
    `select w.*, e.happened_at, e.who, e.note, s.minutes, s.holes
     from wear_reading w join live_entry e on e.id = w.entry_id
     cross join lateral (select coalesce(sum(u.minutes), 0) as minutes,
         case when count(*) = count(u.holes) then coalesce(sum(u.holes), 0)::int end as holes
       from cut_of(array[w.edge_set_id]) u where u.happened_at <= e.happened_at) s
     where w.edge_set_id = any ($1)
     order by w.edge_set_id, e.happened_at, e.id`,
    [edgeSetIds],
  );

/** Pictures of a piece since an edge set of it began, each with the minutes that edge had cut by then, the fewest first. */
export const manyEdgePictures = (c: Connection, pieceId: number, edgeSetId: number) =>
  many<{ entryId: number; shows: string; happenedAt: Date; minutes: number }>(
    c,
    // Those of the piece first: a piece has few, the shop many.
    `with own as materialized (select entry_id, shows from picture where piece_id = $1)
     select p.entry_id, p.shows, e.happened_at,
       coalesce((select sum(u.minutes) from cut_of(array[$2::int]) u where u.happened_at <= e.happened_at), 0) as minutes
     from own p join live_entry e on e.id = p.entry_id
     where e.happened_at >= (select se.happened_at from edge_set s join entry se on se.id = s.entry_id where s.id = $2)
     order by e.happened_at desc, p.entry_id desc limit 12`,
    [pieceId, edgeSetId],
  );

/**
 * The latest regrinds of a cutter that came back or were lost there: what each cost, and the life after it where that cut one
 * material alone; else minutes are null.
 */
export const manyLivesReground = (c: Connection, itemId: number, limit: number) =>
  many<{
    lost: boolean;
    costCents: number | null;
    materialId: number | null;
    minutes: number | null;
    ended: Ending | null;
  }>(
    c,
    `select b.lost, b.cost_cents, case when n.materials = 1 and n.minutes > 0 then n.material_id end as material_id,
       case when n.materials = 1 and n.minutes > 0 then n.minutes end as minutes, n.ended
     from piece p join regrind_out o on o.piece_id = p.id join regrind_back b on b.out_entry_id = o.entry_id
     join live_entry e on e.id = b.entry_id left join life_now n on n.edge_set_id = b.edge_set_id
     where p.item_id = $1 order by b.entry_id desc limit $2`,
    [itemId, limit],
  );
/** What a change and a failure cost, as it was said last. */
export const maybeChangeCosts = (c: Connection) =>
  maybeOne<CostsSaid>(
    c,
    `select k.minute_cents, k.change_minutes, k.failure_minutes, k.part_cents from change_costs k join live_entry e on e.id = k.entry_id
     order by e.happened_at desc, e.id desc limit 1`,
  );
/** What the latest failures in the cut lost in the mean, each of those of which somebody wrote it; null: of none. */
export const losses = (c: Connection, limit: number) =>
  one<{ minutesOf: number; minutes: number | null; partsOf: number; parts: number | null }>(
    c,
    `select count(x.lost_minutes)::int as minutes_of, avg(x.lost_minutes) as minutes,
       count(x.lost_parts)::int as parts_of, avg(x.lost_parts)::float8 as parts
     from (select b.lost_minutes, b.lost_parts from breakage b join live_entry e on e.id = b.entry_id
       order by b.entry_id desc limit $1) x`,
    [limit],
  );
/** The ladder of second lives that the shop set last. */
export const maybeLadder = (c: Connection) =>
  maybeOne<{ rungs: Rung[] }>(
    c,
    'select g.rungs from grade_ladder g join live_entry e on e.id = g.entry_id order by e.happened_at desc, e.id desc limit 1',
  );
