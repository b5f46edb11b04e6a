// Life: verbs
export { endLife } from './endLife';
export { recordWear } from './recordWear';
// Lives and what to expect
export { lifeTime, loadLifeBook } from './lifeBook';
export type { CribLife, LifeBook } from './lifeBook';
export { lifeView } from './lifeView';
export type { LifeLine, LifeRecord, LifeView } from './lifeView';
