import { createHash } from 'node:crypto';
import { KINDS } from '@/core/cutters';
import { money } from '@/core/units';
import { type Beside, here, letOthersIn, Problem, type TellFar, tellNobody } from '@/crib/door';
import { manyItemsInAnyCase } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyMappings } from '@/data/exchange';
import { lastEntry } from '@/data/ledger';
import { manySuppliers } from '@/data/shop';
import { factCell } from './cells';
import type { ExchangeItem } from './exchangeItem';
import { type Exported, exportedOf } from './exportItems';
import type { RefusedRow } from './itemRows';
import { readList, type RowsRead } from './tasks';

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
  /** The newest entry when it was made: what the catalogue was compared with. */
  asOf: number;
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

/** How it is done: where the file is read, what stops it, and who hears how far it has come. */
interface Doing {
  beside?: Beside;
  signal?: AbortSignal;
  tell?: TellFar;
}

/**
 * What importing a list would do: new, changed value by value, refused with row and reasons. Nothing is written. The
 * file is read beside the server's own thread, the catalogue in steps that let others in between.
 */
export async function previewImport(
  c: Connection,
  bytes: Uint8Array,
  said: Readonly<Record<string, string | null>> = {},
  { beside = here, signal, tell = tellNobody }: Doing = {},
): Promise<Preview> {
  const asOf = await lastEntry(c);
  const parts: RowsRead[] = [];
  let read = 0;
  const hear = (part: RowsRead) => {
    parts.push(part);
    tell({ step: 'reading', done: (read += rowsOf(part)), of: null });
  };
  const mapping = [...(await mappingFor(c, said))];
  const { unknown } = await beside(readList, { bytes, mapping }, { hear, signal });
  return { ...(await previewOf(c, parts, tell, signal)), unknown, asOf };
}

const rowsOf = (part: RowsRead): number => part.items.length + part.refused.length;

/** The same of rows that were read, as it is now. */
async function previewOf(
  c: Connection,
  parts: readonly RowsRead[],
  tell: TellFar,
  signal?: AbortSignal,
): Promise<Omit<Preview, 'unknown' | 'asOf'>> {
  const known = new Set((await manySuppliers(c)).map((s) => s.code));
  const inList = new Set(parts.flatMap((p) => p.items.map((i) => i.code)));
  // Codes differ by more than case: the first of a kind is it.
  const spelt = new Map([...inList].reverse().map((code) => [code.toUpperCase(), code]));
  const suppliers = new Set<string>();
  const out: Pick<Preview, 'added' | 'changed' | 'same' | 'refused'> = {
    added: [],
    changed: [],
    same: 0,
    refused: parts.flatMap((p) => p.refused),
  };
  const all = parts.reduce((n, part) => n + rowsOf(part), 0);
  let done = 0;
  for (const part of parts) {
    const { items } = part;
    if (signal?.aborted) throw new Problem('STOPPED', 'It was stopped before it was compared');
    tell({ step: 'comparing', done, of: all });
    done += rowsOf(part);
    const here = await present(c, items);
    for (const { row, ...item } of items) {
      const before = here.get(item.code.toUpperCase());
      const likeIt = before?.code ?? spelt.get(item.code.toUpperCase());
      const missing = item.links.find(
        (l) =>
          l.earlier === item.code ||
          !(inList.has(l.earlier) || here.get(l.earlier.toUpperCase())?.code === l.earlier),
      );
      const clash =
        likeIt !== undefined && likeIt !== item.code
          ? `differs from ${likeIt} by capitals alone: give it another code, or write ${likeIt}`
          : before && clashOf(before, item);
      if (missing || clash) {
        const reason = clash ?? `links to ${missing?.earlier}, which is not here`;
        out.refused.push({ row, code: item.code, reasons: [reason] });
        continue;
      }
      if (item.supply && !known.has(item.supply.supplier)) suppliers.add(item.supply.supplier);
      if (!before) out.added.push(item);
      else {
        const changes = changesOf(before, item);
        if (changes.length) out.changed.push({ item, changes });
        else out.same += 1;
      }
    }
    await letOthersIn();
  }
  out.refused.sort((a, b) => a.row - b.row);
  return {
    ...out,
    suppliers: [...suppliers],
    digest: await digestOf([out.added, out.changed, out.refused, [...suppliers]]),
  };
}

/** What is here of these items and of what they link to, by code in capitals. */
async function present(c: Connection, items: readonly ExchangeItem[]): Promise<Map<string, Exported>> {
  const codes = items.flatMap((i) => [i.code, ...i.links.map((l) => l.earlier)]);
  const ids = (await manyItemsInAnyCase(c, codes)).map((i) => i.id);
  return new Map((await exportedOf(c, ids)).map((i) => [i.code.toUpperCase(), i]));
}

/** A digest of lists, in steps: of 20,000 items at once it would hold everybody up. */
async function digestOf(lists: readonly (readonly unknown[])[]): Promise<string> {
  const hash = createHash('sha256');
  for (const list of lists) {
    for (const [i, thing] of list.entries()) {
      hash.update(JSON.stringify(thing)).update('\n');
      if (i % 100 === 99) await letOthersIn();
    }
    hash.update('\n\n');
  }
  return hash.digest('hex');
}

/** What of a preview is shown: the first of each, and how many there are. */
export const shownPreview = ({ asOf: _, ...p }: Preview) => ({
  ...p,
  added: p.added.slice(0, SHOWN),
  changed: p.changed.slice(0, SHOWN),
  refused: p.refused.slice(0, SHOWN),
  of: { added: p.added.length, changed: p.changed.length, refused: p.refused.length },
});
const SHOWN = 60;
export type ShownPreview = ReturnType<typeof shownPreview>;

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
