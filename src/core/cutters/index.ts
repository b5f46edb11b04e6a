// Words and facts
export {
  BODY_FAMILIES,
  factsOf,
  familySpec,
  FAMILIES,
  FAMILY_NAMES,
  FIRST_FACT,
  ITEM_KINDS,
  KINDS,
  ORIGINS,
  ORIGIN_WORDS,
  SUBSTRATES,
} from './families';
export type { Family, ItemKind, Origin, Substrate } from './families';
export { CLAMPINGS, isNumeric, isSymbol, SHANK_FORMS, SYMBOLS, symbolSpec } from './symbols';
export type { FactSymbol, SymbolKind, SymbolSpec } from './symbols';
export { geometry, GEOMETRY_SYMBOLS } from './geometry';
export type { CutterGeometry, CutterSymbol, HolderGeometry, HolderSegment } from './geometry';
export { describeCutter } from './describeCutter';
// Can it exist?
export { checkCutter, questionCutter } from './checkCutter';
export type { GeometryFault } from './checkCutter';
export { checkHolder } from './checkHolder';
export { checkItem, cutterFrom, factsThatFollow, holderFrom } from './checkItem';
export type { KnownFact } from './checkItem';
// Drawing
export { cutterOutline, OWN_RULE } from './cutterOutline';
export type { CutterOutline, OutlinePoint } from './cutterOutline';
// What it leaves on a floor and in a corner
export {
  effectiveDiameter,
  flatStepover,
  millsFloor,
  rampLength,
  rampLimit,
  reach,
  ridgeHeight,
  smallestInsideCorner,
} from './floor';
// Holes and threads
export {
  classesLeft,
  HOLE_GRADES,
  HOLE_LETTERS,
  holeLimits,
  reamerLimits,
  reamerState,
  toleranceGrade,
} from './holes';
export type { HoleLimits, ReamerLimits, ReamerState } from './holes';
export { drillForPercent, formingHole, readThread, tapDrill, threadPercent } from './threads';
export type { TapDrill, Thread } from './threads';
// Which shank a holder holds
export { shankForms, shankIn } from './shanks';
export type { ShankForm } from './shanks';
// Inserts, tapers, collets
export { pricePerEdge, readInsertCode } from './insertCode';
export type { InsertCode } from './insertCode';
export { checkCollet, COLLET_SIZES, readTaper, sameTaper, TAPER_STANDARDS } from './tapers';
export type { Taper } from './tapers';
// Regrinding
export { againstRegrind, REGRIND_SHARE, regrindShare, regroundGeometry } from './regrind';
export type { RegrindFacts } from './regrind';
// What is to be found out
export { neededFor, needsOf } from './needs';
export type { Need } from './needs';
export { missingFacts } from './missingFacts';
export type { Blocked, MissingFact } from './missingFacts';
// Finding one
export { itemQuery, matchesItem } from './itemQuery';
export type { ItemQuery, SymbolRange } from './itemQuery';
