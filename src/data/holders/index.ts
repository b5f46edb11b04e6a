// Rows
export type { ClampingRow, HolderEventRow, HolderInRow, HolderRuleRow, MarkedRow } from './types';
// Reading
export {
  countMarked,
  manyClampings,
  manyHolderEvents,
  manyHolderIn,
  manyHolderRules,
  manyMarked,
  manyMarkedById,
  manyMarkedOf,
  maybeMarked,
} from './read';
// Writing
export {
  insertHolderDrop,
  insertHolderIn,
  insertHolderLook,
  insertHolderRule,
  insertHolderStud,
  insertMarkedHolder,
} from './write';
