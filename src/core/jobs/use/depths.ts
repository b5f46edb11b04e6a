import { type Grade, type Judgement, mm, orUnknown, say } from '../../because';
import { familySpec, neckDiameter } from '../../cutters';
import { DEFAULTS } from '../../defaults';
import type { AskedHere, ToolAsks, Use, UseBuild } from './facts';
import { inProgram } from './inProgram';

type Asked = Pick<Use, 'asks' | 'here'>;

/** Reach a T needs, mm: highest Z beside the cut − lowest feeding Z; null when either is unknown. */
export const reachNeeded = (highestBeside: number | null, lowestFeedZ: number | null): number | null =>
  highestBeside === null || lowestFeedZ === null ? null : highestBeside - lowestFeedZ;

/** Holder, shank, neck and flutes of a build against how deep the program goes. */
export function judgeDepths(asked: Asked, build: UseBuild): Judgement[] {
  if (asked.asks.lowestFeedZ === null)
    // It never feeds, or how deep it goes was not understood.
    return asked.asks.atLeast
      ? [
          say(
            'REACH',
            'not judged',
            'How deep it goes was not read',
            'Part of the program was not understood.',
          ),
        ]
      : [];
  const { axial, mills } = familySpec(build.cutter.family);
  return [
    reach(asked, build),
    ...(axial || !mills ? [hole(asked, build)] : [onePass(asked, build), walls(asked, build)]),
  ].filter((j) => j !== null);
}

const depthsOf = (asks: ToolAsks, here: AskedHere): [string, string, string][] => [
  [
    'lowest feeding Z',
    `${asks.atLeast ? 'at least ' : ''}${orUnknown(asks.lowestFeedZ)}`,
    inProgram(asks.lines?.lowestFeedZ),
  ],
  ['highest Z beside the cut', orUnknown(here.highestBeside), 'operation'],
];
/** What is good only as far as the program was understood is not judged. */
const asFar = (asks: ToolAsks): Grade => (asks.atLeast ? 'not judged' : 'good');
const READ = ', as far as the program was read';

/** The holder's face against the highest thing beside the cut. */
function reach({ asks, here }: Asked, { stickout, name }: UseBuild): Judgement {
  const why = 'The holder face must stay above the highest thing beside the cut.';
  const values: [string, string, string][] = [...depthsOf(asks, here), ['stickout', mm(stickout), name]];
  const formula = 'stickout ≥ highest Z beside the cut − lowest feeding Z';
  const needed = reachNeeded(here.highestBeside, asks.lowestFeedZ);
  if (needed === null)
    return say(
      'REACH',
      'not judged',
      'Reach not judged: highest Z beside the cut is not known',
      why,
      values,
      formula,
    );
  const spare = stickout - needed;
  if (spare < -1e-9)
    return say('REACH', 'stop', `${mm(-spare)} short: the holder would hit`, why, values, formula);
  if (spare < DEFAULTS.holderClearanceMm - 1e-9)
    return say('REACH', 'question', `Reaches with only ${mm(spare)} to spare`, why, values, formula);
  return say(
    'REACH',
    asFar(asks),
    `Reaches, ${mm(spare)} to spare${asks.atLeast ? READ : ''}`,
    why,
    values,
    formula,
  );
}

/**
 * A drill, reamer or tap against the depth of its hole: chips leave by the flutes. The hole is at most as deep as from
 * the highest thing beside it, and at most as the cycle feeds from R.
 */
