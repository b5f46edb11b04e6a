import 'server-only';

/** What Next hands a page of its address. */
export type Search = Promise<Record<string, string | string[] | undefined>>;

/** The address's question as the API gets it: a name that stands twice, or blank, is none. */
export async function questionIn(search: Search): Promise<URLSearchParams> {
  return new URLSearchParams(
    Object.entries(await search).flatMap(([name, value]) =>
      typeof value === 'string' && value ? [[name, value]] : [],
    ),
  );
}
