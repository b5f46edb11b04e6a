// The shell around every screen, and what the app hands in
export { Asked } from './Asked';
export { Middle, Shell } from './Shell';
export { Surround, shortDay, useLengths, useSurroundings, useTimes } from './door';
export type { Answer, AppDoor, ScanAnswer } from './door';
export { useScreenScan } from './scanHandlers';
export { useUnsent } from './unsent';
