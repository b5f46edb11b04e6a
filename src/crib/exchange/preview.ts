import { createHash } from 'node:crypto';
import { KINDS } from '@/core/cutters';
import { money } from '@/core/units';
import type { Connection } from '@/data/database';
import { manyMappings } from '@/data/exchange';
import { manySuppliers } from '@/data/shop';
import { factCell } from './cells';
import type { ExchangeItem } from './exchangeItem';
import { type Exported, exportedItems } from './exportItems';
import { readRows, type RefusedRow } from './itemRows';
import { readTable } from './table';
import type { Table } from './tableBuilder';

/** One value that an import would change. */
interface Change {
  field: string;
  from: string | null;
  to: string;
}
export interface Preview {
  added: ExchangeItem[];
  changed: { item: ExchangeItem; changes: Change[] }[];
  /** Rows that say what the catalogue says already. */
  same: number;
  refused: RefusedRow[];
  /** Headers that nobody has said the meaning of. */
  unknown: string[];
  /** Suppliers that are not here yet and come with it. */
  suppliers: string[];
  /** Stands for this outcome: what is accepted must be what was shown. */
  digest: string;
}

/** Facts as a header's words were mapped before; what is said now goes before it. */
async function mappingFor(
  c: Connection,
  said: Readonly<Record<string, string | null>> = {},
): Promise<Map<string, string | null>> {
  return new Map([
    ...(await manyMappings(c)).map((m) => [m.header, m.symbol] as const),
    ...Object.entries(said),
  ]);
}

/** What importing a list would do: new, changed value by value, refused with row and reasons. Nothing is written. */
export const previewImport = async (
  c: Connection,
  bytes: Uint8Array,
  said: Readonly<Record<string, string | null>> = {},
): Promise<Preview> => previewOf(c, await readTable(bytes), said);

/** The same of a file that was read. */
export async function previewOf(
  c: Connection,
  table: Table,
  said: Readonly<Record<string, string | null>> = {},
): Promise<Preview> {
  const { items, refused, unknown } = readRows(table, await mappingFor(c, said));
  const present = new Map((await exportedItems(c, {})).map((i) => [i.code, i]));
  const known = new Set((await manySuppliers(c)).map((s) => s.code));
  const preview: Omit<Preview, 'digest'> = {
    added: [],
    changed: [],
    same: 0,
    refused: [...refused],
    unknown,
    suppliers: [],
  };
  const codes = new Set([...present.keys(), ...items.map((i) => i.code)]);
  // Codes differ by more than case: the first of a kind is it.
  const spelt = new Map([...codes].reverse().map((code) => [code.toUpperCase(), code]));
  for (const { row, ...item } of items) {
    const likeIt = spelt.get(item.code.toUpperCase());
    const missing = item.links.find((l) => !codes.has(l.earlier) || l.earlier === item.code);
    const before = present.get(item.code);
    const clash =
      likeIt !== undefined && likeIt !== item.code
        ? `differs from ${likeIt} by capitals alone: give it another code, or write ${likeIt}`
        : before && clashOf(before, item);
    if (missing || clash) {
      preview.refused.push({
        row,
        code: item.code,
        reasons: [clash ?? `links to ${missing?.earlier}, which is not here`],
      });
      continue;
    }
    if (item.supply && !known.has(item.supply.supplier) && !preview.suppliers.includes(item.supply.supplier))
      preview.suppliers.push(item.supply.supplier);
    if (!before) preview.added.push(item);
    else {
      const changes = changesOf(before, item);
      if (changes.length) preview.changed.push({ item, changes });
      else preview.same += 1;
    }
  }
  preview.refused.sort((a, b) => a.row - b.row);
  const outcome = JSON.stringify([preview.added, preview.changed, preview.refused, preview.suppliers]);
  return { ...preview, digest: createHash('sha256').update(outcome).digest('hex') };
}

/** What an item can't become: it would be another thing. */
function clashOf(before: Exported, now: ExchangeItem): string | undefined {
  if (before.kind !== now.kind)
    return `${now.code} is a ${KINDS[before.kind].words} here, not a ${KINDS[now.kind].words}: give it another code`;
  if (before.family !== now.family)
    return `${now.code} is a ${before.family} here, not a ${now.family}: give it another code`;
  if (before.maker !== null && now.maker !== null && before.maker !== now.maker)
    return `${now.code} is made by ${before.maker} here, not by ${now.maker}: give it another code`;
  return undefined;
}

const supplyText = (s: ExchangeItem['supply']) =>
  s &&
  `${s.supplier} ${s.orderCode}, ${s.priceCents === null ? 'no price' : money(s.priceCents)}, pack ${s.pack}, minimum ${s.minimum}`;
const segmentsText = (i: ExchangeItem) =>
  i.segments.map((s) => `${s.length}:${s.upper}:${s.lower}`).join('; ');
const lifeText = (l: ExchangeItem['life']) => l && `${l.minutes} min, ${l.origin}`;
const standingText = (s: ExchangeItem['standing']) => s && `${s.standing}: ${s.reason}`;

/** Value by value; a blank changes nothing. */
function changesOf(before: Exported, now: ExchangeItem): Change[] {
  const changes: Change[] = [];
  const compare = (field: string, from: string | null, to: string | null) => {
    if (to !== null && to !== '' && from !== to) changes.push({ field, from: from === '' ? null : from, to });
  };
  for (const f of now.facts) {
    const old = before.facts.find((x) => x.symbol === f.symbol);
    const said = (x: { text: string; unit: ExchangeItem['facts'][number]['unit']; origin: string }) =>
      `${factCell(x)} (${x.origin})`;
    compare(f.symbol, old ? said(old) : null, said(f));
  }
  compare('segments', segmentsText(before), segmentsText(now));
  compare('supply', supplyText(before.supply), supplyText(now.supply));
  compare('life', lifeText(before.life), lifeText(now.life));
  compare('standing', standingText(before.standing), standingText(now.standing));
  for (const l of now.links)
    if (!before.links.some((x) => x.earlier === l.earlier && x.relation === l.relation))
      changes.push({ field: 'links', from: null, to: `${l.relation} of ${l.earlier}: ${l.reason}` });
  return changes;
}
