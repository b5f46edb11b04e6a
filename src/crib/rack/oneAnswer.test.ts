import { jobsView, jobView, runView } from '@/crib/jobs';
import { pocketsView } from '@/crib/pockets';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';
import { labelOf } from './label';
import { assemblyView } from './views/assemblyView';
import { rackView } from './views/rackView';

/** Two screens that answer differently about one tool is the worst that can happen: each state is asked of all of them. */
let crib: TestCrib;
let operation: number;
const TODAY = '2027-01-05';
const maker = (value: string) => ({ value, origin: 'maker' });

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 20 });
  await crib.do('addItem', {
    code: 'FB50',
    kind: 'body',
    family: 'face',
    facts: { DC: maker('50'), DMM: maker('10'), OAL: maker('72'), CICT: maker('5'), RPM_MAX: maker('2000') },
  });
  await crib.do('addItem', {
    code: 'SE12',
    kind: 'insert',
    facts: { ISO1832: maker('SEKN 1203AF'), EDGES: maker('4') },
  });
  await crib.do('receiveStock', { item: 'FB50', place: 'S1', quantity: 1 });
  await crib.do('receiveStock', { item: 'SE12', place: 'S1', quantity: 10 });
  operation = (
    await crib.do('addJob', {
      number: 'J-1',
      part: 'Block',
      material: 'C45',
      quantity: 40,
      due: '2027-01-20',
      machine: 'M2',
      highestBeside: 0,
    })
  ).operation as number;
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1, -10) });
});
afterAll(() => crib.db.close());

/** Builds, ties and measures a mill that may run; what is said differs from case to case. */
async function mill(over: { stickout?: string; length?: string; despite?: string } = {}): Promise<string> {
  const { tag } = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: over.stickout ?? '34',
    ...(over.despite ? { despite: over.despite } : {}),
  });
  await crib.do('tieTool', { operation, t: 7, tag });
  await crib.do('recordMeasurement', { tag, gaugeLength: over.length ?? '94.1', diameter: '9.99' });
  return String(tag);
}

/** What each screen says of T7, and how many tools the list of jobs calls ready. */
async function said(tag: string) {
  const job = (await jobView(crib.db, 'J-1'))!.tools[0]!;
  const run = (await runView(crib.db, operation))!.job.tools[0]!;
  const rack = (await rackView(crib.db, {}, TODAY)).assemblies.find((a) => a.tag === tag)!.ties[0]!.use;
  const own = (await assemblyView(crib.db, tag, crib.zone))!.ties[0]!.use;
  const { open } = await jobsView(crib.db);
  const today = (await todayView(crib.db, TODAY)).lines.map((l) => l.kind);
  const answers = [job.use, run.use, rack, own].map(({ grade, why, goodFor }) => ({ grade, why, goodFor }));
  for (const answer of answers) expect(answer).toEqual(answers[0]);
  expect(open[0]).toMatchObject({ ready: job.use.grade === 'good' ? 1 : 0, grade: job.use.grade });
  return { ...answers[0]!, today };
}

it('a mill of which all is known may run, and says for how many parts: 40 minutes at one a part', async () =>
  expect(await said(await mill())).toMatchObject({ grade: 'good', why: null, goodFor: 40 }));
