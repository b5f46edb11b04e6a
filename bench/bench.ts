import { benchCatalogue } from './catalogue';
import { readProgram } from '../src/core/programs';
import { kaplanMeier } from '../src/core/life';
import { furnish, oneToolProgram, openTestCrib } from '../src/crib/testing';
import { rackView } from '../src/crib/rack';
import { todayView } from '../src/crib/today';

/** Ratios within one run: what grows with the data, and what the shop's rules cost over the bare query. */
async function best(times: number, work: () => unknown): Promise<number> {
  let least = Infinity;
  for (let i = 0; i < times; i += 1) {
    const from = performance.now();
    await work();
    least = Math.min(least, performance.now() - from);
  }
  return least;
}
const say = (name: string, ratio: number, note: string) =>
  console.log(`${name.padEnd(72)} ${ratio.toFixed(2).padStart(7)}   ${note}`);

async function main(): Promise<void> {
  console.log('what'.padEnd(72), '  ratio', '  of what');
  const block = (n: number) =>
    [
      'T1 M6',
      'S1000 M3',
      'G0 X0 Y0 Z5',
      ...Array.from({ length: n }, (_, i) => `G1 X${i % 100} Y${(i * 7) % 90} Z-${i % 20} F500`),
    ].join('\n');
  const [small, large] = [block(10_000), block(100_000)];
  say(
    'program of 100,000 blocks against 10 x a tenth of it',
    (await best(3, () => readProgram(large))) / (10 * (await best(5, () => readProgram(small)))),
    '1 is linear',
  );
  const lives = (n: number) =>
    Array.from({ length: n }, (_, i) => ({ minutes: (i * 37) % 500, failed: i % 3 > 0 }));
  say(
    'survival curve of 10,000 lives against 10 x a tenth',
    (await best(3, () => kaplanMeier(lives(10_000)))) /
      (10 * (await best(5, () => kaplanMeier(lives(1000))))),
    '1 is linear',
  );

  const crib = await openTestCrib();
  await furnish(crib);
  const { operation } = await crib.do('addJob', {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 100_000,
    due: '2027-02-01',
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
    for: { operation, t: 7 },
  });
  const log = async (n: number) => {
    for (let i = 0; i < n; i += 1) await crib.do('logParts', { operation, parts: 1 });
    await crib.db.script('analyze');
  };
  await log(100);
  const before = {
    rack: await best(5, () => rackView(crib.db)),
    today: await best(5, () => todayView(crib.db, '2027-01-05')),
    log: await best(10, () => crib.do('logParts', { operation, parts: 1 })),
  };
  const bare = await best(10, () => crib.db.query('select * from entry where id = $1', [1]));
  await log(900);
  say(
    'rack with 1,000 logs against 100',
    (await best(5, () => rackView(crib.db))) / before.rack,
    '1 does not grow',
  );
  say(
    'Today with 1,000 logs against 100',
    (await best(5, () => todayView(crib.db, '2027-01-05'))) / before.today,
    '1 does not grow',
  );
  say(
    'one log of parts with 1,000 before it against 100',
    (await best(10, () => crib.do('logParts', { operation, parts: 1 }))) / before.log,
    '1 does not grow',
  );
  say(
    'one log of parts against the bare point query',
    (await best(10, () => crib.do('logParts', { operation, parts: 1 }))) / bare,
    'checks, ledger, uses',
  );
  await crib.db.close();
  await benchCatalogue(say);
}

void main();
