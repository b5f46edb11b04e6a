import { group } from 'd3';
import { describeCutter, type CutterGeometry, type HolderGeometry } from '@/core/cutters';
import { enteredText } from '@/core/units';
import type { Connection } from '@/data/database';
import { manyFacts, manyItems, manySegments, type FactRow, type ItemRow } from '@/data/stock';
import { cutterFromFacts } from './addCutter';
import { holderFromFacts } from './addHolder';

/** An item with the facts in force, as every verb and screen sees it. */
export interface CribItem {
  id: number;
  entryId: number;
  code: string;
  kind: 'cutter' | 'holder';
  words: string;
  maker: string | null;
  substrate: string | null;
  centreCutting: boolean | null;
  taper: string | null;
  cutter: CutterGeometry | null;
  holder: HolderGeometry | null;
  facts: Pick<FactRow, 'symbol' | 'text' | 'unit' | 'value' | 'origin' | 'who' | 'happened_at'>[];
  /** Symbols whose fact is a guess: a result that leans on one says so. */
  guesses: string[];
}

/** Items with their facts; null: all of them. */
export async function loadItems(c: Connection, ids: readonly number[] | null = null): Promise<CribItem[]> {
  const [rows, facts, segments] = [await manyItems(c), await manyFacts(c, ids), await manySegments(c, ids)];
  const wanted = ids === null ? null : new Set(ids);
  const factsOf = group(facts, (f) => f.item_id);
  const segmentsOf = group(segments, (s) => s.item_id);
  return rows
    .filter((row) => !wanted || wanted.has(row.id))
    .map((row) =>
      toItem(
        row,
        factsOf.get(row.id) ?? [],
        (segmentsOf.get(row.id) ?? []).map(({ length, upper, lower }) => ({ length, upper, lower })),
      ),
    );
}

function toItem(row: ItemRow, facts: FactRow[], segments: HolderGeometry['segments']): CribItem {
  const cutter = row.kind === 'cutter' ? cutterFromFacts(row.family!, facts) : null;
  const holder = row.kind === 'holder' ? holderFromFacts(facts, segments) : null;
  const dc = facts.find((f) => f.symbol === 'DC');
  return {
    id: row.id,
    entryId: row.entry_id,
    code: row.code,
    kind: row.kind,
    maker: row.maker,
    substrate: row.substrate,
    centreCutting: row.centre_cutting,
    taper: row.taper,
    cutter,
    holder,
    words: cutter
      ? describeCutter(
          cutter,
          row.substrate,
          dc && enteredText({ mm: dc.value, text: dc.text, unit: dc.unit === 'inch' ? 'inch' : 'mm' }),
        )
      : holderWords(row.taper, holder!),
    facts: facts.map(({ symbol, text, unit, value, origin, who, happened_at }) => ({
      symbol,
      text,
      unit,
      value,
      origin,
      who,
      happened_at,
    })),
    guesses: facts.filter((f) => f.origin === 'guess').map((f) => f.symbol),
  };
}

function holderWords(taper: string | null, h: HolderGeometry): string {
  const range =
    h.CLAMP_MIN !== null && h.CLAMP_MAX !== null
      ? h.CLAMP_MIN === h.CLAMP_MAX
        ? `, ${h.CLAMP_MAX} mm bore`
        : `, ${h.CLAMP_MIN} to ${h.CLAMP_MAX} mm`
      : '';
  return `${taper ?? ''} holder${range}`.trim();
}
