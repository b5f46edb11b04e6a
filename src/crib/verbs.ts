import { buildAssembly, resetStickout, takeDown } from './assemblies';
import { addSupplier, placeOrder, receiveOrder } from './buying';
import { addCutter, addHolder, stateFacts } from './cutters';
import type { Verb } from './door';
import { addJob, assignUse, logParts, stateOperation, statePassDepth, storeProgram, tieTool } from './jobs';
import { counterEntry } from './ledger';
import { endLife, recordWear } from './life';
import { addMachine, changeMachine } from './machines';
import { judgeMeasurement, recordMeasurement } from './measuring';
import { addPerson } from './people';
import { addMaterial, addPlace, foundStock, gradePiece, receiveStock } from './stock';

/** Everything people can do, in the order of the work. Forms and /api/v1 both read this list. */
export const VERBS: readonly Verb[] = [
  addPerson,
  addPlace,
  addMaterial,
  addSupplier,
  addMachine,
  changeMachine,
  addCutter,
  addHolder,
  stateFacts,
  receiveStock,
  foundStock,
  gradePiece,
  buildAssembly,
  resetStickout,
  takeDown,
  recordMeasurement,
  judgeMeasurement,
  addJob,
  stateOperation,
  storeProgram,
  tieTool,
  statePassDepth,
  logParts,
  assignUse,
  recordWear,
  endLife,
  placeOrder,
  receiveOrder,
  counterEntry,
];
export const verbNamed = (name: string): Verb | undefined => VERBS.find((v) => v.name === name);