it('worn', async () => {
  const tag = await mill();
  await crib.do('recordWear', { tag, flankWear: '0.2' });
  const answer = await said(tag);
  expect(answer).toMatchObject({ grade: 'stop', why: expect.stringMatching(/^Worn/), goodFor: 0 });
  expect(answer.today).toContain('wear');
});
it('a length in question', async () => {
  const answer = await said(await mill({ length: '95' }));
  expect(answer).toMatchObject({ grade: 'question', why: expect.stringMatching(/in question/) });
  expect(answer.today).toContain('in question');
});
it('built despite a stop: it stands until the build is changed', async () => {
  const tag = await mill({ stickout: '20', length: '80.1', despite: 'the flutes are ground back' });
  const answer = await said(tag);
  expect(answer).toMatchObject({ grade: 'stop', why: expect.stringMatching(/Gripped on the flutes/) });
  expect(answer.today).toContain('stop');
});
it('past its life', async () => {
  const tag = await mill();
  crib.at('2027-01-05T09:30:00Z');
  await crib.do('logParts', { operation, parts: 39 });
  expect(await said(tag)).toMatchObject({
    grade: 'question',
    why: expect.stringMatching(/change soon/),
    goodFor: 1,
  });
});
it('H of another tool', async () => {
  const tag = await mill();
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1, -10).replace('H7', 'H5') });
  expect(await said(tag)).toMatchObject({ grade: 'stop', why: 'H5 is called with T7' });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1, -10) });
});
it('the machine’s K is another since it was measured', async () => {
  const tag = await mill();
  crib.at('2027-01-05T10:00:00Z');
  const { entry } = await crib.do('changeMachine', {
    code: 'M2',
    taper: '40 taper',
    k: '491',
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
    rpmMax: '10000',
  });
  expect(await said(tag)).toMatchObject({ grade: 'question', why: expect.stringMatching(/enter H again/) });
  await crib.do('counterEntry', { counters: entry });
});
it('a bare body, and one with its inserts that turns too fast', async () => {
  const built = async (cutter: Record<string, unknown>) => {
    const { tag } = await crib.do('buildAssembly', {
      cutter,
      holder: { item: 'SL10', place: 'S1' },
      stickout: '40',
    });
    await crib.do('tieTool', { operation, t: 7, tag });
    await crib.do('recordMeasurement', { tag, gaugeLength: '100' });
    return String(tag);
  };
  const bare = await built({ item: 'FB50', place: 'S1' });
  expect((await jobView(crib.db, 'J-1'))!.tools[0]!.use.judgements).toEqual(
    expect.arrayContaining([expect.objectContaining({ code: 'INSERTS', grade: 'stop' })]),
  );
  await said(bare);
  const { piece } = await crib.do('takeDown', { tag: bare, cutterTo: 'S1' });
  await crib.do('mountInserts', { piece, item: 'SE12', from: 'S1' });
  const full = await built({ piece });
  const answer = await said(full);
  expect(answer).toMatchObject({ grade: 'stop', why: 'S3000 is over the cutter body’s 2000' });
});
/** What each says of one that is tied to nothing and stands in a machine: rack, tag, pocket, label and list of the day. */
async function saidUntied(tag: string) {
  const rack = (await rackView(crib.db, {}, TODAY)).assemblies.find((a) => a.tag === tag)!;
  const own = (await assemblyView(crib.db, tag, crib.zone))!;
  const { pockets } = (await pocketsView(crib.db, { machine: 'M2' }, TODAY, crib.zone))!;
  const pocket = pockets.find((p) => p.tool?.tag === tag)!.tool!.use;
  const { lines } = await todayView(crib.db, TODAY);
  expect([rack.ties, own.ties]).toEqual([[], []]);
  expect(rack.itself).toEqual({ grade: own.itself.grade, why: own.itself.why });
  expect(pocket).toEqual(own.itself.why === null ? null : rack.itself);
  const label = labelOf(own, crib.zone);
  expect(label.stop).toBe(own.itself.grade === 'stop' ? own.itself.why : null);
  // What must not run has no number on its paper.
  expect(label.registers).toHaveLength(label.stop === null ? 1 : 0);
  return { ...rack.itself, today: lines.filter((l) => l.todo.includes(tag)).map((l) => l.kind) };
}
it('tied to nothing: what is known of it by itself is said by all alike', async () => {
  await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 6 });
  const untied = async (tag: string, pocket: number) => {
    await crib.do('tieTool', { operation, t: 7 });
    await crib.do('loadPocket', { machine: 'M2', pocket, tag, t: 20 + pocket });
    return tag;
  };
  const good = await untied(await mill(), 1);
  expect(await saidUntied(good)).toEqual({ grade: 'not judged', why: null, today: [] });
  await crib.do('recordWear', { tag: good, flankWear: '0.2' });
  expect(await saidUntied(good)).toEqual({
    grade: 'stop',
    why: 'Worn: flank wear 0.20 of 0.20 mm',
    today: ['wear'],
  });
  const forced = await mill({ stickout: '20', length: '80.1', despite: 'the flutes are ground back' });
  expect(await saidUntied(await untied(forced, 2))).toEqual({
    grade: 'stop',
    why: expect.stringMatching(/Gripped on the flutes/),
    today: ['stop'],
  });
  // A bare body, whatever was measured of it.
  await crib.do('receiveStock', { item: 'FB50', place: 'S1', quantity: 1 });
  const { tag } = await crib.do('buildAssembly', {
    cutter: { item: 'FB50', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '40',
  });
  await crib.do('recordMeasurement', { tag, gaugeLength: '100' });
  await crib.do('loadPocket', { machine: 'M2', pocket: 3, tag, t: 23 });
  expect(await saidUntied(String(tag))).toEqual({
    grade: 'stop',
    why: 'No inserts are in it',
    today: ['stop'],
  });
});
it('worn, tied on one machine and in the pocket of another: a stop there as well', async () => {
  const tag = await mill();
  await crib.do('recordWear', { tag, flankWear: '0.2' });
  await crib.do('addMachine', { ...MILL, code: 'M8', name: 'Mill 8' });
  await crib.do('stateMagazine', { machine: 'M8', kind: 'carousel', pockets: 6 });
  await crib.do('loadPocket', { machine: 'M8', pocket: 2, tag, t: 30 });
  const there = (await pocketsView(crib.db, { machine: 'M8' }, TODAY, crib.zone))!.pockets[1]!.tool!;
  expect(there.use).toEqual({ grade: 'stop', why: 'Worn: flank wear 0.20 of 0.20 mm' });
  expect(await said(tag)).toMatchObject({ grade: 'stop', why: there.use!.why });
});
it('a holder that does not go into the machine can be tied to nothing there', async () => {
  await crib.do('addMachine', {
    code: 'B1',
    name: 'Bench',
    taper: 'R8',
    k: '250',
    lengthSchool: 'gauge',
    diameterSchool: 'diameter',
    units: 'mm',
    hEqualsT: 'no',
  });
  const { operation: bench } = await crib.do('addJob', {
    number: 'J-2',
    part: 'Cap',
    material: 'C45',
    quantity: 4,
    due: '2027-01-20',
    machine: 'B1',
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation: bench, text: oneToolProgram(1, 1) });
  const tag = await mill();
  await expect(crib.do('tieTool', { operation: bench, t: 1, tag })).rejects.toMatchObject({
    code: 'REFUSED',
    message: '40 taper does not go into B1: R8',
  });
  // Nor built for it: the stop is judged before anybody tightens a nut, and no reason opens that spindle.
  const build = (despite?: string) =>
    crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
      for: { operation: bench, t: 1 },
      ...(despite ? { despite } : {}),
    });
  await expect(build()).rejects.toMatchObject({ message: expect.stringMatching(/does not go into B1/) });
  await expect(build('it will do')).rejects.toMatchObject({
    message: expect.stringMatching(/does not go into B1/),
  });
});
it('building for a T judges its reach before anybody tightens a nut', async () => {
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1, -38) });
  await expect(
    crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
      for: { operation, t: 7 },
    }),
  ).rejects.toMatchObject({
    code: 'REFUSED',
    message: expect.stringMatching(/4 mm short: the holder would hit/),
  });
});
