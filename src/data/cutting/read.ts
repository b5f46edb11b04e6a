import { type Connection, many, maybeOne } from '@/data/database';
import type { OutcomeRow, RecipeRow } from './types';

const RECIPE = `select r.*, i.code as item, mat.code as material, m.code as machine, e.who, e.happened_at, o.outcome,
    (select b.code from recipe b where b.id = r.instead_of) as instead_of,
    (select a.code from recipe a join live_entry ae on ae.id = a.entry_id where a.instead_of = r.id order by a.id desc limit 1) as replaced_by
  from recipe r join live_entry e on e.id = r.entry_id join material mat on mat.id = r.material_id
  left join item i on i.id = r.item_id left join machine m on m.id = r.machine_id
  left join lateral (select x.outcome from recipe_outcome x join live_entry xe on xe.id = x.entry_id
    where x.recipe_id = r.id order by xe.happened_at desc, xe.id desc limit 1) o on true`;

/** One recipe by its code, whether another was written instead of it or not; null: there is none that stands. */
export const maybeRecipe = (c: Connection, code: string) =>
  maybeOne<RecipeRow>(c, `${RECIPE} where r.code = $1`, [code.toUpperCase()]);

/** Some recipes by their numbers: those that tool lines name. */
export const manyRecipesById = (c: Connection, ids: readonly number[]) =>
  many<RecipeRow>(c, `${RECIPE} where r.id = any ($1) order by r.id`, [ids]);

const IN_FORCE = `not exists (select 1 from recipe a join live_entry ae on ae.id = a.entry_id where a.instead_of = r.id)`;
/** The latest recipes in force for the very cutters of some assemblies in some materials, at most so many. */
export const manyRecipesOf = (
  c: Connection,
  assemblyIds: readonly number[],
  materialIds: readonly number[],
  limit: number,
) =>
  many<RecipeRow>(
    c,
    `${RECIPE} where r.item_id in (select p.item_id from assembly a join piece p on p.id = a.piece_id where a.id = any ($1)) and r.material_id = any ($2) and ${IN_FORCE} order by r.id desc limit $3`,
    [assemblyIds, materialIds, limit],
  );

/** The latest recipes in force of some very cutters, by their codes, in the materials of a group of ISO 513 (null: of any), at most so many. */
export const manyRecipesOfItems = (
  c: Connection,
  items: readonly string[],
  isoGroup: string | null,
  limit: number,
) =>
  many<RecipeRow>(
    c,
    `${RECIPE} where r.item_id in (select x.id from item x where x.code = any ($1)) and ($2::text is null or mat.iso_group = $2) and ${IN_FORCE} order by r.id desc limit $3`,
    [items, isoGroup, limit],
  );

/** The latest recipes in force in a material, at most so many. */
export const manyRecipesIn = (c: Connection, materialId: number, limit: number) =>
  many<RecipeRow>(c, `${RECIPE} where r.material_id = $1 and ${IN_FORCE} order by r.id desc limit $2`, [
    materialId,
    limit,
  ]);

/** A page of the recipes in force, the latest first; of a material, of a very cutter where they are named. */
export const manyRecipes = (
  c: Connection,
  { material, item, after }: { material: string | null; item: string | null; after: number | null },
  limit: number,
) =>
  many<RecipeRow>(
    c,
    `${RECIPE} where ($1::text is null or r.material_id = (select x.id from material x where x.code = $1))
       and ($2::text is null or r.item_id = (select x.id from item x where x.code = $2))
       and ($3::int is null or r.id < $3) and ${IN_FORCE} order by r.id desc limit $4`,
    [material, item, after, limit],
  );

/** What came of a recipe, the latest first. */
export const manyOutcomes = (c: Connection, recipeId: number, limit: number) =>
  many<OutcomeRow>(
    c,
    `select x.entry_id, x.recipe_id, x.outcome, j.number as job, op.number as operation, x.minutes, x.parts, x.words, e.who, e.happened_at
     from recipe_outcome x join live_entry e on e.id = x.entry_id left join operation op on op.id = x.operation_id left join job j on j.id = op.job_id
     where x.recipe_id = $1 order by e.happened_at desc, e.id desc limit $2`,
    [recipeId, limit],
  );
