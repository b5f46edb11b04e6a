// What people do
export { recordOutcome } from './verbs/recordOutcome';
export { stateRecipe } from './verbs/stateRecipe';
// What screens show
export { recipesView } from './views/recipesView';
export type { RecipeLine, RecipesView, RecipeView } from './views/recipesView';
export { recipeView } from './views/recipesView';
export { benchView } from './views/benchView';
export type { BenchView } from './views/benchView';
// What can be reckoned
export { CUTTING_COMPUTATIONS } from './computations';
// Shared with other rooms: how cutters are run
export { recipeChoices, recipesBeside } from './recipeChoices';
export { recipeOf } from './recipeOf';
export { type RecipesAround, recipesAround, recipesHere } from './recipesAround';
