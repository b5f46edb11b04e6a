// Words and facts
export {
  BODY_FAMILIES,
  familiesOfHole,
  familiesThatCut,
  FAMILIES,
  FAMILY_NAMES,
  familySpec,
} from './families';
export type { Family, FamilySpec, HoleWork, Work } from './families';
export { factsOf, FIRST_FACT, ITEM_KINDS, KINDS, ORIGINS, ORIGIN_WORDS, sizeFact } from './kinds';
export type { ItemKind, Origin } from './kinds';
export { isNumeric, isSymbol, SHANK_FORMS, SUBSTRATES, SYMBOLS, symbolSpec } from './symbols';
export type { FactSymbol, Substrate } from './symbols';
export { GEOMETRY_SYMBOLS } from './figures';
export type { CutterSymbol } from './figures';
export { geometry, neckDiameter } from './geometry';
export type { CutterGeometry, HolderGeometry, HolderSegment } from './geometry';
export { describeCutter } from './describeCutter';
// Can it exist?
export { checkCutter, questionCutter } from './checkCutter';
export { checkHolder } from './checkHolder';
export { checkItem, cutterFrom, factsThatFollow, holderFrom } from './checkItem';
export type { KnownFact } from './checkItem';
// Drawing
export { cutterOutline } from './cutterOutline';
export type { Assumed, OutlinePoint } from './families';
export { dimensionsOf, drawnLength, holderDimensions, ON_HOLDER, onFigure } from './dimensions';
export type { Dimension, Dimensioned } from './dimensions';
// What it leaves on a floor and in a corner
export {
  cornerRadius,
  cuttingHeight,
  effectiveDiameter,
  flatFloor,
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
export { readThread } from './threads';
export type { Thread } from './threads';
export { drillForPercent, formingHole, tapDrill, threadPercent } from './tapDrills';
// Which shank a holder holds
export { shankForms, shankIn } from './shanks';
// Inserts, tapers, collets
export { pricePerEdge, readInsertCode } from './insertCode';
export { checkCollet, readTaper, sameTaper } from './tapers';
// Regrinding
export { againstRegrind, regrindShare, regroundGeometry } from './regrind';
// What is to be found out
export { neededFor, needsOf } from './needs';
export type { Need } from './families';
export { missingFacts } from './missingFacts';
export type { Blocked, MissingFact } from './missingFacts';
// Finding one
export { itemQuery, matchesItem } from './itemQuery';
export type { SymbolRange } from './itemQuery';
