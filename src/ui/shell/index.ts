// The shell around every screen, and what the app hands in
export { Asked } from './Asked';
export { Middle, Shell } from './Shell';
export { Surround, shortDay, useBarred, useLengths, useSurroundings, useTimes } from './door';
export type { Answer, AppDoor, ScanAnswer, SignedHere } from './door';
export { LOST, base64, post, whyLost } from './post';
export { useAlive } from './typedBefore';
export { useBadge, useScreenScan } from './scanHandlers';
export { useUnsent } from './unsent';
export { isWhole, NO_PIN, WhoAndPin } from './WhoAndPin';
export type { TypedPin } from './WhoAndPin';
