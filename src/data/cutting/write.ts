import { inserts, insertsWithId } from '@/data/database';
import type { OutcomeRow, RecipeRow } from './types';

/** One row of each table of this room. */

type Stated = Omit<
  RecipeRow,
  | 'id'
  | 'entryId'
  | 'item'
  | 'material'
  | 'machine'
  | 'insteadOf'
  | 'replacedBy'
  | 'who'
  | 'happenedAt'
  | 'outcome'
>;
export const insertRecipe = insertsWithId<Stated & { machineId: number | null; insteadOf: number | null }>(
  'recipe',
);
export const insertOutcome = inserts<
  Pick<OutcomeRow, 'recipeId' | 'outcome' | 'minutes' | 'parts' | 'words'> & { operationId: number | null }
>('recipe_outcome');
