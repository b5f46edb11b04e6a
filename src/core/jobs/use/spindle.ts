import { aside, type Judgement, say } from '../../because';
import { sameTaper } from '../../cutters';
import type { Use, UseBuild } from './facts';
import { inProgram } from './inProgram';

/** Spindle side, speed and feed of a build on a machine. */
export const judgeSpindle = (use: Pick<Use, 'asks' | 'machine'>, build: UseBuild): Judgement[] =>
  [taper(use, build), rpm(use, build), hunting(use), feed(use), coolant(use, build)].filter(
    (j) => j !== null,
  );

/** Whether the holder goes into this machine's spindle. */
function taper({ machine }: Pick<Use, 'machine'>, { holder, name }: UseBuild): Judgement {
  const values: [string, string, string][] = [
    ['spindle', machine.taper, machine.code],
    ['holder', holder.taper ?? 'not known', name],
  ];
  const why = 'A holder of another taper does not seat, or does not come out again.';
  const fits = holder.taper === null ? null : sameTaper(machine.taper, holder.taper);
  if (fits === null)
    return say('TAPER', 'not judged', `Whether it goes into ${machine.code}: not judged`, why, values);
  return fits
    ? say('TAPER', 'good', `Goes into ${machine.code}`, why, values)
    : say('TAPER', 'stop', `${holder.taper} does not go into ${machine.code}: ${machine.taper}`, why, values);
}

/** Whether this machine feeds the bores of a cutter that has them. It may run without; so this is shown beside. */
function coolant({ machine }: Pick<Use, 'machine'>, { coolantThrough }: UseBuild): Judgement | null {
  if (coolantThrough !== true) return null;
  const bar = machine.coolantBar ?? null;
  const why =
    'A cutter with coolant bores is meant to be fed through them: a deep hole without packs its chips.';
  const values: [string, string, string][] = [
    ['through the spindle', bar === null ? 'not known' : bar === 0 ? 'none' : `${bar} bar`, machine.code],
  ];
  if (bar === null)
    return aside(
      say('COOLANT_MACHINE', 'not judged', `Coolant through ${machine.code}: not known`, why, values),
    );
  return bar === 0
    ? aside(
        say('COOLANT_MACHINE', 'question', `${machine.code} has no coolant through its spindle`, why, values),
      )
    : say('COOLANT_MACHINE', 'good', `${bar} bar through ${machine.code}`, why, values);
}

/** The highest S against the lowest limit, which is named; a limit that must be there and is not known is named too. */
function rpm(
  { asks, machine }: Pick<Use, 'asks' | 'machine'>,
  { body, holder, extensions = [], name }: UseBuild,
): Judgement | null {
  const top = Math.max(0, ...asks.spindle);
  if (top === 0) return null;
  const limits: { of: string; limit: number | null; source: string }[] = [
    { of: 'machine', limit: machine.rpmMax, source: machine.code },
    { of: 'holder', limit: holder.rpmMax, source: name },
    ...extensions.map((e) => ({ of: `extension ${e.code}`, limit: e.rpmMax, source: name })),
    ...(body ? [{ of: 'cutter body', limit: body.rpmMax, source: name }] : []),
  ];
  const values: [string, string, string][] = [
    ['highest S', `${top} rev/min`, inProgram(asks.inForce?.find((pair) => pair.s === top)?.line)],
    ...limits.map(({ of, limit, source }): [string, string, string] => [
      `${of} limit`,
      limit === null ? 'not known' : `${limit} rev/min`,
      source,
    ]),
  ];
  const why =
    'Never exceed the lowest rpm limit of machine, holder, body and balance grade; follow the makers’ figures.';
  const formula = 'S ≤ lowest limit';
  const known = limits.flatMap(({ of, limit }) => (limit === null ? [] : [{ of, limit }]));
  const lowest = known.toSorted((a, b) => a.limit - b.limit)[0];
  if (lowest && top > lowest.limit)
    return say('RPM', 'stop', `S${top} is over the ${lowest.of}’s ${lowest.limit}`, why, values, formula);
  const missing = limits.filter((l) => l.limit === null).map((l) => l.of);
  if (!lowest || missing.length)
    return say(
      'RPM',
      'not judged',
      `S${top}: limit of ${missing.join(' and ')} not known`,
      why,
      values,
      formula,
    );
  return say('RPM', 'good', `S${top} within the ${lowest.of}’s ${lowest.limit}`, why, values, formula);
}

/** A speed at which this machine's spindle swings about what it was told. */
function hunting({ asks, machine }: Pick<Use, 'asks' | 'machine'>): Judgement | null {
  const band = machine.hunts ?? null;
  const at = band && asks.spindle.find((s) => s >= band.from && s <= band.to);
  if (!band || at == null) return null;
  return say(
    'HUNTING',
    'question',
    `S${at} is where the spindle of ${machine.code} hunts`,
    'A speed that swings marks the wall and chips edges. Take one below or above, and the feed with it.',
    [
      ['S', `${at} rev/min`, inProgram(asks.inForce?.find((pair) => pair.s === at)?.line)],
      ['hunts', `${band.from} to ${band.to} rev/min`, machine.code],
    ],
  );
}

/** A feed the machine can't reach: it runs, slower than the program says. */
function feed({ asks, machine }: Pick<Use, 'asks' | 'machine'>): Judgement | null {
  const { highestFeed: top } = asks;
  if (top === null || top === 0 || machine.feedMax === null) return null;
  const values: [string, string, string][] = [
    ['highest F', `${Math.round(top)} mm/min`, 'program'],
    ['feed limit', `${machine.feedMax} mm/min`, machine.code],
  ];
  const why = 'The machine cannot feed faster, so minutes and chip load differ from the program.';
  return top > machine.feedMax
    ? aside(
        say(
          'FEED',
          'question',
          `F over the machine’s ${machine.feedMax} mm/min`,
          why,
          values,
          'F ≤ feed limit',
        ),
      )
    : say('FEED', 'good', 'Feeds within the machine’s limit', why, values, 'F ≤ feed limit');
}
