// Rows
export type { MachineRow, MaterialRow, PersonRow, SupplierRow } from './types';
// Reading
export {
  manyMachines,
  manyMaterials,
  manyPeople,
  manySuppliers,
  maybeMachine,
  maybeMaterial,
  maybePerson,
  maybeSupplier,
} from './read';
// Writing
export {
  insertMachine,
  insertMachineFigures,
  insertMaterial,
  insertPerson,
  insertSupplier,
  insertSupplierTerms,
} from './write';
