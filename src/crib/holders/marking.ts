import { KINDS } from '@/core/cutters';
import { MARKED_KINDS } from '@/core/holders';
import { LIMITS, mostOf } from '@/core/limits';
import { isOne } from '@/core/names';
import { sure } from '@/core/sure';
import { heldBy } from '@/crib/assemblies';
import { loadItem } from '@/crib/catalogue';
import { type Moment, Problem } from '@/crib/door';
import { type AssemblyRow, nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  countMarked,
  insertHolderIn,
  insertMarkedHolder,
  type MarkedRow,
  manyHolderIn,
  maybeMarked,
} from '@/data/holders';

/** Refuses one mark more than are looked through each day. What fell gets one all the same. */
export async function mustHaveRoom(c: Connection): Promise<void> {
  const n = (await countMarked(c))?.n ?? 0;
  if (n >= LIMITS.markedHolders.most)
    throw new Problem('REFUSED', `${n} have a mark of their own already`, {
      field: 'item',
      value: n,
      limit: mostOf('markedHolders'),
      wayOut: 'Mark those that matter: long or fast tools, and those that fell.',
    });
}

/** Gives one of an item its own mark, the next free number; null: nobody knows since when it is in use. */
export async function giveMark(
  c: Connection,
  moment: Moment,
  item: { id: number },
  since: string | null,
): Promise<MarkedRow> {
  const mark = await nextNumber(c, 'marked_holder', 'mark', 'H');
  await insertMarkedHolder(c, moment.entryId, { mark, itemId: item.id, since });
  return sure(await maybeMarked(c, mark), 'the one that was just marked');
}

/** Gives a mark to what stands in a build: 0 the holder, else the part in that place from the spindle down. */
export async function markInBuild(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  placeInStack: number,
  since: string | null,
): Promise<MarkedRow> {
  const { itemId, parts } = await heldBy(c, a);
  const id = placeInStack === 0 ? itemId : parts[placeInStack - 1]?.itemId;
  if (id === undefined)
    throw new Problem('INVALID_INPUT', `${a.tag} has no part ${placeInStack}`, {
      field: 'part',
      value: placeInStack,
      limit: parts.length
        ? `1 to ${parts.length}, or left out for the holder`
        : 'left out: it has a holder alone',
      wayOut: 'Count from the spindle down, as its tag lists them.',
    });
  const item = await loadItem(c, id);
  if (!isOne(MARKED_KINDS, item.kind))
    throw new Problem('REFUSED', `${item.code} is a ${KINDS[item.kind].words}`, {
      field: 'part',
      value: placeInStack,
      limit: 'a holder, extension or collet',
      wayOut: 'What is changed often has no mark of its own.',
    });
  const has = (await manyHolderIn(c, [a.id])).find((x) => x.placeInStack === placeInStack);
  if (has)
    throw new Problem('CONFLICT', `It has its mark already: ${has.mark}`, {
      field: 'tag',
      value: a.tag,
      limit: 'one without a mark',
      wayOut: `Open ${has.mark}.`,
    });
  const one = await giveMark(c, moment, item, since);
  moment.leansOn(a.entryId);
  await insertHolderIn(c, moment.entryId, { assemblyId: a.id, placeInStack, markedId: one.id });
  return one;
}
