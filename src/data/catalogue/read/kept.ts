import { type Connection, many, maybeOne } from '@/data/database';
import type { SavedView } from '../types';

/** Questions kept by name; a name's latest address counts, an empty one drops it. */
export const manySavedViews = (c: Connection) =>
  many<SavedView>(
    c,
    `select name, address from (select distinct on (v.name) v.name, v.address from saved_view v join live_entry e on e.id = v.entry_id
     order by v.name, e.id desc) x where address <> '' order by name`,
  );

/** The rules for choosing that the shop set last, as far as it set them. */
export const maybeChoosingRules = <Rules>(c: Connection) =>
  maybeOne<{ rules: Partial<Rules> }>(
    c,
    'select r.rules from choosing_rules r join live_entry e on e.id = r.entry_id order by e.happened_at desc, e.id desc limit 1',
  );
