// Does the assembly do what the program asks?
export { checkToolLine, reachNeeded } from './checkToolLine';
export type { ToolLineFacts } from './checkToolLine';
// How long does a part take?
export { cycleMinutes } from './cycleMinutes';
export type { CycleMinutes, MachineTimes } from './cycleMinutes';
