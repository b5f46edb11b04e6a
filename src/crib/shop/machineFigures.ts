import type { FromSchema } from 'json-schema-to-ts';
import { DIAMETER_SCHOOLS, figureNeeded, LENGTH_SCHOOLS } from '@/core/measuring';
import { namesOf } from '@/core/names';
import { DWELLS, POINTS } from '@/core/programs';
import { G10_FORMS, OWN_SETTERS } from '@/core/registers';
import { field, maybeLength, maybeNumber, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertMachineFigures } from '@/data/shop';

export const figures = {
  taper: field.words(24),
  k: field.length(
    1,
    5000,
    'Gauge line to the datum surface, Z at home; needed where registers count from there.',
  ),
  lengthSchool: field.choice(namesOf(LENGTH_SCHOOLS)),
  k0: field.length(1, 5000, "The stand's constant."),
  masterLength: field.length(1, 2000, 'Gauge length of the master tool.'),
  diameterSchool: field.choice(namesOf(DIAMETER_SCHOOLS)),
  units: field.choice(['mm', 'inch']),
  hEqualsT: field.choice(['yes', 'no']),
  rpmMax: field.decimal(1, 200_000),
  feedMax: field.length(1, 200_000, 'Feed ceiling a minute.'),
  rapid: field.length(1, 500_000, 'Rapid rate a minute.'),
  toolChangeS: field.decimal(0, 3600),
  withoutPoint: field.choice(POINTS),
  g10Form: field.choice(G10_FORMS),
  digits: field.whole(1, 6),
  wearRegisters: field.choice(['yes', 'no']),
  ownSetter: field.choice(OWN_SETTERS),
  coolantBar: field.decimal(0, 999),
  dwellUnit: field.choice(DWELLS),
  peckClearance: field.length(0, 50, 'How far above the depth reached a pecking cycle stops its rapid back.'),
  dEqualsT: field.choice(['yes', 'no']),
  huntsFrom: field.decimal(0, 200_000),
  huntsTo: field.decimal(0, 200_000),
  travelZ: field.length(1, 5_000, 'How far Z travels down from home.'),
  acceleration: field.decimal(0.01, 100, 'What its axes gain and lose of speed, m/s²; with corner.'),
  corner: field.length(0.0001, 5, 'How far it may stay away from a programmed corner; with acceleration.'),
} as const;
export const REQUIRED = ['taper', 'lengthSchool', 'diameterSchool', 'units', 'hEqualsT'] as const;
type Figures = FromSchema<{
  type: 'object';
  properties: typeof figures;
  required: typeof REQUIRED;
  additionalProperties: false;
}>;

/** What a school asks for by the name it has at the door, and why. */
const ASKED = {
  K: { field: 'k', why: 'registers count from the datum surface' },
  K0: { field: 'k0', why: 'one stand for many machines has a constant' },
  Lm: { field: 'masterLength', why: 'registers count from the master tool' },
} as const;

export async function writeFigures(
  c: Connection,
  entryId: number,
  machineId: number,
  f: Figures,
): Promise<void> {
  const asks = figureNeeded(f.lengthSchool);
  const field_ = asks && ASKED[asks].field;
  if (asks && field_ && f[field_] === undefined)
    throw new Problem('INVALID_INPUT', `${field_} is needed: ${ASKED[asks].why}`, {
      field: field_,
      value: null,
      limit: 'needed for this school',
      wayOut: 'Enter it, or choose another school.',
    });
  const hunts = huntingBand(f);
  const motion = motionOf(f);
  const k = maybeLength(f.k);
  await insertMachineFigures(c, entryId, {
    machineId: machineId,
    taper: f.taper.trim(),
    kMm: k?.mm ?? null,
    kEntered: k?.entered ?? null,
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
    withoutPoint: f.withoutPoint ?? null,
    g10Form: f.g10Form ?? null,
    digits: maybeNumber(f.digits),
    wearRegisters: f.wearRegisters === undefined ? null : f.wearRegisters === 'yes',
    ownSetter: f.ownSetter ?? null,
    coolantBar: maybeNumber(f.coolantBar),
    dwellUnit: f.dwellUnit ?? null,
    peckClearanceMm: maybeLength(f.peckClearance)?.mm ?? null,
    dEqualsT: f.dEqualsT === undefined ? null : f.dEqualsT === 'yes',
    ...hunts,
    travelZMm: maybeLength(f.travelZ)?.mm ?? null,
    ...motion,
  });
}

/** Speeds between which the spindle hunts: both ends, the lower first. Throws a Problem where that is not so. */
function huntingBand(f: Pick<Figures, 'huntsFrom' | 'huntsTo'>) {
  const [huntsFrom, huntsTo] = [maybeNumber(f.huntsFrom), maybeNumber(f.huntsTo)];
  if ((huntsFrom === null) !== (huntsTo === null))
    throw new Problem('INVALID_INPUT', 'The spindle hunts from one speed to another: both are needed', {
      field: huntsFrom === null ? 'huntsFrom' : 'huntsTo',
      value: null,
      limit: 'needed with the other',
      wayOut: 'Enter both, or neither.',
    });
  if (huntsFrom !== null && huntsTo !== null && huntsFrom >= huntsTo)
    throw new Problem('INVALID_INPUT', `huntsTo: ${huntsTo} is not above ${huntsFrom}`, {
      field: 'huntsTo',
      value: huntsTo,
      limit: `above ${huntsFrom}`,
      wayOut: 'Enter the lower speed first.',
    });
  return { huntsFrom, huntsTo };
}

/** How it gains and loses speed, mm/s², and how near it stays to a corner, mm: both or neither. Throws a Problem where one is missing. */
function motionOf(f: Pick<Figures, 'acceleration' | 'corner'>) {
  const [acceleration, corner] = [maybeNumber(f.acceleration), maybeLength(f.corner)?.mm ?? null];
  if ((acceleration === null) !== (corner === null))
    throw new Problem('INVALID_INPUT', 'Its own times follow from acceleration and corner: both are needed', {
      field: acceleration === null ? 'acceleration' : 'corner',
      value: null,
      limit: 'needed with the other',
      wayOut: 'Enter both, or neither.',
    });
  return { accelerationMmS2: acceleration === null ? null : acceleration * 1000, cornerMm: corner };
}
