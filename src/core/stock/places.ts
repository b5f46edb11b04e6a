import { isOne } from '../names';
/** Where stock lies in the crib, to be taken from there: nested to any depth. */
export const CRIB_PLACES = ['room', 'cabinet', 'shelf', 'drawer', 'bin', 'cart'] as const;
/** Places that people add themselves; the others are made as they are needed, or built in. */
export const ADDED_PLACES = [...CRIB_PLACES, 'machine', 'regrind', 'quarantine'] as const;
export type PlaceKind = (typeof ADDED_PLACES)[number] | 'build' | 'hand' | 'scrap' | 'lost';

/** Whether things are put down at such a place: in the crib, or set apart in quarantine until somebody has looked. */
export const takesIn = (kind: string | null): boolean => inCrib(kind) || kind === 'quarantine';

/** Whether things lie in the crib at such a place; null is 'nowhere'. */
export const inCrib = (kind: string | null): boolean => isOne(CRIB_PLACES, kind);
