import type { TakeableView, TakeSource } from '@/crib/stock';
import type { FieldSpec, Found } from '../form';

/** What can be taken, as a field shows it; `of` is the whole of it. */
export interface FoundSource extends Found {
  of: TakeSource;
}
export const foundSource = (source: TakeSource): FoundSource => ({
  value: source.value,
  title: `${source.item}: ${source.take}`,
  words: source.words,
  caution: source.caution,
  of: source,
});

/** Asks the server for what can be taken and answers to the words. */
export const takeables =
  (what: 'cutter' | 'holder', like?: string): NonNullable<FieldSpec['search']> =>
  async (words, signal) => {
    const query = new URLSearchParams({ what, q: words, ...(like ? { like } : {}) });
    const answer = await fetch(`/api/v1/takeable?${query}`, { signal });
    if (!answer.ok) return { found: [], more: false };
    const view = (await answer.json()) as TakeableView;
    return { found: view.sources.map(foundSource), more: view.more };
  };
