/** Kinds of place. In the crib lie shelf, drawer and cart; 'build' is in assemblies; scrap and lost are the ends. */
export const CRIB_PLACES = ['shelf', 'drawer', 'cart'] as const;
export type PlaceKind = (typeof CRIB_PLACES)[number] | 'build' | 'scrap' | 'lost';

/** Whether things lie in the crib at such a place, to be taken from there; null is 'nowhere'. */
export const inCrib = (kind: string | null): boolean =>
  (CRIB_PLACES as readonly (string | null)[]).includes(kind);
