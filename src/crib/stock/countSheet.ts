import { defineVerb, field, found, Problem, toNumber, type Moment } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  insertMovement,
  manyCountLines,
  maybeBalance,
  maybeItem,
  maybePlace,
  maybeSheet,
  onePlaceOfKind,
  placesBelow,
  type SheetRow,
  insertCountBooking,
  insertCountLine,
  insertCountSheet,
} from '@/data/stock';
import { placeInCrib } from './placeInCrib';
import { parcelFields, parcelOf } from './things';

/** The open sheet of a number; a Problem when it is booked, naming who did it and when. */
async function openSheet(c: Connection, moment: Moment, number: string): Promise<SheetRow> {
  const sheet = found(await maybeSheet(c, number.toUpperCase()), 'sheet', number, 'count sheet');
  if (sheet.bookedEntryId !== null)
    throw new Problem('CONFLICT', `${sheet.number} was booked by ${sheet.bookedBy}`, {
      field: 'sheet',
      value: sheet.number,
      wayOut: 'Start a new sheet; or take that booking back if it was wrong.',
    });
  await moment.leansOn(sheet.entryId);
  return sheet;
}

export const startCount = defineVerb({
  name: 'startCount',
  path: 'counts',
  summary: 'Start a count sheet of a place and all that lies inside it.',
  properties: { place: field.code },
  required: ['place'],
  async run(c, input, moment) {
    const place = await placeInCrib(c, moment, 'place', input.place);
    const number = await nextNumber(c, 'count_sheet', 'number', 'C');
    await insertCountSheet(c, moment.entryId, { number, placeId: place.id });
    return { number, place: place.code };
  },
  says: (a) => `count ${a.number} of ${a.place} begun`,
});

export const enterCount = defineVerb({
  name: 'enterCount',
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
      if (counted < (there?.pieces ?? 0))
        throw new Problem(
          'REFUSED',
          `${there!.pieces} marked ${item.code} lie at ${place.code}: ${counted} can't be all`,
          {
            field: `${at}.counted`,
            value: counted,
            limit: `at least ${there!.pieces}`,
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

export const bookCount = defineVerb({
  name: 'bookCount',
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
    for (const l of lines) await moment.leansOn(l.entryId);
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

const sum = (lines: { counted: number; expected: number }[], sign: 1 | -1) =>
  lines.reduce((n, l) => n + Math.max(0, sign * (l.expected - l.counted)), 0);
