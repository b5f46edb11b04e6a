// What people do
export { beginTrial } from './verbs/beginTrial';
export { endTrial } from './verbs/endTrial';
export { correctUse } from './verbs/correctUse';
export { endLife } from './verbs/endLife';
export { recordUse } from './verbs/recordUse';
export { recordWear } from './verbs/recordWear';
export { setChangeCosts } from './verbs/setChangeCosts';
// What screens show
export type { CostsHere } from './costsHere';
export { lifeSheet, lifeView } from './views/lifeView';
export type { LifeLine, LifeSheet, LifeView } from './views/lifeView';
export type { Beside } from './views/besideView';
export type { Reground } from './views/regroundView';
export type { ByHolder, ByRecipe } from './views/kindsView';
export type { BySpeed } from './views/speedView';
export type { Counted } from './views/countedView';
export type { ForetoldLife, ForetoldYear } from './views/foretoldYear';
export { changeAsked } from './changeAsked';
// Shared with other rooms
export { openBook } from './openBook';
// What can be reckoned
export { LIFE_COMPUTATIONS } from './computations';
