import { sure } from '@/core/sure';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { maybeSupplier } from '@/data/shop';
import { insertSettlement, manyTakings } from '@/data/stock';
import { takenOf } from '../views/consignedView';

export const settleTakings = defineVerb({
  name: 'settleTakings',
  may: ['crib', 'planner'],
  path: 'stock/settlements',
  summary:
    'Settle with a supplier what was taken of their own stock, up to the movement that was seen: paid for, or replaced.',
  properties: {
    supplier: field.code,
    upTo: { ...field.whole(1, 2_000_000_000), description: 'The newest movement of what was seen' },
    reference: { ...field.words(80), description: 'Invoice or delivery note' },
  },
  required: ['supplier', 'upTo'],
  async run(c, input, moment) {
    const supplier = found(await maybeSupplier(c, input.supplier), 'supplier', input.supplier, 'supplier');
    const upTo = toNumber(input.upTo);
    const rows = (await manyTakings(c, upTo)).filter((r) => r.supplierId === supplier.id);
    // The movement that was seen must be one of theirs: a number out of the air would settle what nobody looked at.
    if (!rows.some((r) => r.upTo === upTo))
      throw new Problem('CONFLICT', `Nothing of ${supplier.code} is open up to there`, {
        field: 'upTo',
        value: upTo,
        wayOut: 'Somebody may have settled it meanwhile: look again.',
      });
    moment.leansOn(supplier.entryId);
    await insertSettlement(c, moment.entryId, {
      supplierId: supplier.id,
      upToMovementId: upTo,
      reference: input.reference?.trim() ?? null,
    });
    const [taken] = await takenOf(c, rows);
    return {
      supplier: supplier.code,
      pieces: rows.reduce((n, r) => n + r.quantity, 0),
      costCents: sure(taken, 'what was taken').costCents,
      reference: input.reference ?? null,
    };
  },
  says: (a) => `${a.pieces} taken of ${a.supplier}’s stock settled`,
});
