import { defineVerb, field } from '@/crib/door';
import { build, tieBuilt } from '../build';
import { type CutterSource, cutterSourceSchema, partsSchema, takeHeld } from '../taking';
import { goesInto, wantedFor } from '../useFigures';

export const buildAssembly = defineVerb({
  name: 'buildAssembly',
  may: ['crib', 'operator'],
  path: 'assemblies',
  summary:
    'Build an assembly: pull cutter, holder and what is between them from stock, set the stickout, get a tag number.',
  properties: {
    cutter: cutterSourceSchema,
    holder: {
      type: 'object',
      properties: { item: field.words(40), place: field.code },
      required: ['item', 'place'],
      additionalProperties: false,
    },
    parts: partsSchema,
    stickout: field.length(0.5, 800, 'Tip to the face that holds it: the holder’s, or the last extension’s.'),
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
    const holder = await takeHeld(c, moment, input.holder, input.parts ?? []);
    const built = await build(
      c,
      moment,
      // The schema of a cutter’s source has three forms, which its type can’t say.
      input.cutter as CutterSource,
      holder,
      input.stickout,
      input.despite,
      aim?.wanted ?? null,
      aim ? [aim.operation.job] : [],
    );
    if (aim) {
      await goesInto(c, holder.itemId, aim.operation.machine);
      await tieBuilt(c, moment, aim.operation, Number(input.for?.t), built.assemblyId);
    }
    return { tag: built.tag, judgements: built.judgements };
  },
  says: (a) => `${a.tag} built`,
});
