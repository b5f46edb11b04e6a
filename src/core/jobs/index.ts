// May this assembly run as this T on this machine now?
export { asksOf, judgeFit, judgeUse, notCalled } from './use/judgeUse';
export type { AskedHere, ToolAsks, Use, UseBuild, UseJudgement, UseMachine, UseState } from './use/facts';
export { reachNeeded } from './use/depths';
export type { EdgesNeeded } from './use/edgesNeeded';
// How long does a part take?
export { cycleMinutes } from './cycleMinutes';
export type { CycleMinutes, MachineTimes } from './cycleMinutes';
// Can so many have been made?
export { questionParts } from './questionParts';
