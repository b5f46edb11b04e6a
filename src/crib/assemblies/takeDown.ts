import { placeInCrib } from '@/crib/stock';
import { defineVerb, field, found, Problem, type Moment } from '@/crib/door';
import { maybeAssembly, type AssemblyRow, insertTakeDown } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertMovement, onePlaceOfKind, type PlaceRow } from '@/data/stock';

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
  if (assembly.taken_down_entry_id !== null)
    throw new Problem(
      'CONFLICT',
      `${assembly.tag} was taken down on ${moment.day(assembly.taken_down_at!)}`,
      {
        field: name,
        value: assembly.tag,
        limit: 'an assembly that stands',
        wayOut: 'Look for the tag of the newer build.',
      },
    );
  if (assembly.built_at > moment.happenedAt)
    throw new Problem('INVALID_INPUT', `happenedAt: ${assembly.tag} was not built yet then`, {
      field: 'happenedAt',
      value: moment.happenedAt.toISOString(),
      limit: `from ${assembly.built_at.toISOString()}`,
      wayOut: 'Enter the time it happened, or look for the tag of the older build.',
    });
  return assembly;
}

/** Moves cutter and holder out of the build; where to is said by place. */
export async function dismantle(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  cutterTo: PlaceRow,
  holderBack: boolean,
): Promise<void> {
  const inBuild = await onePlaceOfKind(c, 'build');
  await moment.leansOn(a.entry_id);
  await moment.leansOn(cutterTo.entry_id);
  await insertMovement(c, {
    entryId: moment.entryId,
    itemId: a.cutter_item_id,
    pieceId: a.piece_id,
    lotId: a.cutter_lot_id,
    from: inBuild.id,
    to: cutterTo.id,
    quantity: 1,
  });
  if (holderBack)
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: a.holder_item_id,
      lotId: a.holder_lot_id,
      from: inBuild.id,
      to: a.holder_place_id,
      quantity: 1,
    });
  await insertTakeDown(c, moment.entryId, { assemblyId: a.id });
}

export const takeDown = defineVerb({
  name: 'takeDown',
  path: 'take-downs',
  summary:
    'Take an assembly down whose cutter is still good: holder back to its place, cutter to a place, its life goes on.',
  properties: { tag: field.words(20), cutterTo: field.code },
  required: ['tag', 'cutterTo'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const place = await placeInCrib(c, moment, 'cutterTo', input.cutterTo);
    await dismantle(c, moment, assembly, place, true);
    return { tag: assembly.tag, piece: assembly.mark, cutterTo: place.code };
  },
});
