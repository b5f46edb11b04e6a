import type { Ending } from '@/core/life';
import { type Connection, many } from '@/data/database';

/** How long some edge sets cut by each recipe. */
export const manyRecipesCutBy = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; recipeId: number; minutes: number }>(
    c,
    'select edge_set_id, recipe_id, minutes from edge_recipe where edge_set_id = any ($1) order by 1, 2',
    [edgeSetIds],
  );

/** The recipes that the T some edge sets are tied to now are planned to run by. */
export const manyRecipesPlanned = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; recipeId: number }>(
    c,
    `with tied as materialized (select n.edge_set_id, i.operation_id, i.t from assembly_now n join tie_now i on i.assembly_id = n.assembly_id
       where n.edge_set_id = any ($1))
     select distinct tied.edge_set_id, p.recipe_id from tied cross join lateral (
       select x.recipe_id, x.gone from tool_plan x join live_entry e on e.id = x.entry_id
       where x.operation_id = tied.operation_id and x.t = tied.t order by e.happened_at desc, e.id desc limit 1) p
     where p.recipe_id is not null and not p.gone order by 1, 2`,
    [edgeSetIds],
  );

/** The way an edge set was fed on each T by each recipe; recipe null: by none, way null: not known of all of it. */
export const manyWaysOf = (c: Connection, edgeSetId: number) =>
  many<{ operationId: number; t: number; recipeId: number | null; cutMm: number | null }>(
    c,
    `with cut as materialized (select use_id, operation_id, t, cut_mm from cut_of($1) where use_id is not null)
     select cut.operation_id, cut.t, r.recipe_id, whole_or_unknown(count(cut.cut_mm), count(*), sum(cut.cut_mm)) as cut_mm
     from cut left join ran_by(array(select use_id from cut)) r on r.use_id = cut.use_id group by 1, 2, 3 order by 1, 2, 3`,
    [[edgeSetId]],
  );

/** The kind of holder that each of some edge sets stood in all along; one that stood in several is left out. */
export const manyHoldersOf = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; holder: string }>(
    c,
    `select n.edge_set_id, i.code as holder from (
       select a.edge_set_id, min(a.holder_item_id) as holder_item_id from assembly a join live_entry e on e.id = a.entry_id
       where a.edge_set_id = any ($1) group by 1 having count(distinct a.holder_item_id) = 1) n
     join item i on i.id = n.holder_item_id order by 1`,
    [edgeSetIds],
  );

/**
 * The latest lives that the statistics take and that stood in one kind of holder all along, each with that holder, and with
 * its mark where it was one and the same that has one.
 */
export const manyLivesInHolders = (c: Connection, limit: number) =>
  many<{
    holder: string;
    mark: string | null;
    itemId: number;
    materialId: number;
    minutes: number;
    ended: Ending | null;
  }>(
    c,
    `select i.code as holder, m.mark, n.item_id, n.material_id, n.minutes, n.ended
     from (select * from life_now x where x.fitted order by x.edge_set_id desc limit $1) n
     cross join lateral (select min(a.holder_item_id) as holder_item_id,
         case when count(x.marked_id) = count(*) and count(distinct x.marked_id) = 1 then min(x.marked_id) end as marked_id
       from assembly a join live_entry e on e.id = a.entry_id
       left join lateral (select y.marked_id from holder_in y join live_entry ye on ye.id = y.entry_id
         where y.assembly_id = a.id and y.place_in_stack = 0 limit 1) x on true
       where a.edge_set_id = n.edge_set_id having count(distinct a.holder_item_id) = 1) h
     join item i on i.id = h.holder_item_id left join marked_holder m on m.id = h.marked_id`,
    [limit],
  );
