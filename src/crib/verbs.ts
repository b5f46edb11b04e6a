import { buildAssembly, resetStickout, takeDown } from './assemblies';
import { addSupplier, placeOrder, receiveOrder } from './buying';
import { addItem, linkItem, stateFacts, stateStanding } from './cutters';
import { setChoosingRules } from './choosing';
import type { Verb } from './door';
import { addJob, assignUse, logParts, stateOperation, statePassDepth, storeProgram, tieTool } from './jobs';
import { importItems } from './exchange';
import { counterEntryOf } from './ledger';
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

/** What people can do, in the order of the work. */
const DONE = [
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
] as const;
const counterEntry = counterEntryOf(DONE);

type AnyVerb = (typeof DONE)[number] | typeof counterEntry;
/** Everything people can do. Forms, /api/v1, its document and the history all read this list. */
export const VERBS: readonly Verb[] = [...DONE, counterEntry];

/** Read and never changed: a form may send what it only shows. */
type Said<T> = T extends object ? { readonly [K in keyof T]: Said<T[K]> } : T;
export type VerbName = AnyVerb['name'];
type Known<N extends VerbName> = NonNullable<Extract<AnyVerb, { name: N }>['known']>;
/** What a verb is given, beside who, formId, happenedAt and note. */
export type VerbInput<N extends VerbName> = Said<Known<N>[0]>;
/** What a verb answers, beside the number of its entry. */
export type VerbAnswer<N extends VerbName> = Known<N>[1];

export const verbNamed = (name: string): Verb | undefined => VERBS.find((v) => v.name === name);
