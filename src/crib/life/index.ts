// Life: verbs
export { endLife } from './endLife';
export { recordWear } from './recordWear';
// Lives and what to expect
export { loadLifeBook, openBook } from './lifeBook';
export type { LifeBook } from './lifeBook';
export { lifeSheet, lifeView } from './lifeView';
export type { LifeLine, LifeRecord, LifeSheet, LifeView } from './lifeView';
