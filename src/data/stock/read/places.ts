import { type Connection, many, maybeOne, one } from '@/data/database';
import type { PlaceRow } from '../types';

const LIVE = `select p.* from place_named p where (p.entry_id is null or exists (select 1 from live_entry e where e.id = p.entry_id))`;
export const manyPlaces = (c: Connection) => many<PlaceRow>(c, `${LIVE} order by p.sort_code`);
export const maybePlace = (c: Connection, code: string) =>
  maybeOne<PlaceRow>(c, `${LIVE} and p.code = $1`, [code]);
export const onePlaceOfKind = (c: Connection, kind: 'build' | 'scrap' | 'lost') =>
  one<PlaceRow>(c, 'select * from place_named where kind = $1 and entry_id is null', [kind]);
/** The place that stands for somebody's hands. */
export const oneHand = (c: Connection, initials: string) =>
  one<PlaceRow>(c, 'select * from place_named where person = $1', [initials]);
export const onePlaceById = (c: Connection, id: number) =>
  one<PlaceRow>(c, 'select * from place_named where id = $1', [id]);
