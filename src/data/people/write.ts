import type { Role, SecondPerson } from '@/core/people';
import { type Connection, insert } from '@/data/database';

export const insertRole = (c: Connection, entryId: number, person: string, role: Role) =>
  insert(c, 'person_role', { entryId, person, role });
export const insertSecondPerson = (c: Connection, entryId: number, wanted: Record<SecondPerson, boolean>) =>
  insert(c, 'second_person', { entryId, ...wanted });
/** Who else stands behind an entry than whom it names. */
export const insertSigned = (
  c: Connection,
  entryId: number,
  s: { signedBy: string | null; keyName: string | null; second: string | null },
) => insert(c, 'entry_signed', { entryId, ...s });

/** One of somebody's secrets; null takes it away. */
export async function putSecret(
  c: Connection,
  person: string,
  which: 'password' | 'pin' | 'badge',
  hash: string | null,
  at: Date,
): Promise<void> {
  const column = `${which}_hash`;
  await c.query(
    `insert into secret (person, ${column}, changed_at) values ($1, $2, $3)
     on conflict (person) do update set ${column} = excluded.${column}, changed_at = excluded.changed_at`,
    [person, hash, at],
  );
}

export async function insertCode(
  c: Connection,
  hash: string,
  person: string | null,
  endsAt: Date,
): Promise<void> {
  // The newest alone counts.
  await c.query('delete from one_time_code where person is not distinct from $1', [person]);
  await c.query('insert into one_time_code (code_hash, person, ends_at) values ($1, $2, $3)', [
    hash,
    person,
    endsAt,
  ]);
}
/** Takes a code; false: somebody took it before. */
export const takeCode = async (c: Connection, hash: string): Promise<boolean> =>
  (await c.query('delete from one_time_code where code_hash = $1 returning 1 as taken', [hash])).length > 0;

export const insertSession = (
  c: Connection,
  s: { tokenHash: string; person: string; device: string; begunAt: Date; usedAt: Date; shared?: boolean },
): Promise<number> => insert(c, 'session', s, 'id');
export async function touchSession(c: Connection, id: number, at: Date): Promise<void> {
  await c.query('update session set used_at = $2 where id = $1', [id, at]);
}
export async function putAtHand(
  c: Connection,
  id: number,
  person: string | null,
  until: Date | null,
): Promise<void> {
  await c.query('update session set at_hand = $2, hand_until = $3 where id = $1', [id, person, until]);
}
export async function deleteSession(c: Connection, id: number): Promise<void> {
  await c.query('delete from session where id = $1', [id]);
}
/** All sign-ins of a person but one, and all screens of many hands that they set up. */
export async function deleteSessions(c: Connection, person: string, but: number | null): Promise<void> {
  await c.query('delete from session where person = $1 and id is distinct from $2', [person, but]);
}
/** All sign-ins of a person by themselves: screens of many hands sign nothing by them, and stay. */
export async function deleteOwnSessions(c: Connection, person: string): Promise<void> {
  await c.query('delete from session where person = $1 and not shared', [person]);
}
/** What ended long ago is nobody's to look at. */
export async function deleteOldSessions(c: Connection, before: Date, sharedBefore: Date): Promise<void> {
  await c.query(
    'delete from session where begun_at < case when shared then $2::timestamptz else $1::timestamptz end',
    [before, sharedBefore],
  );
}

export const insertKey = (
  c: Connection,
  k: { name: string; keyHash: string; person: string; role: Role; verbs: string[] | null; madeAt: Date },
): Promise<number> => insert(c, 'api_key', k, 'id');
export async function touchKey(c: Connection, id: number, at: Date): Promise<void> {
  await c.query('update api_key set used_at = $2 where id = $1', [id, at]);
}
export async function endKey(c: Connection, id: number, at: Date): Promise<void> {
  await c.query('update api_key set ended_at = $2 where id = $1 and ended_at is null', [id, at]);
}
