import {
  cutterFrom,
  type CutterGeometry,
  describeCutter,
  type FactSymbol,
  type Family,
  holderFrom,
  type HolderGeometry,
  type HolderSegment,
  type ItemKind,
  KINDS,
  type Substrate,
  SUBSTRATES,
} from '@/core/cutters';
import { isOne } from '@/core/names';
import { sure } from '@/core/sure';
import { enteredText } from '@/core/units';
import { type FactRow, type FullItemRow, type ItemRow, manyFullItems } from '@/data/catalogue';
import type { Connection } from '@/data/database';

type CribFact = Pick<FactRow, 'symbol' | 'text' | 'unit' | 'value' | 'origin'>;

/** An item with the facts in force, as every verb and screen sees it. */
export interface CribItem {
  id: number;
  entryId: number;
  /** Unmarked pieces in the crib, whoever owns them. */
  unused: number;
  code: string;
  kind: ItemKind;
  family: Family | null;
  words: string;
  maker: string | null;
  substrate: Substrate | null;
  centreCutting: boolean | null;
  taper: string | null;
  /** Of cutters and bodies. */
  cutter: CutterGeometry | null;
  holder: HolderGeometry | null;
  segments: HolderSegment[];
  facts: CribFact[];
  /** Symbols whose fact is a guess: a result that leans on one says so. */
  guesses: string[];
}

/** Some items with their facts. */
export const loadItems = async (c: Connection, ids: readonly number[]): Promise<CribItem[]> =>
  ids.length ? (await manyFullItems(c, ids)).map(toItem) : [];

/** Two items in one reading, by the ids that rows of the books have of them: what is built, and what holds it. */
export async function loadPair(c: Connection, a: number, b: number): Promise<[CribItem, CribItem]> {
  const items = await loadItems(c, [a, b]);
  const of = (id: number) =>
    sure(
      items.find((i) => i.id === id),
      `item ${id}`,
    );
  return [of(a), of(b)];
}

/** One item with its facts, by the id a row of the books has of it. */
export const loadItem = async (c: Connection, id: number): Promise<CribItem> =>
  sure((await loadItems(c, [id]))[0], `item ${id}`);

/** The geometry of what is known to cut: a cutter, or a body. */
export const cutterOf = (item: CribItem): CutterGeometry => sure(item.cutter, `${item.code} as a cutter`);

/** The geometry of what is known to hold. */
export const holderOf = (item: CribItem): HolderGeometry => sure(item.holder, `${item.code} as a holder`);

/** What a fact of an item says, in its words as entered; null where it is not known. */
export const factText = (item: CribItem, symbol: FactSymbol): string | null =>
  item.facts.find((f) => f.symbol === symbol)?.text ?? null;

/** The number a fact of an item says, in mm, degrees or bare; null where it is not known. */
export const factNumber = (item: CribItem, symbol: FactSymbol): number | null =>
  item.facts.find((f) => f.symbol === symbol)?.value ?? null;

const substrateOf = (text: string | null): Substrate | null => (isOne(SUBSTRATES, text) ? text : null);

type KnownFact = Pick<CribFact, 'symbol' | 'text' | 'unit' | 'value'>;

/** One line that names an item as people at the crib say it, from its facts in force. */
export function itemWords(row: Pick<ItemRow, 'kind' | 'family'>, facts: readonly KnownFact[]): string {
  const text = (symbol: string) => facts.find((f) => f.symbol === symbol)?.text ?? null;
  if (row.family === null) return otherWords(row.kind, text);
  const dc = facts.find((f) => f.symbol === 'DC');
  const words = describeCutter(
    cutterFrom(row.family, facts),
    substrateOf(text('SUBSTRATE')),
    dc?.value == null
      ? undefined
      : enteredText({ mm: dc.value, text: dc.text, unit: dc.unit === 'inch' ? 'inch' : 'mm' }),
    { TDZ: text('TDZ') ?? undefined, TCHA: text('TCHA') ?? undefined },
  );
  return row.kind === 'body' ? `${words} body` : words;
}

function toItem(row: FullItemRow): CribItem {
  const { facts, segments } = row;
  const text = (symbol: string) => facts.find((f) => f.symbol === symbol)?.text ?? null;
  const centre = text('CCC');
  return {
    id: row.id,
    entryId: row.entryId,
    unused: row.unused,
    code: row.code,
    kind: row.kind,
    family: row.family,
    maker: row.maker,
    substrate: substrateOf(text('SUBSTRATE')),
    centreCutting: centre === null ? null : centre === 'yes',
    taper: text('CCMS'),
    cutter: row.family === null ? null : cutterFrom(row.family, facts),
    holder: row.kind === 'holder' ? holderFrom(facts, segments) : null,
    segments,
    words: itemWords(row, facts),
    facts,
    guesses: facts.filter((f) => f.origin === 'guess').map((f) => f.symbol),
  };
}

/** One line that names an item that is no cutter. Unknown facts are left out. */
function otherWords(kind: ItemKind, text: (symbol: string) => string | null): string {
  const joined = (...parts: (string | null | false)[]) => parts.filter(Boolean).join(' ');
  const [min, max] = [text('CLAMP_MIN'), text('CLAMP_MAX')];
  const range =
    min === null || max === null
      ? ''
      : min === max
        ? `, ${max} mm ${text('CLAMPING') === 'face mill arbor' ? 'pilot' : 'bore'}`
        : `, ${min} to ${max} mm`;
  switch (kind) {
    case 'holder':
      return `${joined(text('CCMS'), text('CLAMPING'), 'holder')}${range}`;
    case 'collet':
      return `${joined('collet', text('COLLET'))}${range}`;
    case 'insert':
      return joined(text('ISO1832'), 'insert', text('GRADE') && `grade ${text('GRADE')}`);
    case 'extension':
      return joined(text('CCMS'), 'extension', text('LPR') && `${text('LPR')} long`) + range;
    case 'spare':
      return joined('spare', text('FITS') && `for ${text('FITS')}`);
    default:
      return joined(text('CCMS'), KINDS[kind].words);
  }
}
