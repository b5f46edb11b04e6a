import { defineVerb, field } from '@/crib/door';
import { insertMovement, onePlaceOfKind } from '@/data/stock';
import { build, type CutterSource, cutterSourceSchema, takeUnused, tieBuilt } from '../build';
import { goesInto, wantedFor } from '../useFigures';

export const buildAssembly = defineVerb({
  name: 'buildAssembly',
  may: ['crib', 'operator'],
  path: 'assemblies',
  summary: 'Build an assembly: pull cutter and holder from stock, set the stickout, get a tag number.',
  properties: {
    cutter: cutterSourceSchema,
    holder: {
      type: 'object',
      properties: { item: field.words(40), place: field.code },
      required: ['item', 'place'],
      additionalProperties: false,
    },
    stickout: field.length(0.5, 800, 'Tip to holder face.'),
    despite: field.words(200),
    for: {
      type: 'object',
      properties: { operation: field.number, t: field.whole(0, 9999) },
      required: ['operation', 't'],
      additionalProperties: false,
      description: 'Ties the build to a T of an operation at once',
    },
  },
  required: ['cutter', 'holder', 'stickout'],
  async run(c, input, moment) {
    const aim = input.for ? await wantedFor(c, input.for.operation, Number(input.for.t)) : null;
    const { item, place, lotId } = await takeUnused(
      c,
      moment,
      'holder',
      input.holder.item,
      input.holder.place,
      ['holder'],
    );
    const inBuild = await onePlaceOfKind(c, 'build');
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: item.id,
      lotId,
      from: place.id,
      to: inBuild.id,
      quantity: 1,
    });
    const built = await build(
      c,
      moment,
      // The schema of a cutter’s source has three forms, which its type can’t say.
      input.cutter as CutterSource,
      { itemId: item.id, placeId: place.id, lotId },
      input.stickout,
      input.despite,
      aim?.wanted ?? null,
      aim ? [aim.operation.job] : [],
    );
    if (aim) {
      await goesInto(c, item.id, aim.operation.machine);
      await tieBuilt(c, moment, aim.operation, Number(input.for?.t), built.assemblyId);
    }
    return { tag: built.tag, judgements: built.judgements };
  },
  says: (a) => `${a.tag} built`,
});