function hole({ asks, here }: Asked, { cutter: c, name }: UseBuild): Judgement {
  const why =
    'Deeper than its usable length a drill packs its chips and breaks; a tap or reamer rubs on its shank.';
  const bySide = reachNeeded(here.highestBeside, asks.lowestFeedZ);
  const depths = [bySide, asks.deepestHole].filter((n) => n !== null);
  const depth = depths.length ? Math.min(...depths) : null;
  const usable = c.LU ?? c.LCF;
  const symbol = c.LU === null ? 'LCF' : 'LU';
  const values: [string, string, string][] = [
    ...depthsOf(asks, here),
    ['longest feed of a cycle, from R', orUnknown(asks.deepestHole), inProgram(asks.lines?.deepestHole)],
    [symbol, orUnknown(usable), name],
  ];
  const formula = `depth of the hole ≤ ${symbol}`;
  const none = (words: string) => say('HOLE_DEPTH', 'not judged', words, why, values, formula);
  if (depth === null || usable === null)
    return none('Depth of the hole against the usable length: not judged');
  const spare = usable - depth;
  if (spare >= -1e-9)
    return say(
      'HOLE_DEPTH',
      asFar(asks),
      `${mm(usable)} of ${symbol} for a hole ${mm(depth)} deep${asks.atLeast ? READ : ''}`,
      why,
      values,
      formula,
    );
  // R may stand above the work, and a tap's neck may be thinner than its thread.
  if (bySide === null)
    return none(`A cycle feeds ${mm(-spare)} further than ${symbol}: how deep is the hole?`);
  if (c.LU === null && familySpec(c.family).hole !== 'drills' && c.DN === null)
    return none(`${mm(-spare)} deeper than its flutes: usable length LU not known`);
  return say(
    'HOLE_DEPTH',
    'stop',
    `${symbol} ${mm(usable)} for a hole ${mm(depth)} deep: ${mm(-spare)} short`,
    why,
    values,
    formula,
  );
}

/** A mill's flutes against the depth of one pass, or against the whole depth where that is less than they are long. */
function onePass({ asks, here }: Asked, { cutter: c, name }: UseBuild): Judgement {
  const whole = reachNeeded(here.highestBeside, asks.lowestFeedZ);
  const values: [string, string, string][] = [
    ['depth of one pass', orUnknown(here.passDepth), 'operation'],
    ...depthsOf(asks, here),
    ['LCF', orUnknown(c.LCF), name],
  ];
  const why = 'Only the flute cuts; a pass deeper than it rubs on the shank.';
  const formula = 'LCF ≥ depth of one pass';
  const judged = (grade: Grade, words: string) => say('PASS_DEPTH', grade, words, why, values, formula);
  if (c.LCF !== null && here.passDepth !== null)
    return here.passDepth > c.LCF + 1e-9
      ? judged('stop', `Flutes ${mm(here.passDepth - c.LCF)} short for one pass`)
      : judged('good', 'Flutes cover one pass');
  if (c.LCF !== null && whole !== null && whole <= c.LCF + 1e-9)
    return judged(asFar(asks), `Flutes cover the whole depth${asks.atLeast ? READ : ''}`);
  return judged('not judged', 'Depth of one pass against the flutes: not judged');
}

/** What follows above a mill's flutes against the wall it has cut: a neck must be thinner than the cut is wide. */
function walls({ asks, here }: Asked, { cutter: c, name }: UseBuild): Judgement | null {
  const deep = reachNeeded(here.highestBeside, asks.lowestFeedZ);
  // Reach has said what is missing.
  if (deep === null || c.LCF === null || deep <= c.LCF + 1e-9) return null;
  const wide = Math.max(c.DC, c.DCX ?? 0);
  const necked = c.DN !== null && c.LU !== null && c.LU > c.LCF;
  const beyond = !necked || deep > (c.LU ?? 0) + 1e-9;
  const values: [string, string, string][] = [
    ...depthsOf(asks, here),
    ['LCF', mm(c.LCF), name],
    ['neck DN', orUnknown(c.DN), name],
    ['LU', orUnknown(c.LU), name],
    ['shank DMM', orUnknown(c.DMM), name],
    ['cuts as', mm(wide), name],
  ];
  const why =
    'Above the flutes nothing may touch the wall: a shank as wide as the cut rubs, a wider one hits.';
  const formula = 'DN, and DMM above LU, thinner than the cut';
  const judged = (grade: Grade, words: string) => say('WALLS', grade, words, why, values, formula);
  if (beyond && c.DMM === null) return judged('not judged', 'Shank against the wall: DMM not known');
  // A neck that tapers is as thick as it is where the wall ends.
  const neck = neckDiameter(c, Math.min(deep, c.LU ?? deep));
  const widest = Math.max(necked ? (neck ?? 0) : 0, beyond ? (c.DMM ?? 0) : 0);
  if (widest > wide + 1e-9)
    return judged(
      'stop',
      `${mm(deep)} deep: a ${beyond && widest === c.DMM ? 'shank' : 'neck'} of ${mm(widest)} hits the wall`,
    );
  if (widest > wide - 1e-9)
    return judged('question', `Below its flutes ${mm(deep - c.LCF)} of shank rub on the wall`);
  return judged(asFar(asks), `Clears the wall by ${mm((wide - widest) / 2)}${asks.atLeast ? READ : ''}`);
}
