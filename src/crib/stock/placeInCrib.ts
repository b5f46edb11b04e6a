import { inCrib } from '@/core/stock';
import { foundInUse, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { maybePlace, type PlaceRow } from '@/data/stock';

/** A shelf, drawer or cart by its code, which the entry then leans on; a Problem for anything else. */
export async function placeInCrib(
  c: Connection,
  moment: Moment,
  name: string,
  code: string,
): Promise<PlaceRow> {
  const place = foundInUse(await maybePlace(c, code.toUpperCase()), name, code, 'place');
  if (!inCrib(place.kind))
    throw new Problem('REFUSED', `${name}: ${place.name} does not hold stock`, {
      field: name,
      value: place.code,
      limit: 'a shelf, drawer or cart',
      wayOut: 'Choose where it lies.',
    });
  moment.leansOn(place.entryId);
  return place;
}
