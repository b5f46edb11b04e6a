import { standsBeside, type Part } from '../src/core/assemblies';
import { geometry } from '../src/core/cutters';
import { kaplanMeier } from '../src/core/life';
import { readProgram } from '../src/core/programs';
import { previewImport } from '../src/crib/exchange';
import { benchCatalogue } from './catalogue';
import { benchLife } from './life';
import { benchPrograms } from './programs';
import { benchRack } from './rack';
import { benchScroll } from './scroll';
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

const EXTENSION: Part = {
  ...{ code: 'X16', kind: 'extension', setOut: null, CCMS: null, CCWS: null, CLAMPING: null, SHANKS: null },
  ...{
    COLLET: null,
    DMM: 16,
    OAL: 145,
    LPR: 100,
    CLAMP_MIN: 6,
    CLAMP_MAX: 6,
    GRIP_MIN: null,
    DEPTH_MAX: null,
  },
  ...{ RPM_MAX: null, TORQUE: null, CSP: null, WT: null },
  segments: [
    { length: 72, upper: 16, lower: 16 },
    { length: 28, upper: 22, lower: 22 },
  ],
};
const STACK = {
  cutter: geometry('corner-radius', { DC: 6, RE: 1, DMM: 6, LCF: 9, DN: 5.8, LU: 30, OAL: 80 }),
  holder: {
    ...{ LF: 70, CLAMP_MIN: 2, CLAMP_MAX: 20, GRIP_MIN: null, DEPTH_MAX: null, RPM_MAX: null },
    segments: [
      { length: 27, upper: 63, lower: 63 },
      { length: 43, upper: 50, lower: 50 },
    ],
  },
  parts: [EXTENSION],
};
const WALL = { depth: 60, radial: 9, draft: 2 };

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

/** What small things cost: a program, a clearance, a curve, a list. */
async function benchCore(): Promise<void> {
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
  // Of a build on an extension beside a wall: outline, way off and least stickout, as its drawing asks while it is dragged.
  const checks = 20_000;
  const took = await best(12, () => {
    for (let i = 0; i < checks; i += 1) standsBeside({ ...STACK, stickout: 20 + (i % 40) / 4 }, WALL, 0.5);
  });
  console.log(
    `${'clearance of a stack beside a wall, checks a second'.padEnd(72)} ${Math.round((1000 * checks) / took)}`,
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
}

const PARTS: Record<string, () => void | Promise<void>> = {
  programs: () => benchPrograms(say),
  core: benchCore,
  life: () => benchLife(say),
  rack: () => benchRack(say),
  scroll: () => benchScroll(say),
  years: () => benchYears(say),
  catalogue: () => benchCatalogue(say),
};

/** npm run bench [-- PART …] */
async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  console.log('what'.padEnd(72), '  ratio', '  of what');
  for (const [name, part] of Object.entries(PARTS)) if (!asked.length || asked.includes(name)) await part();
}

void main();
