import { HOURS_BACK, type May, mayActForAnother, mayDo, type Role, ROLES, whoMay } from '@/core/people';
import { lastRecorded, maybeEntry } from '@/data/ledger';
import { type Done, perform } from './perform';
import { Problem } from './problem';
import type { Crib, Verb } from './verb';

/** Who asks, as the session or the key says that came with it. */
export interface Signed {
  /** Whose initials stand under what is written; null: a screen of many hands at which nobody has signed. */
  who: string | null;
  role: Role;
  /** Sign-in by which it came; null: by a key. */
  session: { id: number; person: string; shared: boolean; handUntil: Date | null } | null;
  key: { id: number; name: string; verbs: readonly string[] | null } | null;
}

/** Who confirms, where the shop wants a second person: asked with what came beside the input. */
export type SecondAsked = (verb: Verb, signed: Signed, second: unknown) => Promise<string | null>;

const notAllowed = (signed: Signed, may: May, what: string) =>
  new Problem(
    'NOT_ALLOWED',
    `${what}: ${signed.who ?? 'whoever signs here'} is here as ${ROLES[signed.role].words}`,
    {
      field: 'who',
      value: signed.who,
      limit: whoMay(may),
      wayOut: `Ask ${whoMay(may)} to do it. What people are here for is said by an owner.`,
    },
  );

/** Refuses who may not see something. */
export function mayRead(signed: Signed, may: May, what: string): void {
  if (!mayDo(signed.role, may)) throw notAllowed(signed, may, what);
}

/**
 * Does a verb for whoever signed in, as `perform` does, and only where they may: by their role, by their key, for another,
 * as far back as their role may enter, and with a second person where the shop wants one. `verbs` are those that may be
 * taken back. Initials come from the sign-in where the input names none.
 */
export async function performAs(
  crib: Crib,
  signed: Signed,
  verb: Verb,
  raw: unknown,
  verbs: readonly Verb[],
  askSecond: SecondAsked = () => Promise.resolve(null),
): Promise<Done> {
  if (signed.who === null)
    throw new Problem('NOBODY_AT_HAND', 'Nobody has signed at this screen', {
      field: 'who',
      limit: 'a badge, or initials and a PIN',
      wayOut: 'Scan your badge, or give your initials and PIN at the top of the screen.',
    });
  if (!mayDo(signed.role, verb.may))
    throw notAllowed(signed, verb.may, `${verb.name} is not done by ${ROLES[signed.role].words}`);
  if (verb.may.length === 0 && signed.session?.shared)
    throw new Problem('NOT_ALLOWED', `${verb.name} is not signed by badge or PIN`, {
      field: 'who',
      value: signed.who,
      limit: 'an owner’s own sign-in',
      wayOut: 'Sign in on a screen of your own by initials and password.',
    });
  if (signed.key?.verbs && !signed.key.verbs.includes(verb.name))
    throw new Problem('NOT_ALLOWED', `The key “${signed.key.name}” is not for ${verb.name}`, {
      field: 'key',
      value: signed.key.name,
      limit: signed.key.verbs.join(', ') || 'reading',
      wayOut: 'Use a key that is for it, or let an owner make one.',
    });
  // What is no object is refused at the door with all else that is wrong with it.
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return perform(crib, verb, raw);
  const all: Record<string, unknown> = { who: signed.who, ...raw };
  const { second, ...sent } = all;
  const forAnother = sent.who !== signed.who;
  if (forAnother && !mayActForAnother(signed.role))
    throw new Problem('NOT_ALLOWED', `who: ${ROLES[signed.role].words} enters nothing for others`, {
      field: 'who',
      value: String(sent.who).slice(0, 20),
      limit: signed.who,
      wayOut: 'Leave it out: your own initials stand under it.',
    });
  await clockMustGoOn(crib);
  notTooFarBack(crib, signed.role, sent.happenedAt);
  await mayTakeBack(crib, signed, verb, sent, verbs);
  return perform(crib, verb, sent, {
    role: signed.role,
    signedBy: forAnother ? signed.who : null,
    keyName: signed.key?.name ?? null,
    second: await askSecond(verb, signed, second),
  });
}

/** How far a clock may go back that is only put right: seconds and minutes are no fault. */
const PUT_RIGHT_MS = 10 * 60_000;
/**
 * Refuses where the machine's clock is before what was entered: what is in force is the latest by its time, and what is
 * entered now would count for older than what it follows.
 */
async function clockMustGoOn(crib: Crib): Promise<void> {
  const last = await lastRecorded(crib.db);
  const now = crib.now();
  if (!last || now.getTime() >= last.getTime() - PUT_RIGHT_MS) return;
  throw new Problem(
    'CLOCK_BACK',
    `The clock of the machine says ${now.toISOString()}, and the last entry was made at ${last.toISOString()}`,
    {
      field: 'happenedAt',
      value: now.toISOString(),
      limit: `from ${last.toISOString()} on`,
      wayOut: 'Set the clock of the machine that Stable runs on. Nothing was written; all can be read.',
    },
  );
}

/** How far back somebody may enter; a time that is none is refused at the door. */
function notTooFarBack(crib: Crib, role: Role, happenedAt: unknown): void {
  const hours = HOURS_BACK[role];
  const at = typeof happenedAt === 'string' ? Date.parse(happenedAt) : Number.NaN;
  if (hours === null || Number.isNaN(at)) return;
  const first = crib.now().getTime() - hours * 3_600_000;
  if (at >= first) return;
  throw new Problem(
    'NOT_ALLOWED',
    `happenedAt: ${ROLES[role].words} enters what happened in the last ${hours} hours`,
    {
      field: 'happenedAt',
      value: happenedAt,
      limit: `from ${new Date(first).toISOString()} on`,
      wayOut: 'Ask an owner, or those who keep the crib’s books, to enter it.',
    },
  );
}

/** An entry is taken back by who may do what it did; at the machine only by who signed it. */
async function mayTakeBack(
  crib: Crib,
  signed: Signed,
  verb: Verb,
  sent: Record<string, unknown>,
  verbs: readonly Verb[],
): Promise<void> {
  if (!verb.counters || typeof sent.counters !== 'number' || !Number.isInteger(sent.counters)) return;
  const old = sent.counters > 0 && sent.counters < 2 ** 31 ? await maybeEntry(crib.db, sent.counters) : null;
  const did = verbs.find((v) => v.name === old?.kind);
  if (!old || !did) return;
  if (!mayDo(signed.role, did.may))
    throw notAllowed(signed, did.may, `${did.name} is not taken back by ${ROLES[signed.role].words}`);
  if (signed.role === 'operator' && old.who !== signed.who)
    throw notAllowed(signed, ['crib', 'planner'], `Entry ${old.id} was signed by ${old.who}`);
}
