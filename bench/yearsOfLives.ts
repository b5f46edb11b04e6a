/** What is recorded beside the lives themselves, with rows that are there already: who is named counts from 1. */
export interface LivesRecorded {
  lives: number;
  operations: number;
  /** Open operations, numbered on from the finished ones. */
  open: number;
  tools: number;
  /** Assemblies that stand, numbered on from the lives. */
  standing: number;
  /** The first entry of each kind. */
  ended: number;
  programs: number;
  tied: number;
  built: number;
}

const RECIPES = 300;
const MARKED = 60;

/**
 * Breakages with their causes, parts held, recipes and plans by them, forecasts, marked holders and pockets, in proportion to
 * the lives: a fifth of them broke, each was foretold, three T of five are planned to run by a recipe.
 */
export const livesRecorded = (w: LivesRecorded): string[] => [
  `insert into change_costs (entry_id, minute_cents, change_minutes, failure_minutes, part_cents) values (1, 110, 6, 25, 3800)`,
  `insert into recipe (code, item_id, material_id, cut, speed_as, speed_least, speed_most, feed_as, feed_least_mm, feed_most_mm,
     feed_least_entered, feed_most_entered, ap_mm, ap_entered, ae_mm, ae_entered, entry_id)
   select 'R-' || lpad(g::text, 4, '0'), 5 + 5 * ((g / 10) % 15) + 1 + g % 3, 1 + g % 5, 'roughing', 'n', 2000 + g, 2000 + g, 'tooth', 0.05, 0.05, '0.05', '0.05',
     4, '4', 3, '3', 1 + g from generate_series(1, ${RECIPES}) g`,
  // Of one job two recipes, by turns of its operations.
  `insert into tool_plan (entry_id, operation_id, t, does, recipe_id)
   select ${w.tied} + g - 1, g, t, 'outline', 1 + (g * 3 + t) % ${RECIPES} from generate_series(1, ${w.operations + w.open}) g, generate_series(1, 3) t`,
  `insert into forecast (entry_id, edge_set_id, material_id, failed_by, lives, failures)
   select ${w.built} + g - 1, g, 1 + g % 5, array(select x * (1 + g % 7)::float8 from generate_series(1, 19) x), 20, 15 from generate_series(1, ${w.lives}) g`,
  `insert into breakage (entry_id, edge_set_id, operation_id, t, parts_made, lost_parts, lost_minutes, fragments)
   select e.entry_id, e.edge_set_id, 1 + (e.edge_set_id * 7919::bigint) % ${w.operations}, 1 + e.edge_set_id % ${w.tools}, e.edge_set_id % 40, e.edge_set_id % 3, 12, false
   from ending e where e.kind = 'broken'`,
  `insert into cause_confirmed (entry_id, ending_id, cause, remedy, seen, not_seen)
   select e.entry_id, e.entry_id, (array['runout','chips','stickout','feed'])[1 + e.edge_set_id % 4], 'mended', '["one tooth"]', '[]'
   from ending e where e.kind = 'broken' and e.edge_set_id % 2 = 0`,
  `insert into hold (number, operation_id, first_part, last_part, why, edge_set_id, entry_id)
   select 'Q-' || lpad(g::text, greatest(4, length(g::text)), '0'), 1 + (g * 7919::bigint) % ${w.operations}, 1, 8, 'cut by an edge that broke', g, ${w.ended} + g - 1
   from generate_series(1, ${Math.round(w.lives / 30)}) g`,
  `insert into hold_verdict (entry_id, hold_id, first_part, last_part, verdict) select h.entry_id, h.id, 1, 8, 'good' from hold h where h.id > 5`,
  `insert into part_check (entry_id, operation_id, part, good) select ${w.programs} + g - 1, g, 5, true from generate_series(1, ${w.operations + w.open}) g`,
  `insert into marked_holder (mark, item_id, since, entry_id)
   select 'H-' || lpad(g::text, 4, '0'), 4 + 5 * (g % 40), '2020-01-01', g from generate_series(1, ${MARKED}) g`,
  `insert into holder_in (entry_id, assembly_id, place_in_stack, marked_id)
   select a.entry_id, a.id, 0, m.id from assembly a join lateral (select x.id from marked_holder x where x.item_id = a.holder_item_id order by x.id limit 1) m on true`,
  `insert into holder_look (entry_id, marked_id, found) select 100 + g, g, 'good' from generate_series(1, ${MARKED}) g`,
  `insert into magazine (entry_id, machine_id, kind, pockets, takes) select g, g, 'carousel', 40, 'its own' from generate_series(1, 4) g`,
  `insert into pocket_load (entry_id, machine_id, pocket, assembly_id, t, h, d)
   select ${w.built} + g - 1, 1 + g % 4, 1 + (g / 4) % 40, g, 1 + g % 5, 1 + g % 40, 1 + g % 40 from generate_series(1, ${w.lives + w.standing}) g`,
  `insert into change_rule (entry_id, operation_id, t, parts, basis) select ${w.programs} + g - 1, g, 2, 40, 'cost' from generate_series(1, ${w.operations + w.open}) g`,
];
