import 'server-only';
import { PAGES, type PageName, type PageQuestion } from '@/core/questions';
import { Problem, readQuestion } from '@/crib/door';

/** What Next hands a page of its address. */
export type Search = Promise<Record<string, string | string[] | undefined>>;

/**
 * What a page's address asks, checked as the API checks it. What can't be read is left out and said in `wrong`: a page
 * shows what it can.
 */
export async function askedOf<P extends PageName>(
  page: P,
  search: Search,
): Promise<{ asked: PageQuestion<P>; wrong: string | null }> {
  const asked: Record<string, unknown> = {};
  let wrong: string | null = null;
  for (const [name, value] of Object.entries(await search))
    try {
      const one = new URLSearchParams([value ?? []].flat().map((v) => [name, v]));
      Object.assign(asked, readQuestion(PAGES[page], one, 'left alone'));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      wrong ??= error.message;
    }
  return { asked: asked as PageQuestion<P>, wrong };
}
