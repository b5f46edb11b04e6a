import type { AN_END, PageName, PageQuestion, Question } from '../questions';

/** The path of a page. */
export const pathOf = (page: PageName): string => (page === 'today' ? '/' : `/${page}`);

/** An address that asks something. Example: addressOf('/rack', { open: 'A-0001' }) -> '/rack?open=A-0001'. */
export function addressOf(
  path: string,
  question: Readonly<Record<string, string | number | undefined>>,
): string {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(question))
    if (value !== undefined) search.set(name, String(value));
  const text = search.toString();
  return text ? `${path}?${text}` : path;
}

/**
 * The address of a page that shows something. Example: linkTo('rack', { open: 'A-0001', do: 'measure' }) ->
 * '/rack?open=A-0001&do=measure'.
 */
export const linkTo = <P extends PageName>(page: P, question: PageQuestion<P> = {}): string =>
  addressOf(pathOf(page), question as Readonly<Record<string, string | number | undefined>>);

/** The page at the machine of an operation; that where a life ends; the label of an assembly. */
export const linkToRun = (operation: number): string => `/run/${operation}`;
export const linkToAlone = (operation: number): string => `/run/${operation}/alone`;
export const linkToEnd = (tag: string, question: Question<typeof AN_END> = {}): string =>
  addressOf(`/end/${encodeURIComponent(tag)}`, question);
export const linkToLabel = (tag: string): string => `/print/${encodeURIComponent(tag)}`;

// The code on the label of an assembly
export { labelCode, printOf, readLabelCode } from './labelCode';
export type { LabelCode } from './labelCode';
