import 'server-only';
import { PAGES, type PageName, type Question, type QuestionSpec } from '@/core/questions';
import { isProblem, readQuestion } from '@/crib/door';

/** What Next hands a page of its address. */
export type Search = Promise<Record<string, string | string[] | undefined>>;

/**
 * What an address asks, checked as the API checks it. What can't be read is left out and said in `wrong`: a page shows
 * what it can. `said` is the address as it stands.
 */
export async function readable<const S extends QuestionSpec>(
  spec: S,
  search: Search,
): Promise<{ asked: Question<S>; wrong: string | null; said: Record<string, string> }> {
  const asked: Record<string, unknown> = {};
  let wrong: string | null = null;
  const said: Record<string, string> = {};
  for (const [name, value] of Object.entries(await search)) {
    if (typeof value === 'string') said[name] = value;
    try {
      const one = new URLSearchParams([value ?? []].flat().map((v) => [name, v]));
      Object.assign(asked, readQuestion(spec, one, 'left alone'));
    } catch (error) {
      if (!isProblem(error)) throw error;
      wrong ??= error.message;
    }
  }
  // Each name was read by its kind in the spec.
  return { asked: asked as Question<S>, wrong, said };
}

/** What a page's address asks. */
export const askedOf = <P extends PageName>(page: P, search: Search) => readable(PAGES[page], search);
