// Words and facts
export {
  asks,
  CUTTER_SYMBOLS,
  FAMILIES,
  FAMILY_NAMES,
  HOLDER_SYMBOLS,
  ORIGINS,
  ORIGIN_WORDS,
  SUBSTRATES,
} from './families';
export type {
  CutterGeometry,
  CutterSymbol,
  Family,
  HolderGeometry,
  HolderSegment,
  HolderSymbol,
  Origin,
  Substrate,
} from './families';
export { describeCutter } from './describeCutter';
// Can it exist?
export { checkCutter } from './checkCutter';
export type { GeometryFault } from './checkCutter';
export { checkHolder } from './checkHolder';
// Drawing
export { cutterOutline } from './cutterOutline';
export type { CutterOutline, OutlinePoint } from './cutterOutline';
// What it leaves on a floor and in a corner
export { effectiveDiameter, flatStepover, millsFloor, ridgeHeight, smallestInsideCorner } from './floor';
// Finding one
export { itemQuery, matchesItem } from './itemQuery';
export type { ItemQuery, SymbolRange } from './itemQuery';
