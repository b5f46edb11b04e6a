import { factNumber, loadItem } from '@/crib/catalogue';
import { defineVerb, field, found, foundInUse, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { insertTrial, manyTrialsOf } from '@/data/life';
import { maybeMaterial } from '@/data/shop';

export const beginTrial = defineVerb({
  name: 'beginTrial',
  may: ['crib', 'planner'],
  path: 'trials',
  summary:
    'Try two cutters against each other in a material: which goes in next is alternated until so many of each have failed.',
  properties: {
    item: field.code,
    against: field.code,
    material: field.code,
    failuresEach: field.whole(1, 50),
    why: field.words(200),
  },
  required: ['item', 'against', 'material', 'failuresEach'],
  async run(c, input, moment) {
    const first = await cutter(c, 'item', input.item);
    const second = await cutter(c, 'against', input.against);
    if (first.id === second.id)
      throw new Problem('INVALID_INPUT', `${first.code} can't be tried against itself`, {
        field: 'against',
        value: second.code,
        limit: 'another cutter',
        wayOut: 'Say which other one is to be tried.',
      });
    if (first.DC !== null && second.DC !== null && !sameWork(first.DC, second.DC))
      throw new Problem(
        'INVALID_INPUT',
        `against: ${second.code} of ${second.DC} mm can't stand in for ${first.code} of ${first.DC} mm on its T`,
        {
          field: 'against',
          value: second.code,
          limit: `a DC within a tenth of ${first.DC} mm`,
          wayOut: 'Try it against one of about its own diameter: which goes in next is alternated on one T.',
        },
      );
    const material = foundInUse(
      await maybeMaterial(c, input.material),
      'material',
      input.material,
      'material',
    );
    const open = (await manyTrialsOf(c, [first.id, second.id])).find(
      (t) => t.endedEntryId === null && t.materialId === material.id,
    );
    if (open)
      throw new Problem(
        'CONFLICT',
        `${open.number} goes on in ${open.material}: ${open.first} against ${open.second}`,
        {
          field: 'against',
          value: second.code,
          limit: 'one trial of a cutter in a material at a time',
          wayOut: `End ${open.number} first; two trials at once would not say which made the difference.`,
        },
      );
    moment.leansOn(first.entryId);
    moment.leansOn(second.entryId);
    const number = await nextNumber(c, 'trial', 'number', 'TR');
    await insertTrial(c, moment.entryId, {
      ...{ number, firstItemId: first.id, secondItemId: second.id, materialId: material.id },
      ...{ failuresEach: toNumber(input.failuresEach), why: input.why?.trim() || null },
    });
    return { number, first: first.code, second: second.code, material: material.code };
  },
  says: (a) => `${a.number}: ${a.first} tried against ${a.second} in ${a.material}`,
});

/** Whether cutters of two diameters, mm, do the same work on a T: neither more than a tenth thicker (practice). */
const sameWork = (a: number, b: number) => Math.max(a, b) <= 1.1 * Math.min(a, b) + 1e-9;

/** A cutter or a body that is in the catalogue; anything else has no lives. */
async function cutter(c: Connection, name: 'item' | 'against', code: string) {
  const row = found(await maybeItem(c, code), name, code, 'cutter');
  const item = await loadItem(c, row.id);
  if (item.kind !== 'cutter' && item.kind !== 'body')
    throw new Problem('INVALID_INPUT', `${name}: ${item.code} is no cutter`, {
      field: name,
      value: item.code,
      limit: 'a cutter, or a body with its inserts',
      wayOut: 'A holder is held beside the others on the Life screen, by holder.',
    });
  return { id: row.id, code: item.code, entryId: row.entryId, DC: factNumber(item, 'DC') };
}
