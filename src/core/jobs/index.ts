// May this assembly run as this T on this machine now?
export { asksOf, judgeFit, judgeItself, judgeUse, notCalled } from './use/judgeUse';
export type {
  AskedHere,
  RecipesHere,
  Jaws,
  ToolAsks,
  Use,
  UseBuild,
  UseJudgement,
  UseMachine,
  UseState,
} from './use/facts';
export { CHANGE_BASES, changeAtOf, partsUntilChange, perPartOf } from './use/changeAt';
export type { ChangeAt, ChangeBasis, ChangeRule, CutSoFar } from './use/changeAt';
export { reachNeeded } from './use/depths';
export { aboveEnd } from './use/zLimits';
export { edgesWithSisters } from './use/edgesNeeded';
export type { EdgesNeeded } from './use/edgesNeeded';
// How long does a part take?
export { cycleMinutes, reckonedMinutes } from './cycleMinutes';
export type { CycleMinutes, MachineTimes } from './cycleMinutes';
export { CYCLE_ASKED, CYCLE_RUNS, cycleFactor } from './cycleFactor';
export type { CycleFactor, CycleRun } from './cycleFactor';
// What does a T cut in so many parts?
export { cutByParts, speedOf } from './cutByParts';
export type { CutByParts } from './cutByParts';
// Can so many have been made?
export { questionParts } from './questionParts';
// How is it set up, and who signed for it?
export {
  BLANK_SHEET,
  changeWords,
  mergeSheets,
  SHEET_FIELDS,
  sheetChanges,
  stockAround,
  stockInZ,
  zeroWords,
} from './setup/setupSheet';
export type { SheetField, SheetTexts, StockBox } from './setup/setupSheet';
export { doubtsOf, nextToSign, setupChanges, SIGN_STEPS, toProveAgain } from './setup/signatures';
export type { Setup, SetupChange, SignedTool, SignStep } from './setup/signatures';
export { AIR_CHECKS, AIR_CLEARANCE_MM, airRun } from './setup/airRun';
export type { AirRun } from './setup/airRun';
export { type Leaves, leavesWords } from './setup/leaves';
export { STAGES, stageOf } from './setup/stage';
export type { Stage } from './setup/stage';
// What does each machine do today?
export { planDay } from './day/planDay';
export type { DayBar, DayHours, DayWork } from './day/planDay';
export { planWeeks } from './day/planWeeks';
export type { WeekBar, WeekWork } from './day/planWeeks';
export { ranWith } from './use/ranWith';
export type { RanWith } from './use/ranWith';
