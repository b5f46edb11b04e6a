// What lives say, for every room that leans on them
export { loadLifeBook, runningBook } from './lifeBook';
export type { LifeBook, RunningBook } from './lifeBook';
export { assumedWeights, readAssumedWeights } from './assumedWeights';
export { lifeTime, lifeTimes } from './lifeTimes';
export { edgeCosts } from './edgeCosts';
export type { EdgeCost } from './edgeCosts';
export { foretell } from './foretell';
