import { first } from '@/core/sure';
import { found, Problem } from '@/crib/door';
import { manyPurchasesOf, type PurchaseRow } from '@/data/buying';
import type { Connection } from '@/data/database';

const isOpen = (l: PurchaseRow): boolean => l.received < l.quantity;

/** Lines of an order: the one that is named, or all; a Problem where there is none. */
async function linesNamed(c: Connection, number: string, line?: number): Promise<PurchaseRow[]> {
  const lines = await manyPurchasesOf(c, number.toUpperCase());
  found(lines[0] ?? null, 'number', number, 'order');
  if (line === undefined) return lines;
  return [found(lines.find((l) => l.line === line) ?? null, 'line', line, `line of ${number.toUpperCase()}`)];
}

/** Lines of an order of which something is to come; a Problem where all of it came. */
export async function openLines(c: Connection, number: string, line?: number): Promise<PurchaseRow[]> {
  const lines = await linesNamed(c, number, line);
  const open = lines.filter(isOpen);
  if (open.length) return open;
  throw new Problem('CONFLICT', `${first(lines).number} has come whole`, {
    field: 'number',
    value: first(lines).number,
    limit: 'an order of which something is to come',
    wayOut: 'Look at what was received.',
  });
}

/** The one line that something came of; a Problem that lists them where it could be several. */
export async function lineThatCame(c: Connection, number: string, line?: number): Promise<PurchaseRow> {
  const lines = await linesNamed(c, number, line);
  const open = lines.filter(isOpen);
  if (open.length < 2) return open[0] ?? first(lines);
  throw new Problem('INVALID_INPUT', `${first(lines).number} has ${open.length} open lines`, {
    field: 'line',
    limit: open.map((l) => `${l.line} (${l.item})`).join(', '),
    wayOut: 'Say which of them came.',
  });
}
