import { createHash, randomUUID } from 'node:crypto';
import type { Role } from '@/core/people';
import { localDay } from '@/core/units';
import {
  type Connection,
  type Database,
  type DataError,
  isDataError,
  refreshStatistics,
} from '@/data/database';
import {
  insertEntry,
  insertFormAnswer,
  insertNeeds,
  maybeEntry,
  maybeFormAnswer,
  maybeItemOfEntry,
  nextEntryId,
} from '@/data/ledger';
import { insertSigned } from '@/data/people';
import { maybePerson } from '@/data/shop';
import { Problem, toProblem } from './problem';
import { Progress } from './progress';
import { found } from './read';
import { here } from './task';
import { validate } from './validate';
import type { Crib, Verb } from './verb';

/** Entries between two refreshes of the planner's statistics. */
const ANALYZE_EVERY = 250;

/** The entry a write is kept under; `again` where it was recorded before. */
export interface Recorded {
  entry: number;
  again?: true;
}
/** Answer of a write: what the verb says, and its entry. */
export type Done = Record<string, unknown> & Recorded;

/** Who stands behind an entry besides whom it names. Left out: nobody else, as when the demo is filled. */
export interface Behind {
  role: Role;
  /** Who entered it for another. */
  signedBy: string | null;
  keyName: string | null;
  /** Who confirmed it, where the shop wants two. */
  second: string | null;
}
const NOBODY_ELSE: Behind = { role: 'owner', signedBy: null, keyName: null, second: null };

/**
 * Does a verb once: checks input at the door, then one transaction of entry, rows and answer. A form id that was
 * recorded gives its first answer again, whatever the clock; with other input it is a conflict. Throws a Problem;
 * then nothing was written. Who may is asked before, by `performAs`: this is for who is trusted already.
 */
export async function perform(
  crib: Crib,
  verb: Verb,
  raw: unknown,
  behind: Behind = NOBODY_ELSE,
): Promise<Done> {
  validate(verb.schema, raw);
  const {
    who,
    formId = randomUUID(),
    happenedAt,
    note,
    ...input
    // The envelope was checked; the rest is the verb’s own to check.
  } = raw as Record<string, unknown> & {
    who: string;
    formId?: string;
    happenedAt?: string;
    note?: string;
  };
  const now = crib.now();
  const happened = happenedAt === undefined ? now : new Date(happenedAt);
  const digest = createHash('sha256')
    .update(JSON.stringify([verb.name, who, happenedAt ?? null, note ?? null, sorted(input)]))
    .digest('hex');
  let release: (() => Promise<void>) | undefined;
  try {
    const noWrite = crib.db.whyNoWrite();
    if (noWrite) throw noWrite;
    if (verb.prepare) {
      // What was recorded is answered, and who may not sign is told, before long work is done for it.
      const before = await maybeFormAnswer(crib.db, formId);
      if (before) return again(before, digest);
      await mustSign(crib.db, who);
    }
    const progress = crib.progress ?? new Progress();
    const prepared = await progress.during(formId, (tell) =>
      verb.prepare?.(input, crib.db, crib.beside ?? here, tell),
    );
    release = verb.release?.bind(verb, crib.db, prepared);
    const enter = async (c: Connection, ahead?: (entryId: number) => Promise<void>) => {
      const before = await maybeFormAnswer(c, formId);
      if (before) return again(before, digest);
      if (happened > now)
        throw new Problem('INVALID_INPUT', `happenedAt: ${happenedAt} lies in the future`, {
          field: 'happenedAt',
          value: happenedAt,
          limit: `at most ${now.toISOString()}`,
          wayOut: 'Enter when it happened, or leave it out for now.',
        });
      const counters = verb.counters?.(input) ?? null;
      if (counters !== null) found(await maybeEntry(c, counters), 'counters', counters, 'entry');
      const taken = ahead && (await nextEntryId(c));
      if (taken !== undefined) await ahead?.(taken);
      const entryId = await insertEntry(
        c,
        {
          kind: verb.name,
          happenedAt: happened,
          recordedAt: now,
          who,
          formId,
          counters,
          note: note?.trim() || null,
        },
        taken,
      );
      const needs = new Set<number>();
      const moment = {
        entryId,
        who,
        role: behind.role,
        happenedAt: happened,
        now,
        today: localDay(now, crib.zone),
        day: (at: Date) => localDay(at, crib.zone),
        note: note?.trim() || null,
        leansOn(earlier: number | null) {
          if (earlier !== null && earlier !== entryId) needs.add(earlier);
        },
      };
      if (verb.signing === 'anyone who signs here') await mustSign(c, who);
      const answer = await verb.run(c, input, moment, prepared);
      if (verb.signing !== 'anyone who signs here') await mustSign(c, who);
      await insertNeeds(c, entryId, [...needs]);
      const { signedBy, keyName, second } = behind;
      if (signedBy !== null || keyName !== null || second !== null)
        await insertSigned(c, entryId, { signedBy, keyName, second });
      const done = { ...answer, entry: entryId };
      await insertFormAnswer(c, formId, digest, done);
      return done;
    };
    const { enterAhead } = verb;
    const done = enterAhead
      ? await progress.during(formId, (tell) =>
          crib.db.longTransaction((c) => enter(c, (entryId) => enterAhead(c, entryId, prepared, tell))),
        )
      : await crib.db.transaction((c) => enter(c));
    if ((done.entry % ANALYZE_EVERY === 0 || verb.bringsMany) && !('again' in done)) refreshLater(crib.db);
    return done;
  } catch (error) {
    if (isDataError(error) && error.code === 'LEANED_ON') throw await leanedOn(crib.db, error);
    throw toProblem(error);
  } finally {
    // What is left behind costs room and nothing else; the next start takes it away.
    await release?.().catch(() => undefined);
  }
}

/** The answer goes out first. Should it fail (a full disk, a closed folder), plans are older and nothing else is lost. */
function refreshLater(db: Database): void {
  setImmediate(() => void refreshStatistics(db).catch(() => undefined));
}

async function mustSign(c: Connection, who: string): Promise<void> {
  const person = await maybePerson(c, who);
  if (person?.inUse) return;
  throw new Problem(
    'INVALID_INPUT',
    person ? `who: ${who} signs here no more` : `who: nobody here signs ${who}`,
    {
      field: 'who',
      value: who,
      limit: 'initials of a person here',
      wayOut: 'Pick your initials, or add yourself first.',
    },
  );
}

function again(before: { inputDigest: string; answer: unknown }, digest: string): Done {
  if (before.inputDigest !== digest)
    throw new Problem('CONFLICT', 'This form was recorded before with other values', {
      field: 'formId',
      wayOut: 'Open the form anew and send it again.',
    });
  // An answer was written as one.
  return { ...(before.answer as Done), again: true };
}

async function leanedOn(c: Connection, error: DataError): Promise<Problem> {
  const later = await maybeEntry(c, Number(error.at.detail));
  const item = later && (await maybeItemOfEntry(c, later.id));
  return new Problem(
    'REFUSED',
    `Entry ${later?.id ?? ''} (${later?.kind ?? 'a later one'}${item ? ` of ${item.code}` : ''}, ${later?.who ?? ''}) leans on it`,
    {
      field: 'counters',
      value: later?.id,
      wayOut: `Counter entry ${later?.id ?? ''} first, or enter what is true now.`,
    },
  );
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sorted(v)]),
  );
}
