import { createHash, randomUUID } from 'node:crypto';
import type { FromSchema, JSONSchema } from 'json-schema-to-ts';
import { localDay } from '@/core/units';
import { isDataError, type DataError, type Connection, type Database } from '@/data/database';
import {
  insertEntry,
  insertFormAnswer,
  insertNeed,
  maybeEntry,
  maybeFormAnswer,
  maybeItemOfEntry,
} from '@/data/ledger';
import { maybePerson } from '@/data/people';
import { ENVELOPE } from './schema';
import { Problem, toProblem } from './problem';
import { found } from './read';
import { validate } from './validate';

/** The crib as its verbs see it: the data, and a clock that is an argument. */
export interface Crib {
  db: Database;
  now: () => Date;
  /** The shop's time zone (IANA name): days and times are shown in it. */
  zone: string;
}

/** The entry a verb is writing: its number, who and when, and a way to say what it leans on. */
export interface Moment {
  entryId: number;
  who: string;
  happenedAt: Date;
  now: Date;
  /** Today in the shop's zone, ISO. */
  today: string;
  /** The day of a moment in the shop's zone, ISO. */
  day(at: Date): string;
  note: string | null;
  /** This entry leans on an earlier one, which can't be countered while this one stands. null is a built-in thing. */
  leansOn(entryId: number | null): Promise<void>;
}

export interface Verb {
  name: string;
  /** Path below /api/v1 at which it is posted. */
  path: string;
  summary: string;
  schema: JSONSchema & object;
  /** Long work on the input alone (reading a program, a list, a picture): done before the transaction, whose writes it would hold up. */
  prepare?: (input: unknown) => unknown;
  run(c: Connection, input: unknown, moment: Moment, prepared: unknown): Promise<object>;
  /** The entry this one counters, for the one verb that does. */
  counters?: (input: unknown) => number;
}

type Properties = Record<string, JSONSchema>;
type InputOf<P extends Properties, R extends readonly (keyof P & string)[]> = FromSchema<{
  type: 'object';
  properties: P;
  required: R;
  additionalProperties: false;
}>;
interface VerbDefinition<
  P extends Properties,
  R extends readonly (keyof P & string)[],
  A extends object,
  Prepared,
> {
  name: string;
  path: string;
  summary: string;
  properties: P;
  required: R;
  prepare?: (input: InputOf<P, R>) => Promise<Prepared> | Prepared;
  run(c: Connection, input: InputOf<P, R>, moment: Moment, prepared: Prepared): Promise<A>;
  counters?: Verb['counters'];
}

/** Makes a verb: its schema is its own fields and the envelope (who, formId, happenedAt, note). */
export function defineVerb<
  const P extends Properties,
  const R extends readonly (keyof P & string)[],
  A extends object,
  Prepared = undefined,
>(d: VerbDefinition<P, R, A, Prepared>): Verb {
  const schema = {
    type: 'object',
    properties: { ...ENVELOPE, ...d.properties },
    required: ['who', ...d.required],
    additionalProperties: false,
  } as const;
  return {
    name: d.name,
    path: d.path,
    summary: d.summary,
    schema,
    prepare: d.prepare as Verb['prepare'],
    run: d.run as Verb['run'],
    counters: d.counters,
  };
}

/** Entries between two refreshes of the planner's statistics. */
const ANALYZE_EVERY = 250;

/** Answer of a write: what the verb says, and the entry it is kept under. */
export type Done = Record<string, unknown> & { entry: number; again?: true };

/**
 * Does a verb once: checks input at the door, then one transaction of entry, rows and answer. A form id that was
 * recorded gives its first answer again, whatever the clock; with other input it is a conflict. Throws a Problem;
 * then nothing was written.
 */
export async function perform(crib: Crib, verb: Verb, raw: unknown): Promise<Done> {
  validate(verb.schema, raw);
  const {
    who,
    formId = randomUUID(),
    happenedAt,
    note,
    ...input
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
  try {
    const prepared = await verb.prepare?.(input);
    const done = await crib.db.transaction(async (c) => {
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
      const entryId = await insertEntry(c, {
        kind: verb.name,
        happenedAt: happened,
        recordedAt: now,
        who,
        formId,
        counters,
        note: note?.trim() || null,
      });
      const leansOn = async (needs: number | null) => {
        if (needs !== null && needs !== entryId) await insertNeed(c, entryId, needs);
      };
      const moment = {
        entryId,
        who,
        happenedAt: happened,
        now,
        today: localDay(now, crib.zone),
        day: (at: Date) => localDay(at, crib.zone),
        note: note?.trim() || null,
        leansOn,
      };
      const answer = await verb.run(c, input, moment, prepared);
      if (!(await maybePerson(c, who)))
        throw new Problem('INVALID_INPUT', `who: nobody here signs ${who}`, {
          field: 'who',
          value: who,
          limit: 'initials of a person here',
          wayOut: 'Pick your initials, or add yourself first.',
        });
      const done = { ...answer, entry: entryId };
      await insertFormAnswer(c, formId, digest, done);
      return done;
    });
    if (done.entry % ANALYZE_EVERY === 0 && !('again' in done)) refreshLater(crib.db);
    return done;
  } catch (error) {
    if (isDataError(error) && error.code === 'LEANED_ON') throw await leanedOn(crib.db, error);
    throw toProblem(error);
  }
}

/**
 * PGlite has no autovacuum: without fresh statistics a join over the ledger takes a hundred times as long. The answer
 * goes out first. Should it fail (a full disk, a closed folder), plans are older and nothing else is lost.
 */
function refreshLater(db: Database): void {
  setImmediate(() => void db.script('analyze').catch(() => undefined));
}

function again(before: { inputDigest: string; answer: unknown }, digest: string): Done {
  if (before.inputDigest !== digest)
    throw new Problem('CONFLICT', 'This form was recorded before with other values', {
      field: 'formId',
      wayOut: 'Open the form anew and send it again.',
    });
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
