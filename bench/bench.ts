import { kaplanMeier } from '../src/core/life';
import { readProgram } from '../src/core/programs';
import { previewImport } from '../src/crib/exchange';
import { benchCatalogue } from './catalogue';
import { benchYears } from './years';
import { emptyCrib } from './yearsOfWork';

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

/** Milliseconds that a list of so many cutters takes into an empty crib, its preview included. */
async function importing(rows: number): Promise<number> {
  const { do: does, db } = await emptyCrib();
  await does('addPerson', { initials: 'IK', name: 'Ida Kern' });
  const lines = Array.from(
    { length: rows },
    (_, i) => `EM${i};cutter;square;Skarv;${1 + (i % 400) / 10};${20 + (i % 50)};4`,
  );
  const content = Buffer.from(`code;kind;family;maker;DC;LCF;NOF\n${lines.join('\n')}\n`);
  const from = performance.now();
  const { digest } = await previewImport(db, content);
  await does('importItems', { name: 'list.csv', content: content.toString('base64'), accepted: digest });
  const took = performance.now() - from;
  await db.close();
  return took;
}

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

  say(
    'importing 50,000 rows against 10 x a tenth of them',
    (await importing(50_000)) / (10 * (await importing(5_000))),
    '1 is linear',
  );
  await benchYears(say);
  await benchCatalogue(say);
}

void main();
