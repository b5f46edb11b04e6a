import 'server-only';
import type { Crib } from '@/crib/door';
import { enterKindWords } from '@/data/catalogue';
import { migrate, openDatabase } from '@/data/database';
import { dropLeftStaged } from '@/data/exchange';
import { openPool } from '@/workers';

export interface OpenCrib extends Crib {
  demo: boolean;
}

// Next loads a module several times; the opening promise lives where all of them see it.
const shared = globalThis as typeof globalThis & { [key: symbol]: unknown };
const CRIB = Symbol.for('stable.crib');
const CLOSE = Symbol.for('stable.close');

/** The clock: real, but for a demo folder that was given a time of its own, from which it runs on. */
function clock(): () => Date {
  const pretended = process.env.STABLE_DEMO === '1' ? process.env.STABLE_NOW : undefined;
  if (!pretended) return () => new Date();
  const ahead = Date.parse(pretended) - Date.now();
  return () => new Date(Date.now() + ahead);
}

async function open(): Promise<OpenCrib> {
  if (process.env.NEXT_PHASE === 'phase-production-build') throw new Error('the build opens no data folder');
  const folder = process.env.STABLE_DATA;
  if (!folder) throw new Error('STABLE_DATA is not set: start Stable by npm start or npm run demo');
  const db = await openDatabase(folder);
  const pool = openPool();
  shared[CLOSE] = async () => {
    await pool.close();
    await db.close();
  };
  await migrate(db);
  await enterKindWords(db);
  await dropLeftStaged(db);
  await db.script('analyze');
  return {
    db,
    now: clock(),
    zone: process.env.STABLE_ZONE ?? 'UTC',
    demo: process.env.STABLE_DEMO === '1',
    beside: pool.beside,
  };
}

/** The one crib of this process. */
export function crib(): Promise<OpenCrib> {
  return (shared[CRIB] ??= open()) as Promise<OpenCrib>;
}

/** Opens at the start. A server that can't would stay up and answer 500 to everything, so the process ends instead. */
export async function openOrEnd(): Promise<void> {
  try {
    await crib();
  } catch (error) {
    console.error(`Stable did not start: ${error instanceof Error ? error.message : String(error)}`);
    process.exit(1);
  }
}
