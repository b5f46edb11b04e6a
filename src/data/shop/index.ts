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
  manySpindleGears,
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
  insertMaterialFigures,
  insertNaming,
  insertPerson,
  insertShopWeek,
  insertSpindleGear,
  insertSupplier,
  insertSupplierTerms,
} from './write';
