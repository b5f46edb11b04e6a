import { KINDS } from '@/core/cutters';
import { MARKED_KINDS } from '@/core/holders';
import { isOne } from '@/core/names';
import { defineVerb, field, found, maybeLength, maybeNumber, Problem } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { insertHolderRule } from '@/data/holders';

/** When marked holders are looked over and their studs changed: the shop's rule, or an item's own. */
export const setHolderRule = defineVerb({
  name: 'setHolderRule',
  may: ['crib'],
  path: 'holder-rules',
  summary:
    'Say when marked holders are looked over again, by months or clampings, when their pull studs are changed, and what runout they may have: of one item, or of all without a rule of their own. What is left out is not asked for.',
  properties: {
    item: field.words(40),
    lookMonths: field.whole(1, 240),
    lookClampings: field.whole(1, 100_000),
    studMonths: field.whole(1, 240),
    runout: field.length(0.0001, 9, 'At most, on a test bar; left out: as it is assumed.'),
  },
  required: [],
  async run(c, input, moment) {
    const item =
      input.item === undefined ? null : found(await maybeItem(c, input.item), 'item', input.item, 'item');
    if (item && !isOne(MARKED_KINDS, item.kind))
      throw new Problem('REFUSED', `${item.code} is a ${KINDS[item.kind].words}`, {
        field: 'item',
        value: item.code,
        limit: 'a holder, extension or collet',
        wayOut: 'Choose one, or leave it out for all.',
      });
    const runout = maybeLength(input.runout);
    moment.leansOn(item?.entryId ?? null);
    await insertHolderRule(c, moment.entryId, {
      itemId: item?.id ?? null,
      lookMonths: maybeNumber(input.lookMonths),
      lookClampings: maybeNumber(input.lookClampings),
      studMonths: maybeNumber(input.studMonths),
      runoutMm: runout?.mm ?? null,
      runoutEntered: runout?.entered ?? null,
    });
    return { item: item?.code ?? null };
  },
  says: (a) => `rule of looking over ${a.item ?? 'holders'}`,
});
