import type { Tried } from '@/core/life';
import { type Connection, inserts, insertsWithId, many, maybeOne } from '@/data/database';
import { SPEEDS } from './read';
import type { LifeWithSpeedRow } from './types';

/** Two cutters, holders or recipes tried against each other in a material, and how that was decided. */
export interface TrialRow {
  id: number;
  number: string;
  entryId: number;
  tried: Tried;
  /** The cutter whose lives tell holders or recipes apart; null: cutters are tried. */
  cutterItemId: number | null;
  cutter: string | null;
  /** Items, or recipes where those are tried. */
  firstId: number;
  secondId: number;
  first: string;
  second: string;
  materialId: number;
  material: string;
  failuresEach: number;
  why: string | null;
  beganAt: Date;
  who: string;
  /** The entry that ended it; null: it goes on. */
  endedEntryId: number | null;
  endedAt: Date | null;
  endedBy: string | null;
  /** null: neither, or it goes on. */
  winner: 'first' | 'second' | null;
  words: string | null;
}

/** A life of a cutter whose lives tell a trial, in its material and begun since; without minutes: it is built and has not cut yet. */
export interface TrialLifeRow extends LifeWithSpeedRow {
  trialId: number;
  edgeSetId: number;
  itemId: number;
}

const TRIAL = `select t.id, t.number, t.entry_id, t.tried, t.cutter_item_id, q.code as cutter,
    coalesce(t.first_item_id, t.first_recipe_id) as first_id, coalesce(t.second_item_id, t.second_recipe_id) as second_id,
    coalesce(a.code, k.code) as first, coalesce(b.code, l.code) as second, t.material_id,
    m.code as material, t.failures_each, t.why, e.happened_at as began_at, e.who,
    x.entry_id as ended_entry_id, x.happened_at as ended_at, x.who as ended_by, x.winner, x.words
  from trial t join live_entry e on e.id = t.entry_id left join item q on q.id = t.cutter_item_id
  left join item a on a.id = t.first_item_id left join item b on b.id = t.second_item_id
  left join recipe k on k.id = t.first_recipe_id left join recipe l on l.id = t.second_recipe_id
  join material m on m.id = t.material_id
  left join lateral (select y.entry_id, y.winner, y.words, ye.happened_at, ye.who from trial_end y join live_entry ye on ye.id = y.entry_id
    where y.trial_id = t.id order by y.entry_id desc limit 1) x on true`;
/** The latest trials, the one that began last first. */
export const manyTrials = (c: Connection, limit: number) =>
  many<TrialRow>(c, `${TRIAL} order by t.id desc limit $1`, [limit]);
/** The trials that some cutters or holders were ever in, or whose lives tell, at most forty: those that go on first, then the one that began last. */
export const manyTrialsOf = (c: Connection, itemIds: readonly number[]) =>
  many<TrialRow>(
    c,
    `${TRIAL} where t.id in (select y.id from trial y where y.first_item_id = any ($1)
       union select y.id from trial y where y.second_item_id = any ($1)
       union select y.id from trial y where y.cutter_item_id = any ($1)) order by x.entry_id is not null, t.id desc limit 40`,
    [itemIds],
  );
export const maybeTrial = (c: Connection, number: string) =>
  maybeOne<TrialRow>(c, `${TRIAL} where t.number = $1`, [number]);
/** The lives of some trials that began before they were decided, each cutter's latest so many, the one that began first first. */
export const manyTrialLives = (c: Connection, trialIds: readonly number[], each: number) =>
  many<TrialLifeRow>(
    c,
    `select t.id as trial_id, x.edge_set_id, s.item_id, x.minutes, x.ended, x.rpm, x.speeds
     from trial t join entry te on te.id = t.entry_id
     left join lateral (select ye.happened_at, ye.id from trial_end y join live_entry ye on ye.id = y.entry_id where y.trial_id = t.id
       order by y.entry_id desc limit 1) z on true
     cross join lateral (select v.item_id from (values (t.first_item_id), (t.second_item_id)) v(item_id) where t.cutter_item_id is null
       union all select t.cutter_item_id where t.cutter_item_id is not null) s
     cross join lateral (
       (select n.edge_set_id, n.minutes, n.ended, n.rpm, ${SPEEDS} as speeds from life_now n join edge_set es on es.id = n.edge_set_id join entry e on e.id = es.entry_id
        where n.fitted and n.item_id = s.item_id and n.material_id = t.material_id and (e.happened_at, e.id) > (te.happened_at, te.id)
          and (z.id is null or (e.happened_at, e.id) < (z.happened_at, z.id))
        order by n.edge_set_id desc limit $2)
       union all
       -- Built for that material, and not cut with yet.
       (select n.edge_set_id, n.minutes, n.ended, n.rpm, null::json as speeds from assembly_now a join life_now n on n.edge_set_id = a.edge_set_id
        join edge_set es on es.id = n.edge_set_id join entry e on e.id = es.entry_id
        where n.item_id = s.item_id and n.fresh and n.materials = 0 and n.ended is null and (e.happened_at, e.id) > (te.happened_at, te.id)
          and (z.id is null or (e.happened_at, e.id) < (z.happened_at, z.id))
          and exists (select 1 from tie_now i join operation o on o.id = i.operation_id join job j on j.id = o.job_id
            where i.assembly_id = a.assembly_id and j.material_id = t.material_id) limit $2)) x
     where t.id = any ($1) order by 1, 2`,
    [trialIds, each],
  );

export const insertTrial = insertsWithId<{
  number: string;
  tried: Tried;
  cutterItemId: number | null;
  firstItemId: number | null;
  secondItemId: number | null;
  firstRecipeId: number | null;
  secondRecipeId: number | null;
  materialId: number;
  failuresEach: number;
  why: string | null;
}>('trial');
export const insertTrialEnd = inserts<{
  trialId: number;
  winner: string | null;
  words: string | null;
}>('trial_end');
