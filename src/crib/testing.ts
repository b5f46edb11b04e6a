import { randomUUID } from 'node:crypto';
import { migrate, openInMemory, type Database } from '@/data/database';
import { perform, type Crib, type Done } from './door';
import { verbNamed } from './verbs';

/** A crib in memory for tests: real PostgreSQL with the schema, a clock that the test turns, and short ways to do verbs. */
export interface TestCrib extends Crib {
  db: Database;
  at(iso: string): void;
  do(verb: string, input: Record<string, unknown>): Promise<Done>;
}

let template: Promise<Blob> | null = null;
/** The migrated database is dumped once a process and loaded for each test: a fifth of the time of migrating. */
async function migrated(): Promise<Blob> {
  const db = await openInMemory();
  await migrate(db);
  const dump = await db.dump();
  await db.close();
  return dump;
}

export async function openTestCrib(): Promise<TestCrib> {
  template ??= migrated();
  const db = await openInMemory(await template);
  let now = new Date('2027-01-05T09:00:00Z');
  const crib: TestCrib = {
    db,
    zone: 'America/St_Johns',
    now: () => now,
    at: (iso) => void (now = new Date(iso)),
    do: (name, input) => perform(crib, verbNamed(name)!, { who: 'IK', formId: randomUUID(), ...input }),
  };
  return crib;
}

const guess = (value: string) => ({ value, origin: 'maker' });

/** The smallest shop the story needs: a person, places, a material, a supplier, a machine, cutters and holders in stock. */
export async function furnish(crib: TestCrib): Promise<void> {
  await crib.do('addPerson', { initials: 'IK', name: 'Ida Kern' });
  await crib.do('addPlace', { code: 'S1', name: 'Shelf 1', kind: 'shelf' });
  await crib.do('addPlace', { code: 'USED', name: 'Used drawer', kind: 'drawer' });
  await crib.do('addMaterial', { code: 'C45', name: 'Carbon steel', isoGroup: 'P' });
  await crib.do('addSupplier', { code: 'NORD', name: 'Nordkap Tools', leadTimeDays: 10 });
  await crib.do('addMachine', {
    code: 'M2',
    name: 'Mill 2',
    taper: '40 taper',
    k: '490',
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
    rpmMax: '10000',
    feedMax: '6000',
    rapid: '20000',
    toolChangeS: '5',
  });
  await crib.do('addItem', {
    code: 'EM10',
    kind: 'cutter',
    family: 'square',
    facts: {
      SUBSTRATE: guess('carbide'),
      DC: guess('10'),
      DMM: guess('10'),
      LCF: guess('22'),
      OAL: guess('72'),
      NOF: guess('4'),
    },
    assumedLife: { minutes: '40', origin: 'guess' },
    supply: { supplier: 'NORD', orderCode: 'N-1010', priceCents: 3150, pack: 2 },
  });
  await crib.do('addItem', {
    code: 'SL10',
    kind: 'holder',
    facts: {
      CCMS: guess('40 taper'),
      LF: guess('60'),
      CLAMP_MIN: guess('10'),
      CLAMP_MAX: guess('10'),
      GRIP_MIN: guess('30'),
      DEPTH_MAX: guess('45'),
      RPM_MAX: guess('12000'),
    },
    segments: [
      { length: 20, upper: 63, lower: 63 },
      { length: 40, upper: 44, lower: 32 },
    ],
  });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 3 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 2 });
}

/** A program of one tool that feeds exactly so many minutes a part, 100 mm/min along a line at depth z. */
export const oneToolProgram = (t: number, minutes: number, z = -10): string =>
  `G21 G90 G17 G54\nT${t} M6\nS3000 M3\nG0 X0 Y0\nG0 G43 H${t} Z5\nG0 Z${z}\nG1 X${minutes * 100} F100\nG0 Z5\nM30`;
