import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Crib, type Done, perform, type Signed } from '@/crib/door';
import { verbNamed } from '@/crib/verbs';
import { enterKindWords, KIND_WORDS } from '@/data/catalogue';
import {
  type Connection,
  type Database,
  type FolderDatabase,
  migrate,
  openDatabase,
  openInMemory,
  type Param,
} from '@/data/database';
import { keptDump, layOut } from '@/data/testing';

/** Somebody who may see all. */
export const OWNER: Signed = {
  who: 'IK',
  role: 'owner',
  session: { id: 1, person: 'IK', shared: false, handUntil: null },
  key: null,
};

/** A crib in memory for tests: real PostgreSQL with the schema, a clock that the test turns, and short ways to do verbs. */
export interface TestCrib extends Crib {
  db: Database;
  at(iso: string): void;
  do(verb: string, input: Record<string, unknown>): Promise<Done>;
}

const MIGRATIONS = join(process.cwd(), 'src', 'data', 'migrations');
/** What lays them down, and says what the planner is told. */
const MIGRATE = join(process.cwd(), 'src', 'data', 'database', 'migrate.ts');
/** The database of a shop that has begun: with the schema, and nothing in it. */
const begun = () =>
  keptDump(
    [
      ...readdirSync(MIGRATIONS)
        .sort()
        .map((name) => readFileSync(join(MIGRATIONS, name), 'utf8')),
      readFileSync(MIGRATE, 'utf8'),
      JSON.stringify(KIND_WORDS),
    ],
    async (db) => {
      await migrate(db);
      await enterKindWords(db);
    },
  );

/** A folder of a shop that has begun, on a real disk; how much is free there is asked of `free`, where a test says it. */
export async function openFolder(path: string, free?: () => number): Promise<FolderDatabase> {
  await layOut(path, await begun());
  return openDatabase(path, free);
}

/** A database of its own in memory, with its own transactions, of a shop that has begun: whoever opens it closes it. */
export const openOwn = async (): Promise<Database> => openInMemory(await begun());

/** Databases of this process that no test uses now, as they were when they were opened. */
const idle: Database[] = [];

/**
 * A database that is put back as it was instead of opened anew: all that a test does lies in one transaction, its own
 * transactions are savepoints in it, and what a commit would check is checked where each of them ends.
 */
async function restorable(db: Database): Promise<Database> {
  const sequences = await db.query<{ name: string; value: number | null }>(
    "select format('%I', sequencename) as name, last_value as value from pg_sequences where schemaname = 'public'",
  );
  const restart = sequences
    .map(({ name, value }) => `select setval('${name}', ${value ?? 1}, ${value !== null})`)
    .join(';');
  // Each statement is planned once for all tests: of so few rows planning takes longer than reading them.
  await db.script('set plan_cache_mode = force_generic_plan; begin');
  let last: Promise<unknown> = Promise.resolve();
  let closed = false;
  const alone = <T>(work: () => Promise<T>): Promise<T> => {
    // What was still to be done, such as a count of the rows, must not get between the acts of whoever has the database next.
    if (closed) return Promise.reject(new Error('This crib was closed'));
    const run = last.then(work, work);
    last = run.catch(() => undefined);
    return run;
  };
  const kept = async <T>(work: () => Promise<T>): Promise<T> => {
    await db.script('savepoint act');
    try {
      const value = await work();
      await db.script('set constraints all immediate; set constraints all deferred; release savepoint act');
      return value;
    } catch (error) {
      await db.script('rollback to savepoint act; release savepoint act');
      throw error;
    }
  };
  const reads = /^\s*(select|explain)\b/i;
  return {
    query: <Row>(sql: string, params?: readonly Param[]) =>
      alone(() => (reads.test(sql) ? db.query<Row>(sql, params) : kept(() => db.query<Row>(sql, params)))),
    transaction: <T>(work: (c: Connection) => Promise<T>) => alone(() => kept(() => work(db))),
    // Nobody else is here to be let in.
    longTransaction: (work) =>
      alone(() =>
        kept(() => work({ query: db.query, letReadersIn: () => new Promise((go) => void setImmediate(go)) })),
      ),
    whyNoWrite: () => null,
    script: (sql) => alone(() => kept(() => db.script(sql))),
    close: () => {
      const done = alone(async () => {
        await db.script(`rollback; ${restart}`);
        idle.push(db);
      });
      closed = true;
      return done;
    },
  };
}

