// Speeds and feeds
export { cuttingSpeed, feedPerTooth, fromFeet, tableFeed, turnsFor } from './speeds';
// How a cutter is run in a material
export { byTrust, COOLANTS, CUTS, feedAs, FEEDS, notFor, OUTCOMES, SPEEDS, turnsOf } from './recipe';
export type {
  Coolant,
  CutKind,
  FeedAs,
  Outcome,
  Range,
  Recipe,
  RecipeState,
  RunCutter,
  SpeedAs,
} from './recipe';
export { feedRange, feedText, feedWords, speedWords } from './words';
// A cut as a whole: its chip, what it takes, what binds
export { centreFeed, chipOf, drillChip, feedForChip, inCorner } from './chip';
export type { Chip } from './chip';
export { cuttingPower, specificForce, tangentialForce, torqueOf, unitPower } from './power';
export { middle, STARTING_MATERIALS, startingOf } from './materials';
export type { StartingMaterial, StartingName } from './materials';
export { cutFigures } from './cutFigures';
export type { CutAsked, CutFigures } from './cutFigures';
export { chipsAtMost, removalOf } from './removal';
export type { Bind, CutLimits } from './binds';
export { cutMap, huntingSpeeds, mapReach, speedMap, speedReach } from './cutMap';
export type { CutMap, SpeedMap } from './cutMap';
// What a spindle gives
export { spindleAt } from './spindle';
export type { Gear, Gives } from './spindle';
