import { expectedGaugeLength } from '@/core/assemblies';
import { regroundGeometry } from '@/core/cutters';
import { questionMeasurement } from '@/core/measuring';
import { standing } from '@/crib/assemblies';
import { cutterOf, holderOf, loadPair } from '@/crib/catalogue';
import { defineVerb, field, maybeLength, toLength } from '@/crib/door';
import { insertMeasurement, measuredNow } from '@/data/assemblies';
import { presentSizes } from '@/data/stock';

export const recordMeasurement = defineVerb({
  name: 'recordMeasurement',
  may: ['crib', 'operator'],
  path: 'measurements',
  summary:
    'Record gauge length, diameter and runout of an assembly. Far from expected or from the last is in question.',
  properties: {
    tag: field.words(20),
    gaugeLength: field.length(5, 1500, 'Gauge line to tip.'),
    diameter: field.length(0.05, 500),
    runout: field.length(0, 2),
  },
  required: ['tag', 'gaugeLength'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const L = toLength(input.gaugeLength);
    const D = maybeLength(input.diameter);
    const runout = maybeLength(input.runout);
    const [cutterItem, holderItem] = await loadPair(c, assembly.cutterItemId, assembly.holderItemId);
    const sizes = await presentSizes(c, [assembly.pieceId]);
    const cutter = regroundGeometry(cutterOf(cutterItem), sizes.get(assembly.pieceId) ?? null);
    const holder = holderOf(holderItem);
    const last = (await measuredNow(c, [assembly.id])).get(assembly.id)?.good ?? null;
    const questions = questionMeasurement({
      L: L.mm,
      expected: expectedGaugeLength(holder.LF, assembly.stickoutMm),
      last: last?.gaugeLengthMm ?? null,
      D: D?.mm ?? null,
      DC: cutter.DC,
    });
    moment.leansOn(assembly.entryId);
    await insertMeasurement(c, moment.entryId, {
      assemblyId: assembly.id,
      gaugeLengthMm: L.mm,
      gaugeLengthEntered: L.entered,
      diameterMm: D?.mm ?? null,
      diameterEntered: D?.entered ?? null,
      runoutMm: runout?.mm ?? null,
      runoutEntered: runout?.entered ?? null,
      questions: JSON.stringify(questions),
    });
    return { tag: assembly.tag, inQuestion: questions.length > 0, questions };
  },
  says: (a) => `${a.tag} measured${a.inQuestion ? ', in question' : ''}`,
});
