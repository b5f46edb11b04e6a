import { DIAMETER_SCHOOLS, LENGTH_SCHOOLS, type DiameterSchool, type LengthSchool } from '@/core/measuring';
import { defineVerb, field, found, maybeLength, maybeNumber, Problem, toLength } from '@/crib/door';
import type { Connection } from '@/data/database';
import { maybeMachine, insertMachine, insertMachineFigures } from '@/data/machines';
import type { FromSchema } from 'json-schema-to-ts';

const figures = {
  taper: field.words(24),
  k: field.length(1, 5000, 'Gauge line to the datum surface, Z at home.'),
  lengthSchool: field.choice(Object.keys(LENGTH_SCHOOLS) as LengthSchool[]),
  k0: field.length(1, 5000, "The stand's constant."),
  masterLength: field.length(1, 2000, 'Gauge length of the master tool.'),
  diameterSchool: field.choice(Object.keys(DIAMETER_SCHOOLS) as DiameterSchool[]),
  units: field.choice(['mm', 'inch']),
  hEqualsT: field.choice(['yes', 'no']),
  rpmMax: field.decimal(1, 200_000),
  feedMax: field.length(1, 200_000, 'Feed ceiling a minute.'),
  rapid: field.length(1, 500_000, 'Rapid rate a minute.'),
  toolChangeS: field.decimal(0, 3600),
} as const;
const REQUIRED = ['taper', 'k', 'lengthSchool', 'diameterSchool', 'units', 'hEqualsT'] as const;
type Figures = FromSchema<{
  type: 'object';
  properties: typeof figures;
  required: typeof REQUIRED;
  additionalProperties: false;
}>;

async function writeFigures(c: Connection, entryId: number, machineId: number, f: Figures): Promise<void> {
  const need = (field_: 'k0' | 'masterLength', why: string) => {
    throw new Problem('INVALID_INPUT', `${field_} is needed: ${why}`, {
      field: field_,
      value: null,
      limit: 'needed for this school',
      wayOut: 'Enter it, or choose another school.',
    });
  };
  if (f.lengthSchool === 'common-stand' && f.k0 === undefined)
    need('k0', 'one stand for many machines has a constant');
  if (f.lengthSchool === 'master' && f.masterLength === undefined)
    need('masterLength', 'registers count from the master tool');
  const k = toLength(f.k);
  await insertMachineFigures(c, entryId, {
    machineId: machineId,
    taper: f.taper.trim(),
    kMm: k.mm,
    kEntered: k.entered,
    lengthSchool: f.lengthSchool,
    k0Mm: maybeLength(f.k0)?.mm ?? null,
    masterLengthMm: maybeLength(f.masterLength)?.mm ?? null,
    diameterSchool: f.diameterSchool,
    units: f.units,
    hEqualsT: f.hEqualsT === 'yes',
    rpmMax: maybeNumber(f.rpmMax),
    feedMaxMmMin: maybeLength(f.feedMax)?.mm ?? null,
    rapidMmMin: maybeLength(f.rapid)?.mm ?? null,
    toolChangeS: maybeNumber(f.toolChangeS),
  });
}

export const addMachine = defineVerb({
  name: 'addMachine',
  path: 'machines',
  summary: 'Add a machine with its taper, K, schools of registers, units and limits.',
  properties: { code: field.code, name: field.words(), ...figures },
  required: ['code', 'name', ...REQUIRED],
  async run(c, input, moment) {
    const id = await insertMachine(c, moment.entryId, { code: input.code, name: input.name.trim() });
    await writeFigures(c, moment.entryId, id, input);
    return { code: input.code };
  },
  says: (a) => `machine ${a.code}`,
});

/** A crash or spindle repair makes a new K: new figures from a day on, never a change of the old ones. */
export const changeMachine = defineVerb({
  name: 'changeMachine',
  path: 'machine-figures',
  summary:
    'State a machine’s figures anew (after a crash, a spindle repair, a new stand). Registers follow at once.',
  properties: { code: field.code, ...figures },
  required: ['code', ...REQUIRED],
  async run(c, input, moment) {
    const machine = found(await maybeMachine(c, input.code), 'code', input.code, 'machine');
    await moment.leansOn(machine.entryId);
    await writeFigures(c, moment.entryId, machine.id, input);
    return { code: machine.code };
  },
  says: (a) => `new figures of ${a.code}`,
});
