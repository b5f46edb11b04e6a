import type { HolderLook } from '@/core/holders';
import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room. */

export const insertMarkedHolder = insertsWithId<{ mark: string; itemId: number; since: string | null }>(
  'marked_holder',
);

export const insertHolderIn = inserts<{ assemblyId: number; placeInStack: number; markedId: number }>(
  'holder_in',
);

export const insertHolderLook = inserts<{
  markedId: number;
  found: HolderLook;
  runoutMm: number | null;
  runoutEntered: string | null;
  words: string | null;
}>('holder_look');

export const insertHolderStud = inserts<{
  markedId: number;
  studItemId: number | null;
  torque: number | null;
  words: string | null;
}>('holder_stud');

export const insertHolderDrop = inserts<{
  markedId: number;
  droppedBy: string | null;
  words: string | null;
}>('holder_drop');

export const insertHolderRule = inserts<{
  itemId: number | null;
  lookMonths: number | null;
  lookClampings: number | null;
  studMonths: number | null;
  runoutMm: number | null;
  runoutEntered: string | null;
}>('holder_rule');
