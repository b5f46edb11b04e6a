'use client';
import type { CutterSource } from '@/crib/assemblies';
import { CUTS, feedWords, speedWords } from '@/core/cutting';
import type { CatalogueView } from '@/crib/catalogue';
import type { RecipesView } from '@/crib/cutting';
import type { StockLine, StockView, TakeableView, TakeSource } from '@/crib/stock';
import type { FieldSpec, Found, FoundAnswer } from '@/ui/kit/form';
import { ask } from './ask';

type Search = NonNullable<FieldSpec['search']>;

/** What answers to words while somebody types them. */
const asking =
  <View>(path: string, fixed: Record<string, string>, read: (view: View) => FoundAnswer): Search =>
  async (words, signal) =>
    read(await ask<View>(path, { ...fixed, q: words }, signal));

/** What can be taken, as a field shows it; `of` is the whole of it. */
export interface FoundSource extends Found {
  of: TakeSource;
}
export const foundSource = (source: TakeSource): FoundSource => ({
  value: source.value,
  title: `${source.item}: ${source.take}`,
  words: source.words,
  caution:
    [source.fits && source.fits.grade !== 'good' && source.fits.words, source.caution]
      .filter(Boolean)
      .join('; ') || null,
  of: source,
});
/** What can be taken for a build and answers to the words; what is like an item stands first. */
export const takeables = (
  what: 'cutter' | 'holder',
  asked: { like?: string; material?: string; shank?: string } = {},
): Search =>
  asking<TakeableView>('takeable', { what, ...asked }, (view) => ({
    found: view.sources.map(foundSource),
    more: view.more,
    against: view.against,
  }));

/** What goes next onto a holder and the parts on it, from the spindle down; what fits first. */
export const partsOnto = (onto: readonly string[], cutter: string | null): Search =>
  asking<TakeableView>(
    'takeable',
    { what: 'part', onto: JSON.stringify(onto), ...(cutter ? { shank: cutter } : {}) },
    (view) => ({ found: view.sources.map(foundSource), more: view.more }),
  );

const itemsOf = (fixed: Record<string, string>): Search =>
  asking<CatalogueView>('items', { limit: '24', ...fixed }, (view) => ({
    found: view.lines.map((l) => ({ value: l.code, title: l.code, words: l.words })),
    more: view.next !== null,
  }));
/** Items of the catalogue by code or words; kinds of holders alone. */
export const items: Search = itemsOf({});
export const holderItems: Search = itemsOf({ kind: 'holder' });

/** Recipes in force that a cutter may be run by in a material, by code or words, the latest first. */
export const recipesFor =
  (item: string, material: string): Search =>
  async (words, signal) => {
    const { lines, after } = await ask<RecipesView>('recipes', { material }, signal);
    const asked = words.trim().toLowerCase();
    const found = lines
      .filter((r) => r.state !== 'rejected' && (r.item === null || r.item === item))
      .map((r) => ({ value: r.code, title: r.code, words: recipeWords(r) }))
      .filter((f) => `${f.title} ${f.words}`.toLowerCase().includes(asked));
    return { found, more: after !== null };
  };
const recipeWords = (r: RecipesView['lines'][number]): string =>
  [`${r.state}: ${CUTS[r.cut]}`, speedWords(r), feedWords(r, String, 'mm'), r.words]
    .filter((w) => w !== null)
    .join(', ');

/** Inserts that lie in the crib, each parcel by itself: its value is the input that takes it. */
export const inserts: Search = asking<StockView>('stock', { kind: 'insert', limit: '24' }, (view) => ({
  found: view.lines.map((l) => ({
    value: JSON.stringify(parcelInput(l)),
    title: `${l.item}: ${l.quantity} at ${l.place}`,
    words: [
      l.words,
      l.lot && `lot ${l.lot}`,
      l.owner && `${l.owner}’s until used`,
      l.edgesLeft !== null && `${l.edgesLeft} edges left each`,
    ]
      .filter(Boolean)
      .join(', '),
  })),
  more: view.next !== null,
}));
const parcelInput = (l: StockLine) => ({
  item: l.item,
  from: l.place,
  ...(l.lot ? { lot: l.lot } : {}),
  ...(l.owner ? { supplier: l.owner } : {}),
  ...(l.edgesLeft !== null ? { edgesLeft: l.edgesLeft } : {}),
});

/** The parcel that a chosen value is the text of: what takes it; null: none was chosen. */
export const parcelOf = (value: unknown): ReturnType<typeof parcelInput> | null =>
  // Written by the options and searches of this file and its neighbours, never by hand.
  value ? (JSON.parse(String(value)) as ReturnType<typeof parcelInput>) : null;

/** 'EM8|CAB1-A' is stock of an item at a place, 'SL8|CAB1-A H-0003' the one of a mark there. */
export const stockOf = (value: string): { item: string; place: string; marked?: string } => {
  // A place's code has no bar and no blank; an item's may have either.
  const bar = value.lastIndexOf('|');
  const [place = '', marked] = value.slice(bar + 1).split(' ');
  return { item: value.slice(0, Math.max(0, bar)), place, ...(marked === undefined ? {} : { marked }) };
};
/** 'EM8|CAB1-A' is stock at a place, 'E-0012' a marked piece. */
export const sourceOf = (value: string): CutterSource =>
  value.includes('|') ? stockOf(value) : { piece: value };
