import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openMinutes, USUAL_CALENDAR } from '../src/core/buying';
import { rankCauses } from '../src/core/breakage';
import { readProgram } from '../src/core/programs';
import { buyingView } from '../src/crib/buying';
import { lifeView } from '../src/crib/life';
import { jobView, runView, unwatchedView } from '../src/crib/jobs';
import { kitView, pocketsView } from '../src/crib/pockets';
import { assemblyView, rackView } from '../src/crib/rack';
import { todayView, type WorkKind } from '../src/crib/today';
import { openTestCrib } from '../src/crib/testing';
import { manyConfirmedCases } from '../src/data/breakage';
import { type Database, openDatabase } from '../src/data/database';
import { manyOpenOperations } from '../src/data/jobs';
import { fillDemo } from './history';

/** The demo must agree with itself and have something to say on every screen. */
/** As playwright.config.ts has them: one shop is filled for all. */
const KEPT = join('.stable', 'kept-demo');
const NOW = '2027-01-12T09:00:00Z';
/** A Sunday a year on, just after midnight: whoever tries the demo then finds the same shop. */
const ANOTHER = new Date('2028-02-27T00:20:00Z');
let kinds: string[];
const program = (name: string) => readFileSync(join(process.cwd(), 'demo', 'programs', name), 'utf8');

/** What was done, in the order it was done. */
const kindsOf = async (db: Database) =>
  (await db.query<{ kind: string }>('select kind from entry order by id')).map((e) => e.kind);

/** A copy of the very shop that the browser tests open, filled now if it was not since its sources changed. */
async function openFilled(): Promise<{ db: Database; remove: () => Promise<void> }> {
  const kept = execFileSync('node', ['scripts/keptDemo.mjs', KEPT], {
    encoding: 'utf8',
    env: { ...process.env, STABLE_NOW: NOW },
  });
  const folder = mkdtempSync(join(tmpdir(), 'stable-demo-'));
  cpSync(kept.trim().split('\n').at(-1) ?? '', folder, { recursive: true });
  const db = await openDatabase(folder);
  const remove = async () => {
    await db.close();
    rmSync(folder, { recursive: true });
  };
  return { db, remove };
}

it('fills by the verbs alone: same seed, same shop, with something of everything to do', async () => {
  const { remove, ...crib } = await openFilled();
  const [counts] = await crib.db.query<{ entries: number }>('select count(*)::int as entries from entry');
  expect(counts?.entries).toBeGreaterThan(250);
  kinds = await kindsOf(crib.db);
  const todo = new Set((await todayView(crib.db, '2027-01-12')).lines.map((l) => l.kind));
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
    'held',
  ] as WorkKind[])
    expect(todo).toContain(kind);
  const life = await lifeView(crib.db, '2027-01-12', 'Europe/Oslo');
  expect(life.lines.filter((l) => l.lives >= 4).length).toBeGreaterThanOrEqual(3);
  expect((await buyingView(crib.db, '2027-01-12')).lines.length).toBeGreaterThan(8);
  // Its confirmed causes, each left out once: the right one is among the first two in four of five.
  const confirmed = await manyConfirmedCases(crib.db, 100);
  const places = confirmed.map((one, i) =>
    rankCauses(
      one,
      confirmed.filter((_, j) => j !== i),
    ).findIndex((r) => r.cause === one.cause),
  );
  expect(confirmed.length).toBeGreaterThanOrEqual(7);
  expect(places.filter((p) => p < 2).length / places.length).toBeGreaterThanOrEqual(0.8);
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
  await remove();
  // It may have to be filled first.
}, 180_000);

it('whether a tool may run is answered alike by every screen that says it', async () => {
  const { db, remove } = await openFilled();
  const [day, zone] = ['2027-01-12', 'Europe/Oslo'];
  /** By what is judged: each answer, and the screens that give it. */
  const said = new Map<string, Map<string, string[]>>();
  type Use = { grade: string; why: string | null };
  const says = (screen: string, of: string, { grade, why }: Use) => {
    const answers = said.get(of) ?? new Map<string, string[]>();
    // What is good has nothing to say against it, whoever words it.
    const answer = grade === 'good' ? grade : `${grade}: ${why}`;
    answers.set(answer, [...(answers.get(answer) ?? []), screen]);
    said.set(of, answers);
  };
  for (const a of (await rackView(db, {}, day)).assemblies) {
    says('rack', a.tag, a.itself);
    for (const t of a.ties) says('rack', `${t.operation} T${t.t}`, t.use);
    const tag = await assemblyView(db, a.tag, zone);
    if (tag) says('tag', a.tag, tag.itself);
    for (const t of tag?.ties ?? []) says('tag', `${t.operation} T${t.t}`, t.use);
  }
  for (const { id, job: number, machine } of await manyOpenOperations(db)) {
    for (const t of (await jobView(db, number))?.tools ?? []) says('job', `${id} T${t.t}`, t.use);
    for (const t of (await runView(db, id))?.job.tools ?? []) says('run', `${id} T${t.t}`, t.use);
    for (const t of (await unwatchedView(db, { operation: id }))?.lines ?? [])
      says('alone', `${id} T${t.t}`, t.use);
    for (const t of (await kitView(db, { number }, day))?.tools ?? [])
      if (t.called) says('kit', `${id} T${t.t}`, t);
    const pockets = await pocketsView(db, { machine }, day, zone);
    for (const t of pockets?.jobs.find((j) => j.operation === id)?.lines ?? [])
      says('pockets', `${id} T${t.t}`, t);
  }
  const differ = [...said].filter(([, answers]) => answers.size > 1).map(([of, a]) => [of, ...a]);
  expect(differ).toEqual([]);
  const screens = [...said.values()].map((answers) => [...answers.values()].flat().length);
  expect([said.size > 25, Math.max(...screens)]).toEqual([true, 7]);
  await remove();
}, 180_000);

it('on another day and hour the same shop, entry by entry: on no morning is an order day closed, or after the job must have begun', async () => {
  const { db } = await openTestCrib();
  let asked = 0;
  await fillDemo(db, ANOTHER, program, async (day) => {
    for (const { item, proposal: p } of (await buyingView(db, day)).lines) {
      if (p.say !== 'order' || p.orderBy === null) continue;
      asked += 1;
      const open = openMinutes(USUAL_CALENDAR, p.orderBy) > 0;
      expect([day, item.code, p.orderBy, open]).toEqual([day, item.code, p.orderBy, true]);
      expect([day, item.code, p.orderBy <= p.firstShort.start]).toEqual([day, item.code, true]);
    }
  });
  expect(asked).toBeGreaterThan(100);
  expect(await kindsOf(db)).toEqual(kinds);
  await db.close();
}, 180_000);

it.each(['valve-block.nc', 'seal-housing.nc', 'bronze-bush.nc'])('%s is read whole', (name) => {
  const report = readProgram(program(name));
  expect(report.not_understood).toEqual([]);
  expect(report.tools.every((t) => t.cutting_s > 0)).toBe(true);
});
