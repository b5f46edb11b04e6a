import { fitsNext, type HolderDetails, holdsAs } from '@/core/assemblies';
import type { Grade } from '@/core/because';
import { type CutterGeometry } from '@/core/cutters';
import { type CribItem, holderDetails, holderOf, isPart, loadItems, partOf } from '@/crib/catalogue';
import { Problem } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';

/** What a part would be put onto. */
export interface Together {
  held: ReturnType<typeof holdsAs>;
  holder: HolderDetails;
  cutter: CutterGeometry | null;
}

/** Holder and parts whose codes were named; null: none were, or no holder is the first of them. */
export async function togetherSoFar(
  c: Connection,
  asked: { onto?: string; shank?: string },
): Promise<Together | null> {
  const codes = codesIn(asked.onto ?? '[]');
  const rows = [];
  for (const code of codes) rows.push(await maybeItem(c, code));
  const shank = asked.shank ? await maybeItem(c, asked.shank) : null;
  const wanted = [...rows, shank].flatMap((r) => r?.id ?? []);
  const items = new Map((await loadItems(c, [...new Set(wanted)])).map((i) => [i.code, i]));
  const [holder, ...parts] = rows.flatMap((r) => items.get(r?.code ?? '') ?? []);
  if (!holder?.holder) return null;
  const details = holderDetails(holder);
  return {
    held: holdsAs(
      holderOf(holder),
      parts.filter(isPart).map((p) => partOf(p)),
      details,
    ),
    holder: details,
    cutter: items.get(shank?.code ?? '')?.cutter ?? null,
  };
}

/** Codes as a JSON list of words, at most 13; anything else is refused. */
function codesIn(text: string): string[] {
  let list: unknown;
  try {
    list = JSON.parse(text);
  } catch {
    list = null;
  }
  if (Array.isArray(list) && list.length <= 13 && list.every((x) => typeof x === 'string')) return list;
  throw new Problem('INVALID_INPUT', 'onto is no list of codes', {
    field: 'onto',
    value: text.slice(0, 80),
    limit: 'a JSON list of at most 13 codes',
    wayOut: 'Name the holder, then the parts on it from the spindle down: ["CC32-40","C32-10"].',
  });
}

const FITS_FIRST: readonly Grade[] = ['good', 'question', 'not judged', 'stop'];
/** Items with those that fit before the others; each keeps its place among its like. */
export async function fitFirst(c: Connection, ids: readonly number[], together: Together): Promise<number[]> {
  const rank = (i: CribItem) => FITS_FIRST.indexOf(fitOf(i, together).grade);
  const ranks = new Map((await loadItems(c, ids)).map((i) => [i.id, rank(i)]));
  return [...ids].sort((a, b) => (ranks.get(a) ?? 9) - (ranks.get(b) ?? 9));
}
/** Whether a part goes next, and its words. */
export const fitOf = (item: CribItem, { held, holder, cutter }: Together) =>
  fitsNext(held, partOf(item), holder, cutter);
