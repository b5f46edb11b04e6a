import type { Connection } from '@/data/database';

/** A view of everything there is of its kind, on a day. What it needs of other views it asks `once` for. */
export type ReadAll<T> = (c: Connection, today: string, once: ReadOnce) => Promise<T>;
/** Reads a view, or gives what was read already. */
export interface ReadOnce {
  <T>(read: ReadAll<T>): Promise<T>;
  /** The shop's time zone (IANA name), in which days are told. */
  readonly zone: string;
}

/** Reads each view at most once, so that two that show the same say the same and compute it once. */
export function readOnce(c: Connection, today: string, zone = 'UTC'): ReadOnce {
  const kept = new Map<ReadAll<unknown>, Promise<unknown>>();
  const once: ReadOnce = Object.assign(
    <T>(read: ReadAll<T>): Promise<T> => {
      // Kept under the function that reads it, so of that type.
      const value = (kept.get(read) as Promise<T> | undefined) ?? read(c, today, once);
      kept.set(read, value);
      return value;
    },
    { zone },
  );
  return once;
}
