// The shell around every screen
export { Middle, Shell } from './Shell';
export { Asked } from './Asked';
export type { Counts } from './Shell';
// What the app hands in, and the units and times in force
export { shortDay, Surround, useLengths, useSurroundings, useTimes } from './door';
export type { Answer, AppDoor, ScanAnswer } from './door';
// Scans
export { useScreenScan } from './scanHandlers';
