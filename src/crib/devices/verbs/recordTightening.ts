import { standing } from '@/crib/assemblies';
import { defineVerb, field, maybeNumber } from '@/crib/door';
import { insertTightening } from '@/data/devices';
import { usableGauge } from '../usableGauge';

/** Says which torque wrench a build was tightened with: what that wrench was off by is then known of the build. */
export const recordTightening = defineVerb({
  name: 'recordTightening',
  may: ['crib', 'operator'],
  path: 'tightenings',
  summary: 'Record that an assembly was tightened with a torque wrench, and to what.',
  properties: {
    tag: field.words(20),
    wrench: field.code,
    torque: { ...field.decimal(0.1, 1999), description: 'N m' },
  },
  required: ['tag', 'wrench'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const wrench = await usableGauge(c, moment, 'wrench', input.wrench, ['torque wrench']);
    moment.leansOn(assembly.entryId);
    await insertTightening(c, moment.entryId, {
      assemblyId: assembly.id,
      gaugeId: wrench.id,
      torque: maybeNumber(input.torque),
    });
    return { tag: assembly.tag, wrench: wrench.code };
  },
  says: (a) => `${a.tag} tightened with ${a.wrench}`,
});
