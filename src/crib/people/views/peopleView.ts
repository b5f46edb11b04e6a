import type { Role, SecondPerson } from '@/core/people';
import type { Crib, Signed } from '@/crib/door';
import {
  type KeyRow,
  manyKeys,
  manySigners,
  secondPersonFor,
  type SessionRow,
  type SignerRow,
} from '@/data/people';
import { sessionsOf } from '../sessions';

export interface PeopleView {
  /** Whoever asks; null: a screen of many hands. */
  me: (SignerRow & { sessions: (SessionRow & { this: boolean })[] }) | null;
  /** Who is here for what. What they have to sign in with is an owner's to see. */
  people: (Pick<SignerRow, 'initials' | 'name' | 'inUse' | 'role'> & { signing: SignerRow | null })[];
  /** An owner's to see. */
  keys: KeyRow[] | null;
  wanted: Record<SecondPerson, boolean>;
  role: Role;
}

/** Who is here for what, and one's own sign-ins. */
export async function peopleView(crib: Pick<Crib, 'db' | 'unkept'>, signed: Signed): Promise<PeopleView> {
  const c = crib.db;
  const signers = await manySigners(c);
  const own = signed.session?.shared ? null : signed.who;
  const me = signers.find((p) => p.initials === own);
  const owner = signed.role === 'owner';
  return {
    me: me
      ? {
          ...me,
          sessions: (await sessionsOf(crib, me.initials)).map((s) => ({
            ...s,
            this: s.id === signed.session?.id,
          })),
        }
      : null,
    people: signers.map((p) => ({
      initials: p.initials,
      name: p.name,
      inUse: p.inUse,
      role: p.role,
      signing: owner ? p : null,
    })),
    keys: owner ? await manyKeys(c) : null,
    wanted: await secondPersonFor(c),
    role: signed.role,
  };
}
