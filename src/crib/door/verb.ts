import type { FromSchema, JSONSchema } from 'json-schema-to-ts';
import type { May, Role } from '@/core/people';
import type { Connection, Database, LongTransaction } from '@/data/database';
import type { EntryRow } from '@/data/ledger';
import type { UnkeptSignIns } from '@/data/people';
import { ENVELOPE } from './schema';
import type { Keeper } from './keeper';
import type { Progress, TellFar } from './progress';
import type { Beside } from './task';

/** The crib as its verbs see it: the data, and a clock that is an argument. */
export interface Crib {
  db: Database;
  now: () => Date;
  /** The shop's time zone (IANA name): days and times are shown in it. */
  zone: string;
  /** How files, pictures and programs are read; left out: in this thread. */
  beside?: Beside;
  /** Where long work tells how far it has come; left out: nowhere. */
  progress?: Progress;
  /** Keeps its folder; left out: it lies in none. */
  keeper?: Keeper;
  /** Sign-ins that a full disk keeps from being written; left out: none begins then. */
  unkept?: UnkeptSignIns;
}

/** The entry a verb is writing: its number, who and when, and a way to say what it leans on. */
export interface Moment {
  entryId: number;
  who: string;
  /** What whoever enters it is here for. */
  role: Role;
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
  /** Who may besides the owner. */
  may: May;
  /** Path below /api/v1 at which it is posted. */
  path: string;
  summary: string;
  schema: JSONSchema & object;
  signing: Signing;
  /** Long work on the input (reading a program, a list, a picture): done before the transaction, whose writes it would hold up. */
  prepare?: (input: unknown, c: Database, beside: Beside, tell: TellFar) => unknown;
  /** What was prepared outside the ledger goes again, whether it was entered or not. */
  release?: (c: Connection, prepared: unknown) => Promise<void>;
  /**
   * Many rows, written before their entry by the number it will have, in steps between which others are let in to read.
   * Nothing is in force by an entry that is not there: they see nothing of it, and then all at once.
   */
  enterAhead?: (c: LongTransaction, entryId: number, prepared: unknown, tell: TellFar) => Promise<void>;
  /** It may bring more rows than all entries before it: the planner counts anew after each. */
  bringsMany?: boolean;
  run(c: Connection, input: unknown, moment: Moment, prepared: unknown): Promise<object>;
  /** What its entry says in one line of the history, from the answer it was given. */
  says(answer: Record<string, unknown>): string;
  countering?: Countering;
  /** The entry this one counters, for the one verb that does. */
  counters?: (input: unknown) => number;
}
/** A verb whose input and answer the compiler knows: forms are typed by them. */
type KnownVerb<Name extends string, Input, Answer> = Verb<Name> & { known?: [Input, Answer] };

export type Properties = Record<string, JSONSchema>;
/** The input that fields and what of them is required make. */
export type InputOf<P extends Properties, R extends readonly (keyof P & string)[]> = FromSchema<{
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
  may: May;
  path: string;
  summary: string;
  signing?: Signing;
  properties: P;
  required: R;
  prepare?: (
    input: InputOf<P, R>,
    c: Database,
    beside: Beside,
    tell: TellFar,
  ) => Promise<Prepared> | Prepared;
  release?: (c: Connection, prepared: Prepared) => Promise<void>;
  enterAhead?: (c: LongTransaction, entryId: number, prepared: Prepared, tell: TellFar) => Promise<void>;
  bringsMany?: boolean;
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
    may,
    path,
    summary,
    signing = 'anyone who signs here',
    prepare,
    release,
    enterAhead,
    bringsMany = false,
    run,
    says,
    countering,
    counters,
  } = d;
  // What passed the door is what the schema says; an answer comes out of the ledger as it went in.
  return {
    name,
    may,
    path,
    summary,
    schema,
    signing,
    prepare,
    release,
    enterAhead,
    bringsMany,
    run,
    says,
    countering,
    counters,
  } as Verb<Name>;
}
