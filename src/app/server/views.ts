import 'server-only';
import { connection } from 'next/server';
import { localDay } from '@/core/units';
import type { ReadAll, ReadOnce, Signed } from '@/crib/door';
import { lastEntry } from '@/data/ledger';
import { crib, type OpenCrib } from './crib';
import { signedHere } from './signed';

interface PageCrib {
  db: OpenCrib['db'];
  /** Today in the shop's zone. */
  today: string;
  zone: string;
  /**
   * A view, computed once for each state of the ledger: everything shown derives from its entries and the day, so
   * the last entry's number and the day say whether what was computed still stands. What one view needs of another
   * comes from here too.
   */
  view: ReadOnce;
  /** Who asks for it. */
  signed: Signed;
}

const kept = new Map<ReadAll<unknown>, { asOf: string; value: Promise<unknown> }>();

/** The open crib for a page that is drawn on each request; whom nobody knows is led to sign in. */
export async function openForPage(): Promise<PageCrib> {
  await connection();
  return openFor(await signedHere());
}

/** The open crib for somebody who was asked already. */
export async function openFor(signed: Signed): Promise<PageCrib> {
  const open = await crib();
  const today = localDay(open.now(), open.zone);
  const asOf = `${await lastEntry(open.db)} ${today}`;
  const view: ReadOnce = Object.assign(
    <T>(read: ReadAll<T>) => {
      const before = kept.get(read);
      // Kept under the function that reads it, so of that type.
      if (before?.asOf === asOf) return before.value as Promise<T>;
      const value = read(open.db, today, view);
      kept.set(read, { asOf, value });
      value.catch(() => kept.delete(read));
      return value;
    },
    { zone: open.zone },
  );
  return { db: open.db, today, zone: open.zone, view, signed };
}
