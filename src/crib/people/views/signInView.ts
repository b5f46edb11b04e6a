import type { Role } from '@/core/people';
import type { Connection } from '@/data/database';
import { countOwners, manySigners } from '@/data/people';

/** What whoever comes to the door may see: in the demo its people; elsewhere only whether anybody owns the crib. */
export async function signInView(
  c: Connection,
  demo: boolean,
): Promise<{ people: { initials: string; name: string; role: Role }[] | null; first: boolean }> {
  if (!demo) return { people: null, first: (await countOwners(c)) === 0 };
  const people = (await manySigners(c)).flatMap(({ initials, name, inUse, role }) =>
    inUse && role ? [{ initials, name, role }] : [],
  );
  return { people, first: false };
}
