// Endings and what they count as
export { ENDINGS, ENDING_NAMES, SIGNS } from './endings';
export type { Sign } from './endings';
export type { Ending, LifeTime } from './endings';
export { coatingNow, DEFAULT_LADDER, rungsFor } from './grades';
export type { Rung } from './grades';
// Survival
export { kaplanMeier } from './kaplanMeier';
export type { SurvivalStep } from './kaplanMeier';
export { medianLife } from './medianLife';
export type { Median } from './medianLife';
export { meanReached } from './meanReached';
// What to expect of the next one, and of this one
export { consumption, expectLife } from './expectLife';
export type { AssumedLife, Consumption, LifeExpectation } from './expectLife';
export { lifeUsed } from './lifeUsed';
export type { UseInMaterial } from './lifeUsed';
export { isWorn } from './isWorn';
export { lifeState } from './lifeState';
export type { LifeState } from './lifeState';
export { wearLimit } from './wearLimit';
export { isFitted, whyApart } from './whyApart';
