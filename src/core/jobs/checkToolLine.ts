import type { Grade, Judgement } from '../because';
import { DEFAULTS } from '../defaults';

/** What a tool line of an operation is checked with; null is 'not known'. Lengths mm, work coordinates. */
export interface ToolLineFacts {
  t: number;
  h: number[];
  spindle: number[];
  /** Programmed feeds, mm/min. */
  feeds: number[];
  lowestFeedZ: number | null;
  /** Highest thing beside the cut: part top or jaw. */
  highestBeside: number | null;
  /** Depth of one pass, where the planner gave it. */
  passDepth: number | null;
  hEqualsT: boolean;
  machineRpmMax: number | null;
  machineFeedMax: number | null;
  /** null: no assembly is tied to this T. */
  assembly: { tag: string; stickout: number; LCF: number | null; holderRpmMax: number | null } | null;
}

const mm = (n: number) => `${Math.round(n * 1000) / 1000} mm`;
const say = (
  code: string,
  grade: Grade,
  words: string,
  formula: string | undefined,
  values: [string, string, string?][],
  why: string,
): Judgement => ({
  code,
  grade,
  words,
  because: { words: why, formula, values: values.map(([name, value, source]) => ({ name, value, source })) },
});

/**
 * Checks one T of a program against the assembly tied to it and the machine: reach, depth of one pass against the
 * flutes, H against T, rpm and feed ceilings. Missing facts make 'not judged', never a pass.
 * Reach: stickout >= highest Z beside the cut − lowest feeding Z (formula: plane geometry; clearance of 1 mm below
 * which it is asked about is common practice). Example: part top 0, lowest −30, stickout 28: stop, 2 mm short.
 */
export function checkToolLine(f: ToolLineFacts): Judgement[] {
  return [tied(f), reach(f), passDepth(f), hAgainstT(f), rpm(f), feed(f)].filter((j) => j !== null);
}

function tied(f: ToolLineFacts): Judgement | null {
  if (f.assembly) return null;
  return say(
    'NO_ASSEMBLY',
    'question',
    `T${f.t} has no assembly yet`,
    undefined,
    [],
    'Tie one that is built, or build it.',
  );
}

/** Reach a T needs, mm: highest Z beside the cut − lowest feeding Z; null when either is unknown. */
export const reachNeeded = (highestBeside: number | null, lowestFeedZ: number | null): number | null =>
  highestBeside === null || lowestFeedZ === null ? null : highestBeside - lowestFeedZ;

function reach(f: ToolLineFacts): Judgement | null {
  if (!f.assembly || f.lowestFeedZ === null) return null;
  const why = 'The holder face must stay above the highest thing beside the cut.';
  const values: [string, string, string?][] = [
    ['lowest feeding Z', mm(f.lowestFeedZ), 'program'],
    ['highest Z beside the cut', f.highestBeside === null ? 'not known' : mm(f.highestBeside), 'operation'],
    ['stickout', mm(f.assembly.stickout), f.assembly.tag],
  ];
  const formula = 'stickout ≥ highest Z beside the cut − lowest feeding Z';
  const needed = reachNeeded(f.highestBeside, f.lowestFeedZ);
  if (needed === null)
    return say(
      'REACH',
      'not judged',
      'Reach not checked: highest Z beside the cut is not known',
      formula,
      values,
      why,
    );
  const spare = f.assembly.stickout - needed;
  if (spare < -1e-9)
    return say('REACH', 'stop', `${mm(-spare)} short: the holder would hit`, formula, values, why);
  if (spare < DEFAULTS.holderClearanceMm - 1e-9)
    return say('REACH', 'question', `Reaches with only ${mm(spare)} to spare`, formula, values, why);
  return say('REACH', 'good', `Reaches, ${mm(spare)} to spare`, formula, values, why);
}

