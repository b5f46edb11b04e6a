// A magazine and its pockets
export { beside, MAGAZINES } from './magazine';
export type { Magazine, MagazineKind } from './magazine';
export { judgePocket } from './judgePocket';
export type { PocketTool } from './judgePocket';
// What a job has in the machine, and what is to be done for the next ones
export { KIT_HEAPS, KIT_STATES, kitState, staysOnRack } from './kit';
export type { KitLine, KitState } from './kit';
export { fewestChanges } from './changes';
export type { Change, InPocket, JobChanges, Need } from './changes';
export { shareEdge } from './shareEdge';
export type { EdgeClaim, EdgeShare } from './shareEdge';
