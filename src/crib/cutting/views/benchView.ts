import type { CutterDetails } from '@/core/assemblies';
import type { CutterGeometry } from '@/core/cutters';
import type { Recipe } from '@/core/cutting';
import type { BENCH, Question } from '@/core/questions';
import { cutterDetails, cutterOf, factNumber, loadItem } from '@/crib/catalogue';
import { maybeItem } from '@/data/catalogue';
import { maybeRecipe } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { recipeOf } from '../recipeOf';

/** What a cut is tried with: a cutter of the shop, and the recipe it is begun from. */
export interface BenchView {
  cutter: {
    code: string;
    words: string;
    shape: CutterGeometry;
    details: CutterDetails;
    /** Of a body; null: none of its own, or not known. */
    rpmMax: number | null;
    /** It cuts at its centre; null: not known. */
    centreCutting: boolean | null;
  } | null;
  recipe: Recipe | null;
}

/** A cutter and a recipe on the bench; what is not here is null. A recipe brings its own cutter where none is named. */
export async function benchView(c: Connection, { item, recipe }: Question<typeof BENCH>): Promise<BenchView> {
  const row = recipe === undefined ? null : await maybeRecipe(c, recipe);
  const named = item ?? row?.item ?? null;
  const known = named === null ? null : await maybeItem(c, named);
  const full =
    known && (known.kind === 'cutter' || known.kind === 'body') ? await loadItem(c, known.id) : null;
  return {
    cutter: full && {
      ...{ code: full.code, words: full.words, shape: cutterOf(full), details: cutterDetails(full) },
      rpmMax: full.kind === 'body' ? factNumber(full, 'RPM_MAX') : null,
      centreCutting: full.centreCutting,
    },
    recipe: row && recipeOf(row),
  };
}
