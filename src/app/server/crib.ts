import 'server-only';
import type { IncomingHttpHeaders } from 'node:http';
import { type Crib, forLog, type Keeper, Progress, type Signed } from '@/crib/door';
import { openKeeper } from '@/crib/keeping';
import { codeOfFirstOwner, demoKey, KEY_BEGINS, newSecret, Slow, whoSigns } from '@/crib/people';
import { enterKindWords } from '@/data/catalogue';
import {
  Damaged,
  type FolderDatabase,
  FolderInUse,
  giveUpRoom,
  layRoomBy,
  migrate,
  MigrationChanged,
  openDatabase,
  plainDamage,
} from '@/data/database';
import { dropLeftStaged } from '@/data/exchange';
import { lastRecorded } from '@/data/ledger';
import { UnkeptSignIns } from '@/data/people';
import { openPool } from '@/workers';
import { heedAsked } from './asked';
import { keyIn, tokenIn } from './cookie';

export interface OpenCrib extends Crib {
  keeper: Keeper;
  progress: Progress;
  demo: boolean;
  /** Misses at signing in, counted once for all. */
  slow: Slow;
}

// Next loads a module several times; the opening promise lives where all of them see it.
const shared = globalThis as typeof globalThis & { [key: symbol]: unknown };
const CRIB = Symbol.for('stable.crib');
const CLOSE = Symbol.for('stable.close');
const SAY = Symbol.for('stable.say');
const SIGNED = Symbol.for('stable.signed');

/** The clock: real, but for a demo folder that was given a time of its own, from which it runs on, or from its last entry. */
function clock(last: Date | null): () => Date {
  const pretended = process.env.STABLE_DEMO === '1' ? process.env.STABLE_NOW : undefined;
  if (!pretended) return () => new Date();
  const ahead = Math.max(Date.parse(pretended), last?.getTime() ?? 0) - Date.now();
  return () => new Date(Date.now() + ahead);
}

async function open(): Promise<OpenCrib> {
  if (process.env.NEXT_PHASE === 'phase-production-build') throw new Error('the build opens no data folder');
  const folder = process.env.STABLE_DATA;
  if (!folder) throw new Error('STABLE_DATA is not set: start Stable by npm start or npm run demo');
  const pool = openPool();
  try {
    return await openOn(folder, pool);
  } catch (error) {
    // A thread that starts while the process ends can hold it up.
    await pool.close().catch(() => undefined);
    throw error;
  }
}

async function openOn(folder: string, pool: ReturnType<typeof openPool>): Promise<OpenCrib> {
  giveUpRoom(folder);
  const db = await openDatabase(folder);
  shared[CLOSE] = async () => {
    await pool.close();
    await db.close();
  };
  await migrate(db);
  const faults = await plainDamage(db);
  if (faults.length) throw new Damaged(faults);
  await makeReady(db, folder);
  const demo = process.env.STABLE_DEMO === '1';
  const said = { db, now: clock(await lastRecorded(db)), zone: process.env.STABLE_ZONE ?? 'UTC' };
  const keeper = openKeeper(said, folder, pool.beside, demo);
  const opened = {
    ...said,
    keeper,
    demo,
    beside: pool.beside,
    slow: new Slow(),
    progress: new Progress(),
    unkept: new UnkeptSignIns(),
  };
  heedAsked(opened);
  keepByTimetable(keeper);
  shared[SAY] = await toSayAtStart(opened);
  shared[SIGNED] = (said: IncomingHttpHeaders) =>
    whoSigns(opened, { token: tokenIn(said.cookie), key: keyIn(said.authorization) });
  return opened;
}

/** How often it is looked whether there is room again. */
const ROOM_MS = 10_000;
/** What each start puts in order in the data. Without room it waits until there is some: what is there can be read meanwhile. */
async function makeReady(db: FolderDatabase, folder: string): Promise<void> {
  if (db.whyNoWrite() === null) {
    await enterKindWords(db);
    await dropLeftStaged(db);
    await db.script('analyze');
    await layRoomBy(folder).catch((error: unknown) => console.error(`No room was laid by: ${forLog(error)}`));
    return;
  }
  const again = () => void makeReady(db, folder).catch((error: unknown) => console.error(forLog(error)));
  setTimeout(again, ROOM_MS).unref();
}

/** How often it is looked whether a backup is due. */
const LOOK_MS = 10_000;
/** Backs up when it is time. What goes wrong is kept by the keeper, and Today says it; the log says it too. */
function keepByTimetable(keeper: ReturnType<typeof openKeeper>): void {
  const look = () =>
    keeper.lookAtTimetable().catch((error: unknown) => console.error(`No backup was made: ${forLog(error)}`));
  setInterval(() => void look(), LOOK_MS).unref();
}

/** What whoever starts Stable is told, and nobody else: how the first owner comes in; the demo's key. */
async function toSayAtStart(opened: OpenCrib): Promise<string[]> {
  if (opened.db.whyNoWrite() !== null)
    return [
      'The disk of the data folder is nearly full: all can be read, and nothing is written until there is room.',
    ];
  if (opened.demo) {
    const key = process.env.STABLE_DEMO_KEY ?? `${KEY_BEGINS}${newSecret()}`;
    await demoKey(opened, key);
    return [`The demo’s key for programs, of full rights: ${key}`];
  }
  const code = await codeOfFirstOwner(opened);
  return code === null
    ? []
    : [
        `Nobody owns this crib yet. Open /sign-in#code=${code} to become its owner (once, within three days).`,
      ];
}

/** Who sent a request that is answered now, as the gate found it (scripts/serve.mjs); undefined: it did not ask. */
export function askedAtGate(ticket: string | null): Signed | undefined {
  const tickets = shared[Symbol.for('stable.tickets')];
  return ticket !== null && tickets instanceof Map ? tickets.get(ticket) : undefined;
}

/** The one crib of this process. */
export function crib(): Promise<OpenCrib> {
  return (shared[CRIB] ??= open()) as Promise<OpenCrib>;
}

/** Why the folder could not be opened, in words for whoever starts it; what the engine says helps nobody here. */
export function whyNotOpened(error: unknown, folder: string): string {
  if (error instanceof FolderInUse || error instanceof MigrationChanged || error instanceof Damaged)
    return error.message;
  const isError = error instanceof Error;
  const code = isError && 'code' in error && typeof error.code === 'string' ? error.code : '';
  if (['EACCES', 'EPERM', 'EROFS'].includes(code))
    return `The data folder ${folder} can’t be written to (${code}): give the user who runs Stable the right to it, or set STABLE_DATA to another folder.`;
  if (code === 'ENOSPC' || code === 'NO_ROOM')
    return `The disk of the data folder ${folder} is full: make room on it and start again.`;
  // What our own parts say of themselves: settings and the build.
  if (isError && /STABLE_|npm start|flock/.test(error.message)) return error.message;
  return `The data folder ${folder} can’t be opened: its files are damaged, or are none of a Stable. Keep a copy of it as it is, and put back the last copy from before. (${forLog(error).split('\n', 1)[0]})`;
}

/** Opens at the start. A server that can't would stay up and answer 500 to everything, so the process ends instead. */
export async function openOrEnd(): Promise<void> {
  try {
    await crib();
  } catch (error) {
    console.error(`Stable did not start: ${whyNotOpened(error, process.env.STABLE_DATA ?? '')}`);
    process.exit(1);
  }
}
