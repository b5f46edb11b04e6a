import { group } from 'd3';
import { SYMBOLS } from '@/core/cutters';
import { namesOf } from '@/core/names';
import { inCrib } from '@/core/stock';
import { held } from '@/core/sure';
import { money } from '@/core/units';
import { type CatalogueAsked, catalogueQuestion, loadItems } from '@/crib/catalogue';
import { manyAssumedLives, manyCatalogueIds, manyLinks, manyStandings, manySupplies } from '@/data/catalogue';
import { type Beside, here, letOthersIn } from '@/crib/door';
import type { Connection } from '@/data/database';
import { manyBalances } from '@/data/stock';
import { factCell } from './cells';
import { PLAIN_COLUMNS } from './columns';
import type { ExchangeItem } from './exchangeItem';
import type { Format } from './table';
import type { Table } from './tableBuilder';
import { writeList } from './tasks';

export interface Exported extends ExchangeItem {
  words: string;
  unused: number;
  places: string[];
}

/** Items that answer a question to the catalogue, in its order, as they go out. */
export async function exportedItems(c: Connection, asked: CatalogueAsked): Promise<Exported[]> {
  const ids = await manyCatalogueIds(c, await catalogueQuestion(c, asked));
  const all: Exported[] = [];
  for (let at = 0; at < ids.length; at += READ_AT_ONCE) {
    all.push(...(await exportedOf(c, ids.slice(at, at + READ_AT_ONCE))));
    await letOthersIn();
  }
  return all;
}

/** Items read at once: others are let in between. */
export const READ_AT_ONCE = 100;

/** Items by their ids, as they go out. */
export async function exportedOf(c: Connection, ids: readonly number[]): Promise<Exported[]> {
  if (!ids.length) return [];
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const supplies = new Map((await manySupplies(c, ids)).map((s) => [s.itemId, s]));
  const lives = new Map(
    (await manyAssumedLives(c, ids)).filter((a) => a.materialId === null).map((a) => [a.itemId, a]),
  );
  const standings = new Map((await manyStandings(c, ids)).map((s) => [s.itemId, s]));
  const links = group(await manyLinks(c, ids), (l) => l.itemId);
  const balances = group(await manyBalances(c, ids), (b) => b.itemId);
  return ids.map((id) => {
    const item = held(items, id);
    const supply = supplies.get(id);
    const life = lives.get(id);
    const standing = standings.get(id);
    const here = (balances.get(id) ?? []).filter((b) => inCrib(b.placeKind));
    return {
      code: item.code,
      kind: item.kind,
      family: item.family,
      maker: item.maker,
      facts: item.facts.map(({ symbol, text, unit, value, origin }) => ({
        symbol,
        text,
        unit,
        value,
        origin,
      })),
      segments: item.segments,
      supply: supply
        ? {
            supplier: supply.supplier,
            orderCode: supply.orderCode,
            priceCents: supply.priceCents,
            pack: supply.pack,
            minimum: supply.minimum,
          }
        : null,
      life: life ? { minutes: life.minutes, origin: life.origin } : null,
      standing: standing ? { standing: standing.standing, reason: standing.reason } : null,
      links: (links.get(id) ?? []).map(({ earlier, relation, reason }) => ({ earlier, relation, reason })),
      words: item.words,
      unused: here.reduce((n, b) => n + b.quantity - b.pieces, 0),
      places: [...new Set(here.map((b) => b.place))],
    };
  });
}

/** The same items as a table: plain columns, then each symbol that is known of any of them with its origin. */
export function itemTable(items: readonly Exported[]): Table {
  const symbols = namesOf(SYMBOLS).filter((s) => items.some((i) => i.facts.some((f) => f.symbol === s)));
  const headers = [
    'code',
    'kind',
    'family',
    'maker',
    'words',
    ...symbols.flatMap((s) => [s, `${s}.origin`]),
    ...PLAIN_COLUMNS.slice(4),
    'unused',
    'places',
  ];
  const rows = items.map((i) => {
    const facts = new Map(i.facts.map((f) => [f.symbol, f]));
    const cells: Record<string, string> = {
      code: i.code,
      kind: i.kind,
      family: i.family ?? '',
      maker: i.maker ?? '',
      words: i.words,
      segments: i.segments.map((s) => `${s.length}:${s.upper}:${s.lower}`).join('; '),
      supplier: i.supply?.supplier ?? '',
      order_code: i.supply?.orderCode ?? '',
      price: i.supply?.priceCents == null ? '' : money(i.supply.priceCents),
      pack: i.supply ? String(i.supply.pack) : '',
      minimum: i.supply ? String(i.supply.minimum) : '',
      life_minutes: i.life ? String(i.life.minutes) : '',
      life_origin: i.life?.origin ?? '',
      standing: i.standing?.standing ?? '',
      standing_reason: i.standing?.reason ?? '',
      links: i.links.length ? JSON.stringify(i.links) : '',
      unused: String(i.unused),
      places: i.places.join(' '),
    };
    for (const [s, f] of facts) {
      cells[s] = factCell(f);
      cells[`${s}.origin`] = f.origin;
    }
    return headers.map((h) => cells[h] ?? '');
  });
  return { headers, rows };
}

/** The catalogue, or the part of it that answers a question, as a file. */
export async function exportItems(
  c: Connection,
  asked: CatalogueAsked,
  format: Format,
  beside: Beside = here,
): Promise<Uint8Array> {
  const items = await exportedItems(c, asked);
  if (format !== 'json') return beside(writeList, { table: itemTable(items), format, name: 'items' });
  const table = items.map(({ facts, supply, life, standing, ...rest }) => ({
    ...rest,
    facts: Object.fromEntries(facts.map((f) => [f.symbol, { value: factCell(f), origin: f.origin }])),
    ...(supply
      ? {
          supplier: supply.supplier,
          order_code: supply.orderCode,
          price: supply.priceCents === null ? null : money(supply.priceCents),
          pack: supply.pack,
          minimum: supply.minimum,
        }
      : {}),
    ...(life ? { life_minutes: life.minutes, life_origin: life.origin } : {}),
    ...(standing ? { standing: standing.standing, standing_reason: standing.reason } : {}),
  }));
  return new TextEncoder().encode(JSON.stringify({ format: 'stable-items-1', items: table }, null, 1));
}
