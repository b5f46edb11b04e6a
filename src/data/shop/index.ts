// Rows
export type { MachineRow, MaterialRow, PersonRow, SupplierRow } from './types';
// Reading
export {
  manyClosedDays,
  manyMachines,
  manyMaterials,
  manyPeople,
  manySuppliers,
  maybeMachine,
  maybeMaterial,
  maybePerson,
  maybeShopWeek,
  maybeSupplier,
  oneBegun,
  stillHolding,
} from './read';
// Writing
export {
  insertClosedDay,
  insertMachine,
  insertMachineFigures,
  insertMaterial,
  insertNaming,
  insertPerson,
  insertShopWeek,
  insertSupplier,
  insertSupplierTerms,
} from './write';
