import { defineVerb, field } from '@/crib/door';
import { insertTie, manyTiesOfAssemblies } from '@/data/jobs';
import { onePlaceById } from '@/data/stock';
import { build } from '../build';
import { dismantle, standing } from '../dismantle';
import { heldBy } from '../taking';

/** A re-set stickout is a new build with a new tag, not measured until it is; the T it was tied to follow. */
export const resetStickout = defineVerb({
  name: 'resetStickout',
  may: ['crib', 'operator'],
  path: 'stickouts',
  summary: 'Set the stickout of an assembly anew: a new build, not measured; the T it was tied to follow it.',
  properties: {
    tag: field.words(20),
    stickout: field.length(0.5, 800, 'Tip to holder face.'),
    despite: field.words(200),
  },
  required: ['tag', 'stickout'],
  async run(c, input, moment) {
    const old = await standing(c, moment, input.tag);
    const bench = await onePlaceById(c, old.holderPlaceId);
    await dismantle(c, moment, old, bench, 'stays');
    const built = await build(
      c,
      moment,
      { piece: old.mark },
      await heldBy(c, old),
      input.stickout,
      input.despite,
    );
    for (const tie of await manyTiesOfAssemblies(c, [old.id]))
      await insertTie(c, moment.entryId, {
        operationId: tie.operationId,
        t: tie.t,
        assemblyId: built.assemblyId,
      });
    return { tag: built.tag, was: old.tag, judgements: built.judgements };
  },
  says: (a) => `${a.was} re-set, now ${a.tag}`,
});
