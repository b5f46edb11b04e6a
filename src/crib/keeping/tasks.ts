import { defineTask } from '@/crib/door';
import { fingerprint, type Fingerprint, openDatabase, plainDamage } from '@/data/database';

/** Opens a copy of a data folder, as a restart would, and says what it holds; it is closed in good order. */
export const checkCopy = defineTask(
  'checkCopy',
  async ({ folder }: { folder: string }): Promise<{ holds: Fingerprint; faults: string[] }> => {
    const db = await openDatabase(folder);
    try {
      const faults = await plainDamage(db);
      return { holds: faults.length ? {} : await fingerprint(db), faults };
    } finally {
      await db.close();
    }
  },
);
