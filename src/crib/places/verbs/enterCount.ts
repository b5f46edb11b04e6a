import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { parcelFields, parcelOf } from '@/crib/stock';
import { maybeItem, placesBelow } from '@/data/catalogue';
import { insertCountLine, maybeBalance, maybePlace } from '@/data/stock';
import { openSheet } from '../openSheet';

export const enterCount = defineVerb({
  name: 'enterCount',
  may: ['crib', 'operator'],
  path: 'counts/lines',
  summary:
    'Enter what was counted. What the books say at this moment is kept beside it; entering again replaces it.',
  properties: {
    sheet: field.words(20),
    lines: {
      type: 'array',
      minItems: 1,
      maxItems: 500,
      items: {
        type: 'object',
        properties: {
          place: field.code,
          item: field.words(40),
          counted: field.whole(0, 100_000),
          ...parcelFields,
        },
        required: ['place', 'item', 'counted'],
        additionalProperties: false,
      },
    },
  },
  required: ['sheet', 'lines'],
  async run(c, input, moment) {
    const sheet = await openSheet(c, moment, input.sheet);
    const inside = new Set(await placesBelow(c, sheet.placeId));
    const seen = new Set<string>();
    let differ = 0;
    for (const [i, line] of input.lines.entries()) {
      const at = `lines.${i}`;
      const place = found(await maybePlace(c, line.place.toUpperCase()), `${at}.place`, line.place, 'place');
      if (!inside.has(place.id))
        throw new Problem('INVALID_INPUT', `${place.code} is not inside ${sheet.place}`, {
          field: `${at}.place`,
          value: place.code,
          limit: `${sheet.place} and what is in it`,
          wayOut: 'Count it on a sheet of its own.',
        });
      const item = found(await maybeItem(c, line.item), `${at}.item`, line.item, 'item');
      const lotId = await parcelOf(c, moment, item, line);
      const key = `${place.id} ${item.id} ${lotId}`;
      if (seen.has(key))
        throw new Problem('INVALID_INPUT', `${item.code} at ${place.code} stands twice`, {
          field: `${at}.item`,
          value: item.code,
        });
      seen.add(key);
      const there = await maybeBalance(c, item.id, place.id, lotId);
      const counted = toNumber(line.counted);
      const expected = there?.quantity ?? 0;
      // Marked pieces lie there one by one: a count can't make them disappear.
      const marked = there?.pieces ?? 0;
      if (counted < marked)
        throw new Problem(
          'REFUSED',
          `${marked} marked ${item.code} lie at ${place.code}: ${counted} can't be all`,
          {
            field: `${at}.counted`,
            value: counted,
            limit: `at least ${marked}`,
            wayOut: 'Book the missing pieces as lost by their marks first.',
          },
        );
      if (counted !== expected) differ += 1;
      await insertCountLine(c, moment.entryId, {
        sheetId: sheet.id,
        placeId: place.id,
        itemId: item.id,
        lotId: lotId,
        counted,
        expected,
      });
    }
    return { sheet: sheet.number, lines: input.lines.length, differ };
  },
  says: (a) => `${a.lines} lines counted on ${a.sheet}`,
});
