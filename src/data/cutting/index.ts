export type { OutcomeRow, RecipeRow } from './types';
export {
  manyOutcomes,
  manyRecipes,
  manyRecipesById,
  manyRecipesIn,
  manyRecipesOf,
  manyRecipesOfItems,
  maybeRecipe,
} from './read';
export { insertOutcome, insertRecipe } from './write';
