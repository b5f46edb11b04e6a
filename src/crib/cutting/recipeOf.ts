import type { Recipe } from '@/core/cutting';
import type { RecipeRow } from '@/data/cutting';

/** A recipe as the core judges by it. */
export const recipeOf = (row: RecipeRow): Recipe => ({
  code: row.code,
  state: row.outcome ?? 'not tried',
  ...{ item: row.item, family: row.family, material: row.material, machine: row.machine, cut: row.cut },
  diameters: row.leastMm === null || row.mostMm === null ? null : { least: row.leastMm, most: row.mostMm },
  speed:
    row.speedAs === null || row.speedLeast === null || row.speedMost === null
      ? null
      : { as: row.speedAs, least: row.speedLeast, most: row.speedMost },
  feed:
    row.feedAs === null || row.feedLeastMm === null || row.feedMostMm === null
      ? null
      : { as: row.feedAs, least: row.feedLeastMm, most: row.feedMostMm },
  ...{ ap: row.apMm, ae: row.aeMm, ramp: row.rampDeg, coolant: row.coolant, replacedBy: row.replacedBy },
});
