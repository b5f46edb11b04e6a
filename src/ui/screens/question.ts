/** The question as the address holds it; what is open beside is no part of it. */
const QUESTION = ['q', 'kind', 'place', 'sort', 'after', 'before', 'unit'];

/** The question of an address in one order of its names. */
export function questionOf(search: { get(name: string): string | null }): string {
  const kept = new URLSearchParams();
  for (const name of QUESTION) {
    const value = search.get(name);
    if (value) kept.set(name, value);
  }
  return kept.toString();
}