function passDepth(f: ToolLineFacts): Judgement | null {
  if (!f.assembly || f.lowestFeedZ === null) return null;
  const values: [string, string, string?][] = [
    ['depth of one pass', f.passDepth === null ? 'not known' : mm(f.passDepth), 'operation'],
    ['LCF', f.assembly.LCF === null ? 'not known' : mm(f.assembly.LCF), f.assembly.tag],
  ];
  const why = 'Only the flute cuts; a pass deeper than it rubs on the shank.';
  const formula = 'LCF ≥ depth of one pass';
  if (f.passDepth === null || f.assembly.LCF === null)
    return say(
      'PASS_DEPTH',
      'not judged',
      'Depth of one pass against the flutes: not judged',
      formula,
      values,
      why,
    );
  const spare = f.assembly.LCF - f.passDepth;
  if (spare < -1e-9)
    return say('PASS_DEPTH', 'stop', `Flutes ${mm(-spare)} short for one pass`, formula, values, why);
  return say('PASS_DEPTH', 'good', 'Flutes cover one pass', formula, values, why);
}

function hAgainstT(f: ToolLineFacts): Judgement | null {
  const wrong = f.h.filter((h) => h !== f.t && h !== 0);
  const values: [string, string, string?][] = [
    ['H called', f.h.join(', ') || 'none', 'program'],
    ['T', String(f.t), 'program'],
  ];
  const why = 'A length of another tool puts the tip elsewhere.';
  if (f.h.length === 0)
    return say(
      'H_T',
      'question',
      'No H is called with this tool',
      undefined,
      values,
      'Without its length a tool crashes or cuts air.',
    );
  if (wrong.length && f.hEqualsT)
    return say('H_T', 'stop', `H${wrong.join(', H')} is called with T${f.t}`, 'H = T', values, why);
  if (wrong.length)
    return say(
      'H_T',
      'question',
      `H${wrong.join(', H')} with T${f.t}: this machine allows it`,
      undefined,
      values,
      why,
    );
  return say('H_T', 'good', `H${f.t} with T${f.t}`, 'H = T', values, why);
}

function rpm(f: ToolLineFacts): Judgement | null {
  const limits = [f.machineRpmMax, f.assembly?.holderRpmMax ?? null].filter((n): n is number => n !== null);
  const top = Math.max(0, ...f.spindle);
  if (top === 0) return null;
  const values: [string, string, string?][] = [
    ['highest S', `${top} rev/min`, 'program'],
    ['machine limit', f.machineRpmMax === null ? 'not known' : `${f.machineRpmMax} rev/min`, 'machine'],
    [
      'holder limit',
      f.assembly?.holderRpmMax ? `${f.assembly.holderRpmMax} rev/min` : 'not known',
      f.assembly?.tag,
    ],
  ];
  const why =
    'Never exceed the lowest rpm limit of cutter, holder and balance grade; follow the makers’ figures.';
  const formula = 'S ≤ lowest limit';
  if (limits.length === 0) return say('RPM', 'not judged', 'rpm limits not known', formula, values, why);
  const least = Math.min(...limits);
  if (top > least) return say('RPM', 'stop', `S${top} is over the limit of ${least}`, formula, values, why);
  if (limits.length < 2)
    return say('RPM', 'not judged', `S${top} within the limit that is known`, formula, values, why);
  return say('RPM', 'good', `S${top} within ${least}`, formula, values, why);
}

function feed(f: ToolLineFacts): Judgement | null {
  const top = Math.max(0, ...f.feeds);
  if (top === 0 || f.machineFeedMax === null) return null;
  const values: [string, string, string?][] = [
    ['highest F', `${Math.round(top)} mm/min`, 'program'],
    ['feed ceiling', `${f.machineFeedMax} mm/min`, 'machine'],
  ];
  const why = 'The machine cannot feed faster, so minutes and chip load would differ from the program.';
  if (top > f.machineFeedMax)
    return say('FEED', 'question', `F over the machine's ${f.machineFeedMax} mm/min`, undefined, values, why);
  return say('FEED', 'good', 'Feeds within the machine’s ceiling', undefined, values, why);
}
