import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertSpindleGear, maybeMachine } from '@/data/shop';

const gear = (description: string) =>
  ({
    type: 'object',
    description,
    properties: {
      from: field.decimal(0, 200_000, 'rev/min'),
      to: field.decimal(1, 200_000, 'rev/min'),
      kw: field.decimal(0.01, 1000, 'kW it keeps to at most.'),
      nm: field.decimal(0.01, 100_000, 'N m it keeps to at most.'),
    },
    required: ['from', 'to', 'kw', 'nm'],
    additionalProperties: false,
  }) as const;

export const stateSpindle = defineVerb({
  name: 'stateSpindle',
  may: ['crib', 'planner'],
  path: 'spindles',
  summary:
    'State what the spindle of a machine gives: power and torque in its only gear, or in the low and the high one, whole and anew.',
  properties: {
    machine: field.code,
    only: gear('A spindle without gears.'),
    low: gear('Its low gear.'),
    high: gear('Its high gear.'),
  },
  required: ['machine'],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    const { only, low, high } = input;
    const gears = [
      ...(only ? [['only', only] as const] : []),
      ...(low ? [['low', low] as const] : []),
      ...(high ? [['high', high] as const] : []),
    ];
    if (gears.length === 0 || (only && (low || high)))
      throw new Problem('INVALID_INPUT', 'A spindle has one gear, or a low and a high one', {
        field: 'only',
        value: null,
        limit: 'only, or low and high',
        wayOut: 'State the one, or the two.',
      });
    moment.leansOn(machine.entryId);
    for (const [name, g] of gears) {
      const [from, to] = [toNumber(g.from), toNumber(g.to)];
      if (to <= from)
        throw new Problem('INVALID_INPUT', `The ${name} gear runs from ${from} to ${to}`, {
          field: `${name}.to`,
          value: to,
          limit: `more than ${from}`,
          wayOut: 'Enter the slower turns first.',
        });
      await insertSpindleGear(c, moment.entryId, {
        ...{ machineId: machine.id, gear: name, fromRpm: from, toRpm: to },
        ...{ kw: toNumber(g.kw), nm: toNumber(g.nm) },
      });
    }
    return { code: machine.code, gears: gears.length };
  },
  says: (a) => `spindle of ${a.code}`,
});
