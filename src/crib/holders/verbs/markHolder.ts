import { KINDS } from '@/core/cutters';
import { MARKED_KINDS } from '@/core/holders';
import { isOne } from '@/core/names';
import { standing } from '@/crib/assemblies';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { giveMark, markInBuild, mustHaveRoom } from '../marking';

/** Gives one holder, extension or collet a mark of its own, so that its life can be told from that of its like. */
export const markHolder = defineVerb({
  name: 'markHolder',
  may: ['crib', 'operator'],
  path: 'marked-holders',
  summary:
    'Give a holder, extension or collet a mark of its own: one of an item that lies here, or one in a build (its holder, or the part of a number from the spindle down).',
  properties: {
    item: field.words(40),
    tag: field.words(20),
    part: field.whole(1, 20),
    since: field.day,
  },
  required: [],
  async run(c, input, moment) {
    if ((input.item === undefined) === (input.tag === undefined))
      throw new Problem('INVALID_INPUT', 'item or tag: one of the two says what is marked', {
        field: 'item',
        value: input.item ?? null,
        limit: 'an item, or the tag of a build',
        wayOut: 'Name what lies here by its item, or what is built by its tag.',
      });
    const since = input.since ?? null;
    if (since !== null && since > moment.today)
      throw new Problem('INVALID_INPUT', `since: ${since} is still to come`, {
        field: 'since',
        value: since,
        limit: `up to ${moment.today}`,
        wayOut: 'Enter the day it was first used, or leave it out.',
      });
    await mustHaveRoom(c);
    if (input.tag !== undefined) {
      const build = await standing(c, moment, input.tag);
      const one = await markInBuild(
        c,
        moment,
        build,
        input.part === undefined ? 0 : toNumber(input.part),
        since,
      );
      return { mark: one.mark, item: one.item, tag: build.tag };
    }
    const item = found(await maybeItem(c, input.item ?? ''), 'item', input.item, 'item');
    if (!isOne(MARKED_KINDS, item.kind))
      throw new Problem('REFUSED', `${item.code} is a ${KINDS[item.kind].words}`, {
        field: 'item',
        value: item.code,
        limit: 'a holder, extension or collet',
        wayOut: 'A cutter gets its mark when it is first built.',
      });
    moment.leansOn(item.entryId);
    const one = await giveMark(c, moment, item, since);
    return { mark: one.mark, item: item.code, tag: null };
  },
  says: (a) => `${a.item} marked ${a.mark}${a.tag ? `, in ${a.tag}` : ''}`,
});
