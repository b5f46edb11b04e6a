import { standing } from '@/crib/assemblies';
import { defineVerb, field, foundInUse, maybeNumber, Problem } from '@/crib/door';
import { foretell } from '@/crib/lives';
import { insertUseSaid } from '@/data/life';
import { maybeMaterial } from '@/data/shop';

export const recordUse = defineVerb({
  name: 'recordUse',
  may: ['crib', 'planner', 'operator'],
  path: 'uses-said',
  summary:
    'Say what the edge in an assembly cut that no log of parts says: by hand, on another machine, in a part that was mended. Minutes in the cut, holes, metres; without minutes its life is a lower bound from then on.',
  properties: {
    tag: field.words(20),
    material: field.code,
    minutes: field.decimal(0.01, 1_000_000, 'Minutes in the cut.'),
    holes: field.whole(1, 10_000_000),
    metres: field.decimal(0.001, 10_000_000, 'The way it fed.'),
  },
  required: ['tag', 'material'],
  async run(c, input, moment) {
    const [minutes, holes, metres] = [input.minutes, input.holes, input.metres].map(maybeNumber);
    if (minutes == null && holes == null && metres == null)
      throw new Problem('INVALID_INPUT', 'How much it cut is not said', {
        field: 'minutes',
        limit: 'minutes, holes or metres',
        wayOut: 'Say one of them at least; what is not known stays empty.',
      });
    const assembly = await standing(c, moment, input.tag);
    const material = foundInUse(
      await maybeMaterial(c, input.material),
      'material',
      input.material,
      'material',
    );
    moment.leansOn(assembly.entryId);
    if (minutes != null)
      await foretell(c, moment, [{ edgeSetId: assembly.edgeSetId, rpm: null }], material.id);
    await insertUseSaid(c, moment.entryId, {
      ...{ edgeSetId: assembly.edgeSetId, materialId: material.id },
      ...{ minutes: minutes ?? null, holes: holes ?? null, cutMm: metres == null ? null : metres * 1000 },
    });
    return { tag: assembly.tag, material: material.code, minutes: minutes ?? null, holes: holes ?? null };
  },
  says: (a) =>
    `${a.tag} cut ${[a.minutes === null ? null : `${a.minutes} min`, a.holes === null ? null : `${a.holes} holes`].filter(Boolean).join(', ') || 'some way'} in ${a.material} beside what was logged`,
});