export async function openTestCrib(): Promise<TestCrib> {
  const db = await restorable(idle.pop() ?? (await openInMemory(await begun())));
  let now = new Date('2027-01-05T09:00:00Z');
  const crib: TestCrib = {
    db,
    zone: 'America/St_Johns',
    now: () => now,
    at: (iso) => void (now = new Date(iso)),
    do: (name, input) => perform(crib, verbNamed(name)!, { who: 'IK', formId: randomUUID(), ...input }),
  };
  return crib;
}

export const guess = (value: string) => ({ value, origin: 'maker' });

/** What is said of a mill, but its code and name. */
export const MILL = {
  taper: '40 taper',
  k: '490',
  lengthSchool: 'datum',
  diameterSchool: 'radius',
  units: 'mm',
  hEqualsT: 'yes',
  rpmMax: '10000',
  feedMax: '6000',
  rapid: '20000',
  toolChangeS: '5',
  withoutPoint: 'as written',
};

/** The smallest shop the story needs: a person, places, a material, a supplier, a machine, cutters and holders in stock. */
export async function furnish(crib: Pick<TestCrib, 'do'> & Partial<TestCrib>): Promise<void> {
  await crib.do('addPerson', { initials: 'IK', name: 'Ida Kern' });
  await crib.do('addPlace', { code: 'S1', name: 'Shelf 1', kind: 'shelf' });
  await crib.do('addPlace', { code: 'USED', name: 'Used drawer', kind: 'drawer' });
  await crib.do('addMaterial', { code: 'C45', name: 'Carbon steel', isoGroup: 'P' });
  await crib.do('addSupplier', { code: 'NORD', name: 'Nordkap Tools', leadTimeDays: 10 });
  await crib.do('addMachine', { code: 'M2', name: 'Mill 2', ...MILL });
  await crib.do('addItem', {
    code: 'EM10',
    kind: 'cutter',
    family: 'square',
    facts: {
      SUBSTRATE: guess('carbide'),
      DC: guess('10'),
      DMM: guess('10'),
      LCF: guess('22'),
      OAL: guess('72'),
      NOF: guess('4'),
    },
    assumedLife: { minutes: '40', origin: 'guess' },
    supply: { supplier: 'NORD', orderCode: 'N-1010', priceCents: 3150, pack: 2 },
  });
  await crib.do('addItem', {
    code: 'SL10',
    kind: 'holder',
    facts: {
      CCMS: guess('40 taper'),
      LF: guess('60'),
      CLAMP_MIN: guess('10'),
      CLAMP_MAX: guess('10'),
      GRIP_MIN: guess('30'),
      DEPTH_MAX: guess('45'),
      RPM_MAX: guess('12000'),
    },
    segments: [
      { length: 20, upper: 63, lower: 63 },
      { length: 40, upper: 44, lower: 32 },
    ],
  });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 3 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 2 });
}

/** A program of one tool that feeds exactly so many minutes a part, 100 mm/min along a line at depth z. */
export const oneToolProgram = (t: number, minutes: number, z = -10): string =>
  `G21 G90 G17 G54\nT${t} M6\nS3000 M3\nG0 X0 Y0\nG0 G43 H${t} Z5\nG0 Z${z}\nG1 X${minutes * 100} F100\nG0 Z5\nM30`;

/**
 * A job of 60 Blocks in C45 on M2 whose T7 cuts 2 min a part with an EM10 of its own, built for it and measured: 40 min are
 * assumed of its life, so 20 parts.
 */
export async function blockOnT7(crib: TestCrib): Promise<{ operation: number; tag: string }> {
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
  const { operation } = await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 60, due: '2027-02-01', machine: 'M2' },
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('recordMeasurement', { tag, gaugeLength: 94 });
  return { operation: Number(operation), tag: String(tag) };
}
