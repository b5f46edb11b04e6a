import { defineVerb, field, found, maybeNumber, Problem } from '@/crib/door';
import { insertMaterialFigures, maybeMaterial } from '@/data/shop';

export const stateMaterial = defineVerb({
  name: 'stateMaterial',
  may: ['crib', 'planner'],
  path: 'material-figures',
  summary:
    'State anew what a work material takes to cut: hardness, specific force kc1.1 with its exponent mc, density, unit power, and where they come from. What is left out is not known.',
  properties: {
    material: field.code,
    hardness: field.words(24),
    kc11: field.decimal(50, 20_000, 'N/mm2 at a chip of 1 mm by 1 mm, sharp edge.'),
    mc: field.decimal(0.001, 0.999, 'How it falls with the chip.'),
    density: field.decimal(0.01, 30, 'g/cm3'),
    unitPower: field.decimal(0.01, 10, 'hp per in3/min at the cutter.'),
    origin: field.origin,
    words: field.words(200),
  },
  required: ['material', 'origin'],
  async run(c, input, moment) {
    const material = found(await maybeMaterial(c, input.material), 'material', input.material, 'material');
    const [kc11, mc] = [maybeNumber(input.kc11), maybeNumber(input.mc)];
    if ((kc11 === null) !== (mc === null))
      throw new Problem('INVALID_INPUT', 'kc1.1 and mc are of one measurement', {
        field: kc11 === null ? 'kc11' : 'mc',
        value: null,
        limit: 'both, or neither',
        wayOut: 'Take both from the same table; else leave both blank.',
      });
    moment.leansOn(material.entryId);
    await insertMaterialFigures(c, moment.entryId, {
      ...{ materialId: material.id, hardness: input.hardness?.trim() ?? null, kc11, mc },
      ...{ density: maybeNumber(input.density), unitPower: maybeNumber(input.unitPower) },
      ...{ origin: input.origin, words: input.words?.trim() ?? null },
    });
    return { code: material.code };
  },
  says: (a) => `what ${a.code} takes to cut`,
});
