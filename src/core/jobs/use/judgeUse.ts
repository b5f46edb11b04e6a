import { type Judgement, say, worstGrade } from '../../because';
import { judgeFragments } from '../../breakage';
import type { ToolReport, WarningCode } from '../../programs';
import { judgeCuts } from './cuts';
import { judgeDepths } from './depths';
import type { ToolAsks, Use, UseBuild, UseJudgement, UseState } from './facts';
import { edgesNeeded, edgesWords } from './edgesNeeded';
import { inProgram } from './inProgram';
import { judgeEdge, judgeLeft, partsGoodFor } from './left';
import { judgeRegisters } from './registers';
import { judgeRecipes } from './recipes';
import { judgeSpindle } from './spindle';
import { judgeJaws } from './jaws';
import { judgeSink, judgeTravel } from './zLimits';

/** What a program asks of one of its tools, as the judgement wants it; `readOtherwise`: as `readOtherwise().figures` says. */
export const asksOf = (tool: ToolReport, readOtherwise: readonly string[] = []): ToolAsks => ({
  ...(readOtherwise.length ? { readOtherwise } : {}),
  t: tool.t,
  h: tool.h,
  d: tool.d,
  spindle: tool.spindle,
  highestFeed: tool.highest_feed_mm_min,
  lowestFeedZ: tool.lowest_feed_z_mm,
  deepestHole: tool.deepest_hole_mm,
  minutesPerPart: tool.cutting_s / 60,
  atLeast: tool.lower_bound,
  warned: tool.warned,
  lines: {
    lowestFeedZ: tool.lowest_feed_z_line,
    deepestHole: tool.deepest_hole_line,
    warned: tool.warned_at,
  },
  inForce: tool.in_force,
  taps: tool.taps,
  plunges: tool.plunges && { lowest: tool.plunges.lowest_z_mm, line: tool.plunges.line },
  ramp: tool.steepest_ramp,
  reachY: tool.reach_mm?.y ?? null,
  firstZ: tool.first_z.map(({ z_mm, h, line }) => ({ z: z_mm, h, line })),
});

/**
 * May this assembly run as this T on this machine now? Everything that is known of it, of what the program asks and of
 * the machine, judged in one place: every screen, the label and the API ask here. Worst first: a stop (it would hurt
 * somebody or the work), a question (a person must say), not judged (a fact is missing, which is never a pass), good.
 * Limits: plane geometry and common practice (DEFAULTS); makers' own rpm limits.
 * Example: a drill with 43 mm of flute for a hole of 48: stop.
 */
export function judgeUse(use: Use): UseJudgement {
  const { asks, assembly } = use;
  const judgements = assembly
    ? [
        ...judgeFragments(asks.t, use.here.fragmentsOfT ?? null),
        ...heldBack(assembly),
        ...(assembly.holders ?? []),
        ...assembly.build.filter((j) => j.grade === 'stop' || j.grade === 'not judged'),
        ...(assembly.planned ? [assembly.planned] : []),
        ...judgeFit(use, assembly),
        ...tightness(assembly),
        ...judgeRegisters(use, assembly),
        ...judgeTravel(use, assembly),
        ...judgeLeft(use, assembly),
        ...program(asks),
      ]
    : [
        ...judgeFragments(asks.t, use.here.fragmentsOfT ?? null),
        nothingTied(use),
        ...judgeSink(use),
        ...judgeJaws(use, null),
        ...judgeRegisters(use, null),
        ...program(asks),
      ];
  const deciding = judgements.filter((j) => !j.aside);
  const grade = worstGrade(deciding);
  const changeAt = use.here.changeAt ?? null;
  const goodFor = assembly && partsGoodFor(asks, assembly, changeAt);
  const needed =
    assembly &&
    edgesNeeded(
      use.partsLeft,
      goodFor,
      asks.minutesPerPart,
      assembly.life.freshMinutes ?? null,
      changeAt?.parts ?? null,
    );
  return {
    grade,
    judgements,
    why: grade === 'good' ? null : (deciding.find((j) => j.grade === grade)?.words ?? null),
    goodFor,
    edges: needed && { ...needed, words: edgesWords(needed) },
  };
}

/**
 * What is known of an assembly by itself, whatever calls it: one that is tied to nothing is judged by this alone. A stop or a
 * question of it is one on every T as well; where there is none it is not judged, as nothing was asked of it. Its length and
 * what is left of its life are said beside. `wear`: by the strictest of the T that call it, as usual where none does.
 * Example: a body with an insert in a damaged seat, tied to no T: stop.
 */
