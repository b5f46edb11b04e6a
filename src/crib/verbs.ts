import { buildAssembly, resetStickout, takeDown } from './assemblies';
import { addSupplier, placeOrder, receiveOrder } from './buying';
import { addItem, linkItem, stateFacts, stateStanding } from './cutters';
import { setChoosingRules } from './choosing';
import type { Verb } from './door';
import { addJob, assignUse, logParts, stateOperation, statePassDepth, storeProgram, tieTool } from './jobs';
import { importItems } from './exchange';
import { counterEntry } from './ledger';
import { endLife, recordWear } from './life';
import { addMachine, changeMachine } from './machines';
import { judgeMeasurement, recordMeasurement } from './measuring';
import { addPerson } from './people';
import {
  addMaterial,
  addPicture,
  addPlace,
  bookCount,
  enterCount,
  foundStock,
  gradePiece,
  issueStock,
  loseStock,
  moveStock,
  receiveStock,
  returnStock,
  saveView,
  scrapStock,
  sendToRegrind,
  setLadder,
  settleTakings,
  startCount,
  mountInserts,
  stateSeat,
  takeFromRegrind,
  unmountInserts,
} from './stock';

/** Everything people can do, in the order of the work. Forms and /api/v1 both read this list. */
export const VERBS: readonly Verb[] = [
  addPerson,
  addPlace,
  addMaterial,
  addSupplier,
  addMachine,
  changeMachine,
  addItem,
  importItems,
  stateFacts,
  linkItem,
  stateStanding,
  receiveStock,
  foundStock,
  moveStock,
  issueStock,
  returnStock,
  scrapStock,
  loseStock,
  startCount,
  enterCount,
  bookCount,
  gradePiece,
  sendToRegrind,
  takeFromRegrind,
  stateSeat,
  mountInserts,
  unmountInserts,
  settleTakings,
  saveView,
  setChoosingRules,
  setLadder,
  addPicture,
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
