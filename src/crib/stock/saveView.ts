import { defineVerb, field } from '@/crib/door';
import { insert, many, type Connection } from '@/data/database';

export interface SavedView {
  name: string;
  address: string;
}
/** Questions kept by name; a name's latest address counts, an empty one drops it. */
export const savedViews = (c: Connection) =>
  many<SavedView>(
    c,
    `select name, address from (select distinct on (v.name) v.name, v.address from saved_view v join live_entry e on e.id = v.entry_id
     order by v.name, e.id desc) x where address <> '' order by name`,
  );

export const saveView = defineVerb({
  name: 'saveView',
  path: 'views',
  summary: 'Keep a question to the catalogue by name; an empty address drops it.',
  properties: { name: field.words(60), address: { type: 'string', maxLength: 600 } },
  required: ['name', 'address'],
  async run(c, input, moment) {
    const name = input.name.trim();
    await insert(c, 'saved_view', { entry_id: moment.entryId, name, address: input.address });
    return { name };
  },
});
