import type { Ending } from '@/core/life';
import type { PlaceKind } from '../stock';
import { many, type Connection } from '../database';

export interface LifeRow {
  edge_set_id: number;
  fresh: boolean;
  item_id: number;
  piece_id: number;
  mark: string;
  began_at: Date;
  ended: Ending | null;
  ended_entry_id: number | null;
  ended_at: Date | null;
  signs: string[] | null;
  cost_cents: number | null;
  note: string | null;
  place_kind: PlaceKind | null;
}
/**
 * Lives in the order they began, running ones too: of some items every one, of all (null) those that have cut or ended,
 * since one that has done neither says nothing of its cutter.
 */
export const manyLives = (c: Connection, itemIds: readonly number[] | null = null) =>
  many<LifeRow>(
    c,
    `select es.id as edge_set_id, es.fresh, p.item_id, p.id as piece_id, p.mark, e.happened_at as began_at, x.kind as ended, x.entry_id as ended_entry_id,
       x.happened_at as ended_at, x.signs, x.cost_cents, x.note, pl.kind as place_kind
     from edge_set es join live_entry e on e.id = es.entry_id join piece p on p.id = es.piece_id
     left join piece_place pp on pp.piece_id = p.id left join place pl on pl.id = pp.place_id
     left join lateral (select t.*, te.happened_at, te.note from ending t join live_entry te on te.id = t.entry_id where t.edge_set_id = es.id) x on true
     where case when $1::int[] is null then x.entry_id is not null or exists (select 1 from use u where u.edge_set_id = es.id)
         or exists (select 1 from use_assignment ua where ua.edge_set_id = es.id) else p.item_id = any ($1) end
     order by e.happened_at, es.id`,
    [itemIds],
  );

export interface UseSumRow {
  edge_set_id: number;
  material_id: number;
  minutes: number;
  parts: number;
  lower_bound: boolean;
}
/** Minutes and parts of each edge set in each material, later assignments included. */
export const manyUseSums = (c: Connection) =>
  many<UseSumRow>(
    c,
    `select coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, j.material_id, sum(u.minutes) as minutes, sum(l.parts)::int as parts,
       bool_or(u.lower_bound) as lower_bound
     from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id
     join job j on j.id = o.job_id
     left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
     where coalesce(a.edge_set_id, u.edge_set_id) is not null group by 1, 2`,
  );

export interface UseRow {
  entry_id: number;
  happened_at: Date;
  who: string;
  job: string;
  operation_id: number;
  material: string;
  t: number;
  parts: number;
  minutes: number;
  lower_bound: boolean;
}
export const manyUsesOfEdgeSet = (c: Connection, edgeSetId: number) =>
  many<UseRow>(
    c,
    `select u.entry_id, e.happened_at, e.who, j.number as job, o.id as operation_id, m.code as material, u.t, l.parts, u.minutes, u.lower_bound
     from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id
     join job j on j.id = o.job_id join material m on m.id = j.material_id
     left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
     where coalesce(a.edge_set_id, u.edge_set_id) = $1 order by e.happened_at desc, e.id desc`,
    [edgeSetId],
  );

export interface WearRow {
  entry_id: number;
  edge_set_id: number;
  flank_wear_mm: number;
  flank_wear_entered: string;
  happened_at: Date;
  who: string;
  note: string | null;
}
/** Wear readings, newest first. null: of all edge sets. */
export const manyWearReadings = (c: Connection, edgeSetId: number | null = null) =>
  many<WearRow>(
    c,
    `select w.*, e.happened_at, e.who, e.note from wear_reading w join live_entry e on e.id = w.entry_id
     where $1::int is null or w.edge_set_id = $1 order by e.happened_at desc, e.id desc`,
    [edgeSetId],
  );
