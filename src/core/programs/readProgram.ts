import { LIMITS } from '../limits';
import { Block } from './block';
import { Calls } from './calls';
import { readBlock } from './readBlock';
import { MachineClock } from './path/machineClock';
import { bothHear, type PathListener } from './path/path';
import { READ_DEFAULTS, type ReadOptions } from './options';
import type { ProgramReport } from './report';
import { textSource, type ProgramSource } from './source';
import { ReaderState } from './state';

/** How often a reading says how far it is: each so many blocks. */
const PROGRESS_EVERY = 1 << 15;

/**
 * Reads an NC program and says per tool how long it cuts, how far it feeds and how deep it goes. Language:
 * RS-274/NGC (Kramer, Proctor, Messina, NISTIR 6556, 2000) with the common ISO 6983 milling dialect, as far as G0-G4,
 * G10, G17-G21, G28, G30, G40-G43, G49, G53-G59, G73 G74 G76 G80-G86 G88 G89, G90 G91, G93-G95, G98 G99, M0-M9, M30,
 * M98 M99. Time is length / feed, with no acceleration; rapids take no time here. Whatever else it finds is listed in
 * `not_understood` with its line: a block that holds such a code moves nothing and changes no feed, speed or length; one
 * that may stay in force marks every tool until it is ended; a length from a place that is not known is not counted.
 * Never throws on any text, takes time in proportion to its length and holds a piece of it only. `hears.progress` hears how
 * many bytes were read, `hears.path` each piece of the way.
 * Example: 'G21 T1 M6 S1000 M3 / G0 X0 Y0 Z5 / G1 Z-5 F100' -> tool 1: 10 mm, 6 s, lowest feed Z −5.
 */
export function readProgram(
  program: string | ProgramSource,
  options: Partial<ReadOptions> = {},
  hears: { progress?: (bytes: number) => void; path?: PathListener } = {},
): ProgramReport {
  const { progress } = hears;
  const source = typeof program === 'string' ? textSource(program) : program;
  const asked = { ...READ_DEFAULTS, ...options };
  const clock = asked.motion && new MachineClock(asked.motion);
  const path = clock && hears.path ? bothHear(clock, hears.path) : (clock ?? hears.path);
  const s = new ReaderState(asked, path);
  const changesByM6 = callsM6(source, s.options);
  const calls = new Calls(source);
  const block = new Block(source);
  let read = 0;
  for (;;) {
    const from = calls.inside ? block.after : 0;
    const more = block.read();
    // By bytes and not by blocks: comments, long lines and '/' blocks take their time as well, however often they are run.
    if (calls.inside) s.called += block.after - from;
    if (!more) {
      if (!calls.inside) break;
      s.notUnderstood(block.line, '', 'a subprogram without its M99', true);
      calls.return(block);
      continue;
    }
    read += 1;
    if (progress && read % PROGRESS_EVERY === 0 && !calls.inside) progress(block.at);
    const enough = tooMuch(s);
    if (enough !== null) {
      s.notUnderstood(block.line, block.text.slice(0, 80), `reading stopped here: ${enough}`, true);
      s.markAll();
      break;
    }
    if (block.deletable && s.options.blockDelete) continue;
    const line = calls.isHead(block) ? s.lastLine : block.line;
    const ends = readBlock(s, block, calls, changesByM6);
    s.lastLine = line;
    if (ends) break;
  }
  return s.finish(clock);
}

/** Whether a program changes its tools by M6; most say so in their first lines. */
function callsM6(source: ProgramSource, options: ReadOptions): boolean {
  const block = new Block(source);
  while (block.read()) if (block.m.has(6) && !(block.deletable && options.blockDelete)) return true;
  return false;
}

/** Why reading stops before the program's end; null: it goes on. */
function tooMuch(s: ReaderState): string | null {
  if (s.report.not_understood.length > LIMITS.programFaults.most) return 'too much was not understood';
  if (s.called > LIMITS.programCalled.most)
    return `its subprograms run through more than ${LIMITS.programCalled.most} bytes`;
  if (s.toolsCalled > LIMITS.programTools.most) return `it calls more than ${LIMITS.programTools.most} tools`;
  if (s.repeats > LIMITS.programRepeats.most)
    return `it drills more than ${LIMITS.programRepeats.most} holes and pecks`;
  return null;
}
