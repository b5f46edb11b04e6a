import type { Crib } from '../src/crib/door';
import { registersView } from '../src/crib/registers';
import { rackView } from '../src/crib/rack';
import type { Connection, Database } from '../src/data/database';
import { yearsOfWork } from './yearsOfWork';

const STANDING = 10_000;
const MEASUREMENTS = 20;
const ROUNDS = 60;

/** A database that keeps what it is asked. */
function listening(db: Database, heard: { sql: string; params: readonly unknown[] }[]): Database {
  return {
    ...db,
    query: (sql, params) => {
      heard.push({ sql, params: params ?? [] });
      return db.query(sql, params);
    },
  } as Database;
}

const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[times.length >> 1] ?? NaN;

/** The view beside the statements it puts, put by themselves one after another: what reckoning and judging cost. */
async function overBare(
  crib: Crib,
  view: (c: Connection) => Promise<unknown>,
): Promise<{ ratio: number; ms: number; statements: number }> {
  const heard: { sql: string; params: readonly unknown[] }[] = [];
  await view(listening(crib.db, heard));
  const took = { view: [] as number[], bare: [] as number[] };
  for (let i = 0; i < ROUNDS; i += 1) {
    let from = performance.now();
    await view(crib.db);
    took.view.push(performance.now() - from);
    from = performance.now();
    for (const { sql, params } of heard) await crib.db.query(sql, params as never);
    took.bare.push(performance.now() - from);
  }
  return { ratio: median(took.view) / median(took.bare), ms: median(took.view), statements: heard.length };
}

/** Ten thousand assemblies that stand, each measured twenty times: what one machine's rack and register sheet cost. */
export async function benchRack(say: (name: string, ratio: number, note: string) => void): Promise<void> {
  const { crib } = await yearsOfWork(0.5, { standing: STANDING, measurements: MEASUREMENTS });
  const rack = await rackView(crib.db, { machine: 'M1' });
  const sheet = await registersView(crib.db, { machine: 'M1' }, 'UTC');
  const one = await overBare(crib, (c) => rackView(c, { machine: 'M1' }));
  say(
    `rack of one machine, ${STANDING.toLocaleString('en')} stand / its statements alone`,
    one.ratio,
    `at most 2; ${rack.assemblies.length} hang there, ${one.ms.toFixed(1)} ms, ${one.statements} statements`,
  );
  const two = await overBare(crib, (c) => registersView(c, { machine: 'M1' }, 'UTC'));
  say(
    `register sheet of it, ${(STANDING * MEASUREMENTS).toLocaleString('en')} measurements / its statements alone`,
    two.ratio,
    `at most 2; ${sheet?.lines.length ?? 0} T, ${two.ms.toFixed(1)} ms, ${two.statements} statements`,
  );
}
