import { defineVerb, field, toNumber } from '@/crib/door';
import { insertSupplier, insertSupplierTerms } from '@/data/shop';

export const addSupplier = defineVerb({
  name: 'addSupplier',
  may: ['crib', 'planner'],
  path: 'suppliers',
  summary: 'Add a supplier with the lead time in calendar days.',
  properties: { code: field.code, name: field.words(), leadTimeDays: field.whole(0, 1000) },
  required: ['code', 'name'],
  async run(c, input, moment) {
    const id = await insertSupplier(c, moment.entryId, { code: input.code, name: input.name.trim() });
    await insertSupplierTerms(c, moment.entryId, {
      supplierId: id,
      leadTimeDays: input.leadTimeDays === undefined ? null : toNumber(input.leadTimeDays),
    });
    return { code: input.code };
  },
  says: (a) => `supplier ${a.code}`,
});
