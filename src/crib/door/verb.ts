import type { FromSchema, JSONSchema } from 'json-schema-to-ts';
import { createHash, randomUUID } from 'node:crypto';
import { localDay } from '@/core/units';
import { type Connection, type Database, type DataError, isDataError } from '@/data/database';
import {
  type EntryRow,
  insertEntry,
  insertFormAnswer,
  insertNeeds,
  maybeEntry,
  maybeFormAnswer,
  maybeItemOfEntry,
} from '@/data/ledger';
import { maybePerson } from '@/data/shop';
import { Problem, toProblem } from './problem';
import { found } from './read';
import { ENVELOPE } from './schema';
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
  leansOn(entryId: number | null): void;
}

/** Why an entry can't be taken back, and the way out. */
interface NoWayBack {
  words: string;
  value?: number;
  wayOut?: string;
}

/**
 * How an entry is taken back. Left out: by its rows, which the database turns round and refuses where a later entry
 * leans on them; `never` says why not at all, `unless` looks for what the database can't know.
 */
type Countering =
  { never: string } | { unless: (c: Connection, entry: EntryRow) => Promise<NoWayBack | null> };

/** Who may sign for it: anybody who signs here; or, at the first entry of all, the one it adds as well. */
type Signing = 'anyone who signs here' | 'also the one it adds';

export interface Verb<Name extends string = string> {
  name: Name;
  /** Path below /api/v1 at which it is posted. */
  path: string;
  summary: string;
  schema: JSONSchema & object;
  signing: Signing;
  /** Long work on the input (reading a program, a list, a picture): done before the transaction, whose writes it would hold up. */
  prepare?: (input: unknown, c: Connection) => unknown;
  run(c: Connection, input: unknown, moment: Moment, prepared: unknown): Promise<object>;
  /** What its entry says in one line of the history, from the answer it was given. */
  says(answer: Record<string, unknown>): string;
  countering?: Countering;
  /** The entry this one counters, for the one verb that does. */
  counters?: (input: unknown) => number;
}
/** A verb whose input and answer the compiler knows: forms are typed by them. */
type KnownVerb<Name extends string, Input, Answer> = Verb<Name> & { known?: [Input, Answer] };

type Properties = Record<string, JSONSchema>;
type InputOf<P extends Properties, R extends readonly (keyof P & string)[]> = FromSchema<{
  type: 'object';
  properties: P;
  required: R;
  additionalProperties: false;
}>;
interface VerbDefinition<
  Name extends string,
  P extends Properties,
  R extends readonly (keyof P & string)[],
  A extends object,
  Prepared,
> {
  name: Name;
  path: string;
  summary: string;
  signing?: Signing;
  properties: P;
  required: R;
  prepare?: (input: InputOf<P, R>, c: Connection) => Promise<Prepared> | Prepared;
  run(c: Connection, input: InputOf<P, R>, moment: Moment, prepared: Prepared): Promise<A>;
  says(answer: A): string;
  countering?: Countering;
  counters?: (input: InputOf<P, R>) => number;
}

/** Makes a verb: its schema is its own fields and the envelope (who, formId, happenedAt, note). */
export function defineVerb<
  const Name extends string,
  const P extends Properties,
  const R extends readonly (keyof P & string)[],
  A extends object,
  Prepared = undefined,
>(d: VerbDefinition<Name, P, R, A, Prepared>): KnownVerb<Name, InputOf<P, R>, A> {
  const schema = {
    type: 'object',
    properties: { ...ENVELOPE, ...d.properties },
    required: ['who', ...d.required],
    additionalProperties: false,
  } as const;
  const {
    name,
    path,
    summary,
    signing = 'anyone who signs here',
    prepare,
    run,
    says,
    countering,
    counters,
  } = d;
  // What passed the door is what the schema says; an answer comes out of the ledger as it went in.
  return { name, path, summary, schema, signing, prepare, run, says, countering, counters } as Verb<Name>;
}

/** Entries between two refreshes of the planner's statistics. */
const ANALYZE_EVERY = 250;

/** The entry a write is kept under; `again` where it was recorded before. */
export interface Recorded {
  entry: number;
  again?: true;
}
/** Answer of a write: what the verb says, and its entry. */
export type Done = Record<string, unknown> & Recorded;

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
  try {
    const prepared = await verb.prepare?.(input, crib.db);
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
      const needs = new Set<number>();
      const moment = {
        entryId,
        who,
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
