import { inCrib, takesIn } from '@/core/stock';
import { foundInUse, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { maybePlace, type PlaceRow } from '@/data/stock';

/** A shelf, drawer, cart or quarantine by its code, to put something down at, which the entry then leans on; a Problem for anything else. */
export async function placeInCrib(
  c: Connection,
  moment: Moment,
  name: string,
  code: string,
): Promise<PlaceRow> {
  const place = foundInUse(await maybePlace(c, code.toUpperCase()), name, code, 'place');
  if (!takesIn(place.kind))
    throw new Problem('REFUSED', `${name}: ${place.name} does not hold stock`, {
      field: name,
      value: place.code,
      limit: 'a shelf, drawer or cart, or quarantine',
      wayOut: 'Choose where it lies.',
    });
  moment.leansOn(place.entryId);
  return place;
}

/** What brings a thing back into the crib, by the kind of place it is at. */
export const BACK_FIRST: Readonly<Record<string, string>> = {
  build: 'Take its assembly down first, or choose another.',
  hand: 'Take it back first, or choose another.',
  machine: 'Move it back first, or choose another.',
  regrind: 'Take it back from being ground first, or choose another.',
  quarantine: 'Look at it, then move it out of quarantine or scrap it.',
};

/** Refuses a place from which nothing is taken for use: somebody's hand, quarantine, scrap. */
export function mustBeInCrib(place: PlaceRow, name: string): void {
  if (inCrib(place.kind)) return;
  throw new Problem('REFUSED', `${place.code}, ${place.name}, is no place in the crib to take from`, {
    field: name,
    value: place.code,
    limit: 'a shelf, drawer or cart',
    wayOut: BACK_FIRST[place.kind] ?? 'Choose another place.',
  });
}
