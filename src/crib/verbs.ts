import { buildAssembly, resetStickout, takeDown, writeBuildSheet } from '@/crib/assemblies';
import { placeOrder, receiveOrder, restatePromise, stateReorder } from '@/crib/buying';
import { addItem, addPicture, linkItem, saveView, stateFacts, stateStanding } from '@/crib/catalogue';
import { setChoosingRules } from '@/crib/choosing';
import { settleTakings } from '@/crib/consigned';
import { recordOutcome, stateRecipe } from '@/crib/cutting';
import type { Verb } from '@/crib/door';
import { importItems } from '@/crib/exchange';
import {
  addJob,
  addOperation,
  assignUse,
  changeJob,
  copyJob,
  logParts,
  moveKit,
  moveOperation,
  planStart,
  planTool,
  recipeFromTool,
  recordCycle,
  renumberTools,
  signSetup,
  stateChange,
  stateOperation,
  statePassDepth,
  readProgramAgain,
  storeProgram,
  tieTool,
  writeSetupSheet,
} from '@/crib/jobs';
import { stateFixture } from '@/crib/fixtures';
import { emptyPocket, keepTool, loadPocket, stateMagazine } from '@/crib/pockets';
import { giveRegisters, recordCorrection } from '@/crib/registers';
import { addDevice, addGauge, checkDevice, recordCalibration, recordTightening } from '@/crib/devices';
import { counterEntryOf } from '@/crib/ledger';
import { handOver, takeOver } from '@/crib/shift';
import { accountFragments, confirmCause } from '@/crib/breakage';
import { changeStud, dropHolder, lookOverHolder, markHolder, setHolderRule } from '@/crib/holders';
import { checkPart, clearCutter, holdCutter, holdParts, judgeParts } from '@/crib/held';
import {
  beginTrial,
  correctUse,
  endLife,
  endTrial,
  recordUse,
  recordWear,
  setChangeCosts,
} from '@/crib/life';
import { issueStock, returnStock } from '@/crib/loans';
import { judgeMeasurement, recordMeasurement } from '@/crib/measuring';
import { setBackups } from '@/crib/keeping';
import { setRole, setSecondPerson } from '@/crib/people';
import { addPlace, bookCount, enterCount, startCount } from '@/crib/places';
import { gradePiece, sellScrap, sendToRegrind, setLadder, takeFromRegrind } from '@/crib/secondlife';
import {
  addMachine,
  addMaterial,
  addPerson,
  addSupplier,
  changeMachine,
  changeSetUp,
  stateDay,
  stateMaterial,
  stateSpindle,
  stateWeek,
} from '@/crib/shop';
import {
  foundStock,
  loseStock,
  mountInserts,
  moveStock,
  receiveStock,
  renewSpare,
  reserveStock,
  scrapStock,
  stateSeat,
  turnSeats,
  unmountInserts,
} from '@/crib/stock';
import { sayOfWork } from '@/crib/today';

/** What people can do, in the order of the work. */
const DONE = [
  addPerson,
  setRole,
  setSecondPerson,
  setBackups,
  addPlace,
  addMaterial,
  addSupplier,
  addMachine,
  changeMachine,
  changeSetUp,
  stateWeek,
  stateDay,
  stateMaterial,
  stateSpindle,
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
  reserveStock,
  startCount,
  enterCount,
  bookCount,
  gradePiece,
  sellScrap,
  sendToRegrind,
  takeFromRegrind,
  stateSeat,
  mountInserts,
  turnSeats,
  unmountInserts,
  renewSpare,
  settleTakings,
  saveView,
  setChoosingRules,
  setLadder,
  addPicture,
  writeBuildSheet,
  buildAssembly,
  resetStickout,
  takeDown,
  recordMeasurement,
  judgeMeasurement,
  addJob,
  addOperation,
  copyJob,
  changeJob,
  moveOperation,
  planStart,
  stateOperation,
  writeSetupSheet,
  signSetup,
  readProgramAgain,
  storeProgram,
  recipeFromTool,
  stateRecipe,
  recordOutcome,
  planTool,
  renumberTools,
  tieTool,
  moveKit,
  giveRegisters,
  recordCorrection,
  stateMagazine,
  loadPocket,
  emptyPocket,
  keepTool,
  stateFixture,
  addDevice,
  checkDevice,
  addGauge,
  recordCalibration,
  recordTightening,
  statePassDepth,
  stateChange,
  logParts,
  recordCycle,
  assignUse,
  correctUse,
  recordUse,
  recordWear,
  endLife,
  beginTrial,
  endTrial,
  setChangeCosts,
  accountFragments,
  confirmCause,
  checkPart,
  holdParts,
  judgeParts,
  holdCutter,
  clearCutter,
  markHolder,
  lookOverHolder,
  changeStud,
  dropHolder,
  setHolderRule,
  stateReorder,
  placeOrder,
  restatePromise,
  receiveOrder,
  sayOfWork,
  handOver,
  takeOver,
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
