import { defineVerb, field, Problem } from '@/crib/door';
import {
  insertCountBooking,
  insertMovement,
  manyCountLines,
  maybeBalance,
  onePlaceOfKind,
} from '@/data/stock';
import { openSheet, sum } from '../openSheet';

export const bookCount = defineVerb({
  name: 'bookCount',
  may: ['crib'],
  path: 'counts/booked',
  summary:
    'Book a count sheet: each difference becomes a movement, as it was when it was counted. What is missing goes to lost, what is over is found.',
  properties: { sheet: field.words(20), explained: field.words(2000) },
  required: ['sheet'],
  async run(c, input, moment) {
    const sheet = await openSheet(c, moment, input.sheet);
    const lines = await manyCountLines(c, sheet.id);
    if (!lines.length)
      throw new Problem('REFUSED', `Nothing is counted on ${sheet.number} yet`, {
        field: 'sheet',
        value: sheet.number,
      });
    const differ = lines.filter((l) => l.counted !== l.expected);
    if (differ.length && !input.explained)
      throw new Problem('INVALID_INPUT', `${differ.length} differ: say what you found out`, {
        field: 'explained',
        limit: 'needed when something differs',
        wayOut:
          'Look at the explanations offered, then say in a few words what was the matter, or that nobody knows.',
      });
    for (const l of lines) moment.leansOn(l.entryId);
    await insertCountBooking(c, moment.entryId, { sheetId: sheet.id, explained: input.explained ?? null });
    const lost = await onePlaceOfKind(c, 'lost');
    for (const l of differ) {
      const missing = l.expected - l.counted;
      const move = (from: number | null, to: number, quantity: number) =>
        insertMovement(c, {
          entryId: moment.entryId,
          itemId: l.itemId,
          lotId: l.lotId,
          from,
          to,
          quantity,
        });
      if (missing > 0) await move(l.placeId, lost.id, missing);
      else {
        // What turns up was perhaps lost before.
        const gone = await maybeBalance(c, l.itemId, lost.id, l.lotId);
        const back = Math.min(-missing, (gone?.quantity ?? 0) - (gone?.pieces ?? 0));
        if (back > 0) await move(lost.id, l.placeId, back);
        if (-missing > back) await move(null, l.placeId, -missing - back);
      }
    }
    return { sheet: sheet.number, differ: differ.length, missing: sum(differ, 1), over: sum(differ, -1) };
  },
  says: (a) => `count ${a.sheet} booked, ${a.differ} differed`,
});
