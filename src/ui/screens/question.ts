/** The question to the catalogue as the address holds it; what is open beside is no part of it. */
export const OF_CATALOGUE = ['q', 'kind', 'place', 'sort', 'after', 'before', 'unit'] as const;
/** The question to all that lies somewhere. */
export const OF_STOCK = [...OF_CATALOGUE, 'lies', 'owner'] as const;

/** The question of an address in one order of its names; of a file without the page. */
export function questionOf(
  search: { get(name: string): string | null },
  names: readonly string[] = OF_CATALOGUE,
  paged = true,
): string {
  const kept = new URLSearchParams();
  for (const name of names) {
    const value = search.get(name);
    if (value && (paged || (name !== 'after' && name !== 'before'))) kept.set(name, value);
  }
  return kept.toString();
}
