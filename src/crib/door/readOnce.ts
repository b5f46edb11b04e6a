import type { Connection } from '@/data/database';

/** A view of everything there is of its kind, on a day. What it needs of other views it asks `once` for. */
export type ReadAll<T> = (c: Connection, today: string, once: ReadOnce) => Promise<T>;
/** Reads a view, or gives what was read already. */
export type ReadOnce = <T>(read: ReadAll<T>) => Promise<T>;

/** Reads each view at most once, so that two that show the same say the same and compute it once. */
export function readOnce(c: Connection, today: string): ReadOnce {
  const kept = new Map<ReadAll<unknown>, Promise<unknown>>();
  const once: ReadOnce = <T>(read: ReadAll<T>) => {
    // Kept under the function that reads it, so of that type.
    const value = (kept.get(read) as Promise<T> | undefined) ?? read(c, today, once);
    kept.set(read, value);
    return value;
  };
  return once;
}