export function judgeItself(
  state: Pick<UseState, 'build' | 'inserts' | 'offWrench' | 'holders' | 'heldBack' | 'wear'>,
): Pick<UseJudgement, 'grade' | 'why' | 'judgements'> {
  const judgements = [
    ...heldBack(state),
    ...(state.holders ?? []),
    ...state.build.filter((j) => j.grade === 'stop'),
    ...tightness(state),
    ...judgeEdge(state),
  ].filter((j) => j.grade === 'stop' || j.grade === 'question');
  const grade = worstGrade(judgements);
  return { grade, judgements, why: judgements.find((j) => j.grade === grade)?.words ?? null };
}

/**
 * What can be judged before anybody tightens a nut: does the holder go into this spindle, does it reach, do the flutes
 * carry, may it turn so fast, may it be fed so. Asked at the build for a T as well as of what stands.
 */
export const judgeFit = (use: Pick<Use, 'asks' | 'here' | 'machine'>, build: UseBuild): Judgement[] => [
  ...judgeSpindle(use, build),
  ...judgeDepths(use, build),
  ...judgeSink(use),
  ...judgeJaws(use, build.cutter),
  ...judgeCuts(use, build),
  ...judgeRecipes(use, build),
];

/** A cutter in doubt is held back, wherever it stands, until somebody looked at it. */
const heldBack = ({ heldBack: why }: Pick<UseState, 'heldBack'>): Judgement[] =>
  why
    ? [
        say(
          'HELD_BACK',
          'stop',
          `Its cutter is held back: ${why}`,
          'Look at it, measure it, and say what was found; or end its life.',
        ),
      ]
    : [];

/** A wrench that was off leaves nobody to say how tight it is. */
const tightness = ({ offWrench }: Pick<UseState, 'offWrench'>): Judgement[] =>
  offWrench
    ? [
        say(
          'TIGHTENED',
          'question',
          `Tightened with ${offWrench}, which was found off: tighten it again`,
          'A cutter that is not tight enough slips or is pulled out by its own helix; too tight ruins the collet.',
        ),
      ]
    : [];

const nothingTied = ({ asks, was }: Use): Judgement =>
  say(
    'NO_ASSEMBLY',
    'question',
    was ? `${was} was taken down` : `T${asks.t} has no assembly yet`,
    'Tie one that is built, or build it.',
  );

/** A tie to a T that the program does not call any more: nothing is asked of the assembly. */
export const notCalled = (t: number): UseJudgement => {
  const words = `The program does not call T${t}`;
  return {
    grade: 'question',
    judgements: [
      say('NOT_CALLED', 'question', words, 'It was tied for an earlier program. Free it, or tie it anew.'),
    ],
    why: words,
    goodFor: null,
    edges: null,
  };
};

const PROGRAM_WORDS: Partial<Record<WarningCode, [words: string, why: string]>> = {
  SPINDLE_OFF_FEED: [
    'Feeds with the spindle off',
    'A feed move without a turning spindle breaks what it meets.',
  ],
  FEED_MISSING: ['Feeds without a feed', 'The machine would stop, or go on with a feed from before.'],
  ARC_RADIUS_MISMATCH: ['An arc that does not close', 'The machine stops at it, or cuts another one.'],
  ARC_RADIUS_TOO_SMALL: ['An arc whose radius is too small', 'The machine stops at it, or cuts another one.'],
  ARC_NO_CENTER: ['An arc without a centre', 'The machine stops at it.'],
  NO_POINT: [
    'Numbers without a point',
    'Some controls take X10 as ten, some as ten thousandths. State the machine’s rule, or write the points.',
  ],
  D_DIFFERS_FROM_T: ['D of another tool is called', 'The path is then offset by another tool’s size.'],
  T_WITHOUT_CHANGE: ['Called, and nothing changes to it', 'What cuts then is the tool before.'],
  OFFSET_WRITTEN: [
    'The program writes offsets itself',
    'What was entered at the machine before is replaced.',
  ],
};

const readAnew = ({ readOtherwise = [] }: ToolAsks): Judgement[] =>
  readOtherwise.length
    ? [
        say(
          'READ_OTHERWISE',
          'question',
          `Read otherwise than its machine reads now: ${readOtherwise.join(', ')}`,
          'Depths and times that the program says may be other on this control. Read the program again.',
        ),
      ]
    : [];

function program(asks: ToolAsks): Judgement[] {
  const warned = asks.warned.flatMap((code) => {
    const said = PROGRAM_WORDS[code];
    return said
      ? [
          say(`PROGRAM_${code}`, 'question', said[0], said[1], [
            ['T', String(asks.t), inProgram(asks.lines?.warned[code])],
          ]),
        ]
      : [];
  });
  return [...readAnew(asks), ...warned];
}
