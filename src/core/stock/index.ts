// Places
export { CRIB_PLACES, inCrib } from './places';
export type { PlaceKind } from './places';
