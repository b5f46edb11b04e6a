import { found, type Moment, Problem } from '@/crib/door';
import type { ItemRow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { type MarkedRow, maybeMarked } from '@/data/holders';

/** The one of a mark, which must be of that item and in no other build, nor twice in this one. */
export async function takeMarked(
  c: Connection,
  moment: Moment,
  name: string,
  mark: string,
  item: ItemRow,
  had: Set<number>,
): Promise<MarkedRow> {
  const one = found(await maybeMarked(c, mark.toUpperCase()), `${name}.marked`, mark, 'mark of a holder');
  if (one.itemId !== item.id)
    throw new Problem('REFUSED', `${one.mark} is a ${one.item}, not a ${item.code}`, {
      field: `${name}.marked`,
      value: one.mark,
      limit: `one that is a ${item.code}`,
      wayOut: 'Read its mark again, or take it as what it is.',
    });
  if (one.tag !== null || had.has(one.id))
    throw new Problem('CONFLICT', `${one.mark} is in ${one.tag ?? 'this build'} already`, {
      field: `${name}.marked`,
      value: one.mark,
      limit: 'one that is in no build',
      wayOut: 'Take that build down first; or read the mark again.',
    });
  had.add(one.id);
  moment.leansOn(one.entryId);
  // Whoever takes that back would have it in two builds.
  moment.leansOn(one.freedEntryId);
  return one;
}
