import { defineVerb, field, toNumber } from '@/crib/door';
import { insert } from '@/data/database';

export const addSupplier = defineVerb({
  name: 'addSupplier',
  path: 'suppliers',
  summary: 'Add a supplier with the lead time in calendar days.',
  properties: { code: field.code, name: field.words(), leadTimeDays: field.whole(0, 1000) },
  required: ['code', 'name'],
  async run(c, input, moment) {
    const id = await insert(
      c,
      'supplier',
      { code: input.code, name: input.name.trim(), entry_id: moment.entryId },
      'id',
    );
    await insert(c, 'supplier_terms', {
      entry_id: moment.entryId,
      supplier_id: id,
      lead_time_days: input.leadTimeDays === undefined ? null : toNumber(input.leadTimeDays),
    });
    return { code: input.code };
  },
});
