import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProgram } from '../src/core/programs';
import { buyingView } from '../src/crib/buying';
import { lifeView } from '../src/crib/life';
import { openTestCrib } from '../src/crib/testing';
import { todayView, type WorkKind } from '../src/crib/today';
import { fillDemo } from './history';

/** The demo must agree with itself and have something to say on every screen. */
const program = (name: string) => readFileSync(join(process.cwd(), 'demo', 'programs', name), 'utf8');

it('fills by the verbs alone: same seed, same shop, with something of everything to do', async () => {
  const crib = await openTestCrib();
  const now = new Date('2027-01-12T09:00:00Z');
  const counts = await fillDemo(crib.db, now, program);
  expect(counts.entries).toBeGreaterThan(250);
  const kinds = new Set((await todayView(crib.db, '2027-01-12')).lines.map((l) => l.kind));
  for (const kind of [
    'in question',
    'stop',
    'wear',
    'life',
    'order',
    'delivery late',
    'build',
    'measure',
    'which tool',
    'grade',
    'late back',
    'count',
  ] as WorkKind[])
    expect(kinds).toContain(kind);
  const life = await lifeView(crib.db);
  expect(life.lines.filter((l) => l.lives >= 4).length).toBeGreaterThanOrEqual(3);
  expect((await buyingView(crib.db, '2027-01-12')).lines.length).toBeGreaterThan(8);
  // Minutes of all edge sets are parts times minutes per part of the programs, neither more nor less.
  const booked = await crib.db.query<{ n: number }>('select sum(minutes) as n from use');
  const logs = await crib.db.query<{ parts: number; report: ReturnType<typeof readProgram> }>(
    'select l.parts, p.report from parts_log l join program p on p.entry_id = l.program_id',
  );
  const expected = logs.reduce(
    (sum, l) => sum + l.parts * l.report.tools.reduce((s, t) => s + t.cutting_s / 60, 0),
    0,
  );
  expect(booked[0]!.n).toBeCloseTo(expected, 6);
  await crib.db.close();
});

it.each(['valve-block.nc', 'seal-housing.nc', 'bronze-bush.nc'])('%s is read whole', (name) => {
  const report = readProgram(program(name));
  expect(report.not_understood).toEqual([]);
  expect(report.tools.every((t) => t.cutting_s > 0)).toBe(true);
});
