import { execFileSync } from 'node:child_process';
import {
  closeSync,
  mkdtempSync,
  openSync,
  readFileSync,
  readSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createRequire } from 'node:module';
import { buildSync } from 'esbuild';
import type * as Programs from '../src/core/programs';

const load = createRequire(__filename);

const BUNDLE = 'programs.cjs';
/** The reader as it ships, in one file: loaded module by module each name is looked up anew, which is most of its time. */
function bundled(folder: string): typeof Programs {
  const outfile = join(folder, BUNDLE);
  buildSync({
    ...{
      entryPoints: ['src/core/programs/index.ts'],
      outfile,
      bundle: true,
      platform: 'node',
      format: 'cjs',
    },
    ...{ target: 'node20', tsconfig: 'tsconfig.json' },
  });
  // What was built is that module.
  return load(outfile) as typeof Programs;
}

/** A program as a post-processor writes them: mostly short lines of feed moves, some arcs, feeds, comments, changes. */
function* lines(bytes: number): Generator<string> {
  let seed = 1;
  const random = () => (seed = (seed * 1103515245 + 12345) & 0x7fffffff) / 0x7fffffff;
  const n = (size: number) => (random() * size).toFixed(3);
  let size = 0;
  yield 'G21 G90 G17 G54 G40 G80';
  for (let i = 0; size < bytes; i += 1) {
    if (i % 60_000 === 0) {
      const t = 1 + i / 60_000;
      yield `T${t} M6 (TOOL ${t})\nS${3000 + t} M3\nG0 X0. Y0.\nG43 H${t} Z50.\nG1 Z-1. F300`;
    }
    const kind = random();
    const line =
      kind < 0.6
        ? `G1 X${n(200)} Y${n(200)}`
        : kind < 0.85
          ? `X${n(200)} Y${n(200)} Z-${n(5)}`
          : kind < 0.9
            ? `N${i} G3 X${n(50)} Y${n(50)} R150.\nG1`
            : kind < 0.92
              ? `X${n(200)} F${100 * (1 + Math.floor(random() * 12))}.`
              : kind < 0.93
                ? `(step ${i})`
                : kind < 0.96
                  ? `G0 Z5.\nX${n(200)} Y1.\nG1 Z-1. F200.`
                  : `X${n(200)}Y${n(200)}`;
    size += line.length + 1;
    yield line;
  }
  yield 'M30';
}

function written(path: string, bytes: number): void {
  const file = openSync(path, 'w');
  let held: string[] = [];
  const out = () => {
    writeSync(file, `${held.join('\n')}\n`);
    held = [];
  };
  for (const line of lines(bytes)) if (held.push(line) > 10_000) out();
  out();
  closeSync(file);
}

/** Megabytes that reading a file adds to the process, at most. */
function growth({ readProgram }: typeof Programs, path: string): number {
  const file = openSync(path, 'r');
  const source: Programs.ProgramSource = {
    size: statSync(path).size,
    read: (from, into) => readSync(file, into, 0, into.length, from),
  };
  const before = process.memoryUsage().rss;
  let most = before;
  readProgram(source, {}, { progress: () => (most = Math.max(most, process.memoryUsage().rss)) });
  closeSync(file);
  return (most - before) / 1e6;
}

/** ms that one contender takes for a program, in a process of its own. */
const alone = (name: string, folder: string, file: string): number =>
  Number(
    execFileSync(process.execPath, ['bench/contender.mjs', name, join(folder, BUNDLE), file, '4'], {
      encoding: 'utf8',
    }),
  );

type Work = readonly [name: string, work: () => unknown];
/** The least that each of some works took in so many rounds, ms, by its name: a busy machine only adds to it. */
function timed(rounds: number, works: readonly Work[]): (name: string) => number {
  const least = new Map<string, number>();
  for (let round = 0; round < rounds; round += 1)
    for (const [name, work] of works) {
      const from = performance.now();
      work();
      least.set(name, Math.min(least.get(name) ?? Infinity, performance.now() - from));
    }
  return (name) => least.get(name) ?? NaN;
}

const MOTION = { rapidMmMin: 24_000, accelerationMmS2: 3000, cornerMm: 0.01 };

/** Both pictures of a program's path, as a worker of the page draws them. */
function drawn(p: typeof Programs, bytes: Uint8Array): void {
  const reach = new p.Extents();
  p.readProgram(p.bytesSource(bytes), {}, { path: reach });
  const { feed, seconds } = reach.extents;
  if (!feed) throw new Error('the program of this measurement has a path');
  const plan = new p.PlanPicture(p.planFrame(feed[0], feed[1], 760, 434), null);
  const depth = new p.DepthPicture(seconds, 1200, null);
  p.readProgram(p.bytesSource(bytes), {}, { path: p.bothHear(plan, depth) });
}

/** The reader beside two general parsers of the registry and beside reading the text and counting its lines. */
export function benchPrograms(say: (name: string, ratio: number, note: string) => void): void {
  const folder = mkdtempSync(join(tmpdir(), 'stable-bench-'));
  try {
    const [small, large] = [join(folder, '20.nc'), join(folder, '200.nc')];
    written(small, 20e6);
    written(large, 200e6);
    const programs = bundled(folder);
    const [by20, by200] = [growth(programs, small), growth(programs, large)];
    say('memory that reading 20 MB adds, MB', by20, `200 MB: ${by200.toFixed(0)}; at most 64`);
    const bytes = new Uint8Array(readFileSync(small));
    const least = new Map<string, number>();
    for (let round = 0; round < 3; round += 1)
      for (const name of ['plain', 'ours', 'gcode-toolpath', 'gcode-interpreter'])
        least.set(name, Math.min(least.get(name) ?? Infinity, alone(name, folder, small)));
    const of = (name: string) => least.get(name) ?? NaN;
    const speed = (name: string) => `${(20_000 / of(name)).toFixed(1)} MB/s`;
    const peer = of('gcode-toolpath') < of('gcode-interpreter') ? 'gcode-toolpath' : 'gcode-interpreter';
    say(
      'reading a program of 20 MB against reading and counting its lines',
      of('ours') / of('plain'),
      `${speed('ours')}, ${speed('plain')}; at most 5`,
    );
    say(
      `the faster of two general parsers (${peer}) against it`,
      of(peer) / of('ours'),
      `${speed('gcode-toolpath')}, ${speed('gcode-interpreter')}; at least 10`,
    );
    // By itself: what is compiled for one listener is slower without.
    const heard = timed(3, [
      ['ours', () => programs.readProgram(programs.bytesSource(bytes))],
      ['timed', () => programs.readProgram(programs.bytesSource(bytes), { motion: MOTION })],
      ['drawn', () => drawn(programs, bytes)],
    ]);
    say(
      'reading it with what it takes at a machine against reading it',
      heard('timed') / heard('ours'),
      'acceleration and corners',
    );
    say(
      'drawing its path against reading it',
      heard('drawn') / heard('ours'),
      'twice through the text: how far it reaches, then two pictures',
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}
