import { regroundGeometry } from '@/core/cutters';
import { questionMeasurement } from '@/core/measuring';
import { held } from '@/core/sure';
import { partsWith, putTogether, standing } from '@/crib/assemblies';
import { cutterOf, loadItems } from '@/crib/catalogue';
import { defineVerb, field, maybeLength, toLength } from '@/crib/door';
import { insertMeasurement, manyParts, measuredNow } from '@/data/assemblies';
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
    const rows = await manyParts(c, [assembly.id]);
    const ids = [assembly.cutterItemId, assembly.holderItemId, ...rows.map((r) => r.itemId)];
    const items = new Map((await loadItems(c, [...new Set(ids)])).map((i) => [i.id, i]));
    const cutterItem = held(items, assembly.cutterItemId);
    const sizes = await presentSizes(c, [assembly.pieceId]);
    const cutter = regroundGeometry(cutterOf(cutterItem), sizes.get(assembly.pieceId) ?? null);
    const { expectedMm } = putTogether(
      cutterItem,
      cutter,
      held(items, assembly.holderItemId),
      partsWith(rows, items),
      assembly.stickoutMm,
    );
    const last = (await measuredNow(c, [assembly.id])).get(assembly.id)?.good ?? null;
    const questions = questionMeasurement({
      L: L.mm,
      expected: expectedMm,
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
