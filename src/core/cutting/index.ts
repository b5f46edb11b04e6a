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
