import { aside, type Judgement, mm, say } from '../../because';
import { familySpec } from '../../cutters';
import { DEFAULTS } from '../../defaults';
import type { Tapping } from '../../programs';
import type { Use, UseBuild } from './facts';
import { feedPerTurn } from './feedPerTurn';
import { inProgram } from './inProgram';

type Asked = Pick<Use, 'asks' | 'here'>;
type Value = [string, string, string];

/** What the program does with the cutter: taps by its pitch, goes straight down, down a slope, and with which chip. */
export const judgeCuts = (asked: Asked, build: UseBuild): Judgement[] => [
  ...(asked.asks.taps ?? []).flatMap((tap) => tapping(tap, build)),
  ...[plunge(asked, build), ramp(asked, build), chip(asked, build)].filter((j) => j !== null),
];

/** A tap follows its own pitch: feed and speed must say the same, and nothing may hold it at the bottom. */
function tapping(tap: Tapping, { cutter, cuts, name }: UseBuild): Judgement[] {
  const at = inProgram(tap.line);
  const pitch = cuts?.pitch ?? null;
  const turn = tap.f === null ? null : feedPerTurn({ ...tap, f: tap.f });
  const values: Value[] = [
    ['cycle', tap.cycle, at],
    ['F', tap.f === null ? 'none' : `${tap.f} ${tap.unit}`, at],
    ['S', tap.s === null ? 'not known' : `${tap.s} rev/min`, at],
    ['F a turn', turn === null ? 'not known' : mm(turn), at],
    ['pitch TP', pitch === null ? 'not known' : mm(pitch), name],
  ];
  const why = 'A tap that is fed faster or slower than its pitch tears the thread or breaks.';
  const formula = 'F = S × pitch';
  const judged = (grade: Judgement['grade'], words: string) =>
    say('TAP_FEED', grade, words, why, values, formula);
  if (familySpec(cutter.family).hole !== 'taps')
    return [say('TAP_FEED', 'stop', `${tap.cycle} taps, and this is no tap`, why, values.slice(0, 3))];
  const off = turn === null || pitch === null ? null : Math.abs(turn / pitch - 1);
  const said = `${tap.f} by S${tap.s}`;
  return [
    off === null
      ? judged('not judged', 'Feed of the tap against its pitch: not judged')
      : off > DEFAULTS.tapFeedStop
        ? judged('stop', `${said} is ${mm(turn ?? 0)} a turn, the tap’s pitch is ${mm(pitch ?? 0)}`)
        : off > DEFAULTS.tapFeedAsk
          ? judged(
              'question',
              `${said} is ${mm(turn ?? 0)} a turn for a pitch of ${mm(pitch ?? 0)}: is it meant?`,
            )
          : judged('good', `Feeds ${mm(pitch ?? 0)} a turn, as its pitch is`),
    ...(tap.dwell_s !== null && tap.dwell_s > 0
      ? [
          say(
            'TAP_DWELL',
            'question',
            `Dwells ${tap.dwell_s} s at the bottom of the thread`,
            'A tap that turns on where its feed stands breaks at the bottom. Leave the P out.',
            [['P', `${tap.dwell_s} s`, at]],
          ),
        ]
      : []),
  ];
}

/** A mill that does not cut at its centre, straight down below the top of what is beside the cut. */
function plunge({ asks, here }: Asked, { cutter, cuts, name }: UseBuild): Judgement | null {
  const down = asks.plunges ?? null;
  if (down === null || !familySpec(cutter.family).mills || cuts?.centreCutting !== false) return null;
  const top = here.highestBeside;
  // Above everything it goes down through air.
  if (top !== null && down.lowest !== null && down.lowest >= top - 1e-9) return null;
  const judgement = say(
    'PLUNGE',
    'question',
    `Feeds straight down${down.lowest === null ? '' : ` to Z${down.lowest}`}, and does not cut at its centre`,
    'It stands on the core it cannot cut: is there a start hole, or does it go down beside the work? Else ramp, or drill first.',
    [
      ['lowest Z straight down', down.lowest === null ? 'not known' : mm(down.lowest), inProgram(down.line)],
      ['centre cutting CCC', 'no', name],
    ],
  );
  // A face mill goes down beside the work as a rule.
  return familySpec(cutter.family).body && cuts.body === true ? aside(judgement) : judgement;
}

/** The steepest slope it feeds down, against the cutter's own limit where its maker states one. */
function ramp({ asks }: Asked, { cutter, name }: UseBuild): Judgement | null {
  const slope = asks.ramp ?? null;
  const limit = cutter.RMPX;
  if (slope === null || limit === null) return null;
  const degrees = Math.round(slope.degrees * 100) / 100;
  const values: Value[] = [
    ['steepest way down', `${degrees}°`, inProgram(slope.line)],
    ['ramp limit RMPX', `${limit}°`, name],
  ];
  const why = 'Steeper than its limit a cutter stands on what it cannot cut at its centre.';
  return slope.degrees > limit + 0.01
    ? say(
        'RAMP',
        'question',
        `Feeds down at ${degrees}°, its limit is ${limit}°`,
        why,
        values,
        'slope ≤ RMPX',
      )
    : say('RAMP', 'good', `Feeds down at ${degrees}° at most`, why, values, 'slope ≤ RMPX');
}

/** Chip load of a mill, least and most; recipes are held against it where there are some. */
function chip({ asks }: Asked, { cutter, name }: UseBuild): Judgement | null {
  const teeth = cutter.NOF;
  if (!familySpec(cutter.family).mills || teeth === null || teeth === 0) return null;
  const loads = (asks.inForce ?? []).flatMap((pair) => {
    const turn = feedPerTurn(pair);
    return turn === null ? [] : [{ pair, load: turn / teeth }];
  });
  const sorted = loads.toSorted((a, b) => a.load - b.load);
  const [least, most] = [sorted[0], sorted.at(-1)];
  if (!least || !most) return null;
  const value = (which: string, { pair, load }: typeof least): Value => [
    `${which} F ${pair.f} by S${pair.s}`,
    mm(load),
    inProgram(pair.line),
  ];
  const range = least.load === most.load ? mm(most.load) : `${mm(least.load)} to ${mm(most.load)}`;
  return aside(
    say(
      'CHIP_LOAD',
      'good',
      `${range} a tooth`,
      'Too thin a chip rubs and wears the edge, too thick a one breaks it. Feeds straight down count too.',
      [value('least', least), value('most', most), ['flutes', String(teeth), name]],
      'F ÷ (S × flutes)',
    ),
  );
}
