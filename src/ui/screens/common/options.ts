import { takesIn } from '@/core/stock';

/** Something that was set up once. */
interface SetUpThing {
  code: string;
  name: string;
  inUse: boolean;
}

/** What a form offers of things that were set up once: those in use, by name. */
export const inUseOptions = (things: readonly SetUpThing[]) =>
  things.filter((t) => t.inUse).map((t) => [t.code, t.name] as const);

/** Places that a form offers, by code and name: where things are put down unless said otherwise, and in use. */
export const placeOptions = (
  places: readonly (SetUpThing & { kind: string })[],
  fits: (kind: string) => boolean = takesIn,
) => places.filter((p) => p.inUse && fits(p.kind)).map((p) => [p.code, `${p.code} ${p.name}`] as const);
