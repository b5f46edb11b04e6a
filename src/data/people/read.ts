import type { Role, SecondPerson } from '@/core/people';
import { type Connection, many, maybeOne, one } from '@/data/database';
import type { KeyRow, SecretRow, SessionRow, SignerRow } from './types';

/** What somebody is here for now; null: nothing, or they are gone. `person` is an expression of ours, never input. */
const roleOf = (person: string) =>
  `(select r.role from person_role r join person_named p on p.initials = r.person
     where r.person = ${person} and p.in_use order by r.entry_id desc limit 1)`;

const SIGNER = `select p.initials, p.name, p.in_use, r.role, coalesce(s.password_hash is not null, false) as has_password,
    coalesce(s.pin_hash is not null, false) as has_pin, coalesce(s.badge_hash is not null, false) as has_badge,
    (select max(x.used_at) from session x where x.person = p.initials and not x.shared) as used_at
  from person_named p left join lateral (select x.role from person_role x where x.person = p.initials order by x.entry_id desc limit 1) r on true
  left join secret s on s.person = p.initials`;
export const manySigners = (c: Connection) => many<SignerRow>(c, `${SIGNER} order by p.initials`);
export const maybeSigner = (c: Connection, initials: string) =>
  maybeOne<SignerRow>(c, `${SIGNER} where p.initials = $1`, [initials]);
export const maybeRole = async (c: Connection, initials: string): Promise<Role | null> =>
  (await one<{ role: Role | null }>(c, `select ${roleOf('$1')} as role`, [initials])).role;
/** Owners here who can sign in. */
export const countOwners = async (c: Connection): Promise<number> =>
  (
    await one<{ n: number }>(
      c,
      `select count(*)::int as n from role_now r join person_named p on p.initials = r.person
       join secret s on s.person = r.person where r.role = 'owner' and p.in_use and s.password_hash is not null`,
    )
  ).n;

export const maybeSecret = (c: Connection, initials: string) =>
  maybeOne<SecretRow>(c, 'select password_hash, pin_hash from secret where person = $1', [initials]);
export const maybeBadgeOwner = async (c: Connection, hash: string): Promise<string | null> =>
  (await maybeOne<{ person: string }>(c, 'select person from secret where badge_hash = $1', [hash]))
    ?.person ?? null;
export const maybeCode = (c: Connection, hash: string) =>
  maybeOne<{ person: string | null; endsAt: Date }>(
    c,
    'select person, ends_at from one_time_code where code_hash = $1',
    [hash],
  );

const SESSION = 'select id, person, device, begun_at, used_at, shared, at_hand, hand_until from session';
export const maybeSession = (c: Connection, tokenHash: string) =>
  maybeOne<SessionRow & { role: Role | null; handRole: Role | null }>(
    c,
    `select s.id, s.person, s.device, s.begun_at, s.used_at, s.shared, s.at_hand, s.hand_until,
       ${roleOf('s.person')} as role, ${roleOf('s.at_hand')} as hand_role from session s where s.token_hash = $1`,
    [tokenHash],
  );
export const manySessions = (c: Connection, person: string) =>
  many<SessionRow>(c, `${SESSION} where person = $1 order by used_at desc`, [person]);

const KEY = 'select id, name, person, role, verbs, made_at, used_at, ended_at from api_key';
export const maybeKey = (c: Connection, keyHash: string) =>
  maybeOne<KeyRow & { ofPerson: Role | null }>(
    c,
    `select k.id, k.name, k.person, k.role, k.verbs, k.made_at, k.used_at, k.ended_at,
       ${roleOf('k.person')} as of_person from api_key k where k.key_hash = $1`,
    [keyHash],
  );
export const manyKeys = (c: Connection) => many<KeyRow>(c, `${KEY} order by ended_at nulls first, name`);

/** What the shop wants a second person for. */
export const secondPersonFor = async (c: Connection): Promise<Record<SecondPerson, boolean>> =>
  (await maybeOne<Record<SecondPerson, boolean>>(
    c,
    'select write_off, deviation, settlement from second_person order by entry_id desc limit 1',
  )) ?? { writeOff: false, deviation: false, settlement: false };

/** Who else stands behind some entries. */
export const manySigned = (c: Connection, entries: readonly number[]) =>
  many<{ entryId: number; signedBy: string | null; keyName: string | null; second: string | null }>(
    c,
    'select entry_id, signed_by, key_name, second from entry_signed where entry_id = any ($1::int[])',
    [entries],
  );
