import { found, type Moment, Problem } from '@/crib/door';
import { type AssemblyRow, insertTakeDown, maybeAssembly } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertMovement, onePlaceOfKind, type PlaceRow } from '@/data/stock';
import { heldBy } from './taking';

/**
 * The assembly of a tag that still stands, or a Problem that says what became of it. What is done to it can't have
 * happened before it was built: that is refused too, at the field of the time.
 */
export async function standing(
  c: Connection,
  moment: Moment,
  tag: string,
  name = 'tag',
): Promise<AssemblyRow> {
  const assembly = found(await maybeAssembly(c, tag.toUpperCase()), name, tag, 'assembly');
  if (assembly.takenDownAt !== null)
    throw new Problem('CONFLICT', `${assembly.tag} was taken down on ${moment.day(assembly.takenDownAt)}`, {
      field: name,
      value: assembly.tag,
      limit: 'an assembly that stands',
      wayOut: 'Look for the tag of the newer build.',
    });
  if (assembly.builtAt > moment.happenedAt)
    throw new Problem('INVALID_INPUT', `happenedAt: ${assembly.tag} was not built yet then`, {
      field: 'happenedAt',
      value: moment.happenedAt.toISOString(),
      limit: `from ${assembly.builtAt.toISOString()}`,
      wayOut: 'Enter the time it happened, or look for the tag of the older build.',
    });
  return assembly;
}

/** Where what holds the cutter goes: back where it came from, elsewhere by item, or it stays for the next build. */
export type HeldGoes = 'stays' | { elsewhere: ReadonlyMap<number, PlaceRow> };
export const BACK: HeldGoes = { elsewhere: new Map() };

/** Moves all that was put together out of the build; where to is said by place. */
export async function dismantle(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  cutterTo: PlaceRow,
  held: HeldGoes,
): Promise<void> {
  const inBuild = await onePlaceOfKind(c, 'build');
  moment.leansOn(a.entryId);
  moment.leansOn(cutterTo.entryId);
  await insertMovement(c, {
    entryId: moment.entryId,
    itemId: a.cutterItemId,
    pieceId: a.pieceId,
    lotId: a.cutterLotId,
    from: inBuild.id,
    to: cutterTo.id,
    quantity: 1,
  });
  if (held !== 'stays') {
    const { parts, ...holder } = await heldBy(c, a);
    for (const thing of [holder, ...parts])
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: thing.itemId,
        lotId: thing.lotId,
        from: inBuild.id,
        to: held.elsewhere.get(thing.itemId)?.id ?? thing.placeId,
        quantity: 1,
      });
  }
  await insertTakeDown(c, moment.entryId, { assemblyId: a.id });
}
