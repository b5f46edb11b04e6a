// What lives say, for every room that leans on them
export { loadLifeBook, runningBook } from './lifeBook';
export type { LifeBook, RunningBook } from './lifeBook';
export { knownHere, readKnownHere } from './assumedWeights';
export type { KnownHere } from './assumedWeights';
export { lifeTime } from './lifeTimes';
export { keptFor } from './keptFor';
export { livesOfCutters, livesTold, livesWithMost } from './cutterLives';
export type { CutterLives } from './cutterLives';
export { cheaperOf, edgeCosts, edgeRate } from './edgeCosts';
export type { EdgeCost, EdgeRate } from './edgeCosts';
export { recipesOfLives } from './ranBy';
export { judgedTrials, turnsAt, turnsOf } from './trials';
export type { Trial, Turn, TurnAt } from './trials';
export { foretell } from './foretell';
