import { mm } from '../because';
import { type CutterGeometry, rampLimit } from '../cutters';
import { DEFAULTS } from '../defaults';
import type { Chip } from './chip';
import { type Gear, spindleAt } from './spindle';

/** What a cut may come to: each null where nobody knows it. */
export interface CutLimits {
  /** Speed limits by what has them. */
  rpm: readonly { of: string; limit: number | null }[];
  /** rev/min between which the spindle hunts. */
  hunts: { from: number; to: number } | null;
  /** mm/min */
  feedMax: number | null;
  /** kW and N m that the spindle gives at these turns, as somebody says; null: as its gears do. */
  power: number | null;
  torque: number | null;
  /** Left out: not stated. */
  gears?: readonly Gear[];
  /** How much of its power comes to the cutter, 0 to 1; null: not known, reckoned with all of it. */
  eta: number | null;
  /** mm, of the chip where it is thickest, as somebody says; left out or null: as the cutter's own facts do. */
  thickestChip?: number | null;
}

/** A limit beside a cut. */
export interface Bind {
  of: 'rpm' | 'hunting' | 'feed' | 'power' | 'torque' | 'thin chip' | 'thick chip' | 'ramp' | 'deflection';
  /** What it comes to as a share of what may be; null: there is no share, or the limit or the figure is not known. */
  share: number | null;
  /** It is past it: the cut is not to be run so. */
  over: boolean;
  words: string;
}

interface Comes {
  cutter: CutterGeometry;
  n: number;
  vf: number | null;
  chip: Chip | null;
  power: number | null;
  torque: number | null;
  deflection: number | null;
  /** Degrees at which it goes down into the solid; null: it does not. */
  ramp: number | null;
  /** It cuts at its centre; null: not known. */
  centreCutting: boolean | null;
}

const round = (n: number, places = 0) => Number(n.toFixed(places));

/**
 * Every limit a cut may come to, the one that binds first: what is over it, then what is nearest to it; last what is not
 * known, by name. Example: 12,000 rev/min on a holder of 10,000 -> share 1.2, 'n 12000 of 10000, the limit of holder'.
 */
export function bindsOf(comes: Comes, limits: CutLimits, tolerance: number | null): Bind[] {
  const unknown = limits.rpm.filter((l) => l.limit === null).map((l) => l.of);
  const lowest = limits.rpm
    .flatMap(({ of, limit }) => (limit === null ? [] : [{ of, limit }]))
    .toSorted((a, b) => a.limit - b.limit)[0];
  const gives = spindleAt(limits.gears ?? [], comes.n);
  const power = limits.power ?? gives?.kw ?? null;
  const kw = power === null ? null : power * (limits.eta ?? 1);
  const gear = gives && gives.gear !== 'only' ? `, ${gives.gear} gear` : '';
  const list: Bind[] = [
    lowest
      ? {
          of: 'rpm',
          share: comes.n / lowest.limit,
          over: comes.n > lowest.limit,
          words: `n ${round(comes.n)} of ${lowest.limit}, the limit of ${lowest.of}`,
        }
      : { of: 'rpm', share: null, over: false, words: 'no limit of turns is known' },
    ...(unknown.length && lowest
      ? [{ of: 'rpm' as const, share: null, over: false, words: `limit of ${unknown.join(', ')} not known` }]
      : []),
    limitOf(
      'feed',
      comes.vf,
      limits.feedMax,
      (v, l) => `Vf ${round(v)} of ${l} mm/min`,
      'feed of the machine',
    ),
    limitOf(
      'power',
      comes.power,
      kw,
      (v, l) => `${round(v, 2)} of ${round(l, 2)} kW${gear}`,
      'power of the spindle',
    ),
    limitOf(
      'torque',
      comes.torque,
      limits.torque ?? gives?.nm ?? null,
      (v, l) => `${round(v, 1)} of ${round(l, 1)} N m${gear}`,
      'torque of the spindle',
    ),
    limitOf('deflection', comes.deflection, tolerance, (v, l) => `bends ${mm(v)} of ${mm(l)}`, 'deflection'),
  ];
  if (limits.gears?.length && !gives)
    list.push({
      of: 'rpm',
      share: null,
      over: true,
      words: `no gear of the spindle runs at ${round(comes.n)}`,
    });
  const { hunts } = limits;
  if (hunts && comes.n >= hunts.from && comes.n <= hunts.to)
    list.push({
      of: 'hunting',
      share: null,
      over: true,
      words: `the spindle hunts between ${hunts.from} and ${hunts.to}: take one below or above`,
    });
  if (comes.chip)
    list.push(
      {
        of: 'thin chip',
        share: DEFAULTS.thinChipMm / comes.chip.max,
        over: comes.chip.max < DEFAULTS.thinChipMm,
        words: `thickest chip ${mm(comes.chip.max)}, below ${mm(DEFAULTS.thinChipMm)} an edge rubs`,
      },
      limitOf(
        'thick chip',
        comes.chip.max,
        limits.thickestChip ?? comes.cutter.CHIP_MAX,
        (v, l) => `thickest chip ${mm(v)} of ${mm(l)} that its edge stands`,
        'thickest chip its edge stands',
      ),
    );
  if (comes.ramp !== null) list.push(rampOf(comes.ramp, comes));
  return list.toSorted((a, b) => Number(b.over) - Number(a.over) || (b.share ?? -1) - (a.share ?? -1));
}

/** How steep it goes down, against the cutter's own limit; one that may plunge has none. */
function rampOf(ramp: number, { cutter, centreCutting }: Comes): Bind {
  const limit = rampLimit(cutter, centreCutting);
  if (limit.degrees === null) return { of: 'ramp', share: null, over: false, words: `ramp: ${limit.words}` };
  return {
    of: 'ramp',
    share: limit.degrees === 0 ? null : ramp / limit.degrees,
    over: ramp > limit.degrees,
    words: `goes down at ${round(ramp, 2)}° of ${round(limit.degrees, 2)}°, its ramp limit`,
  };
}

function limitOf(
  of: Bind['of'],
  value: number | null,
  limit: number | null,
  words: (value: number, limit: number) => string,
  name: string,
): Bind {
  return value === null || limit === null || limit <= 0
    ? {
        of,
        share: null,
        over: false,
        words: `${name}: ${limit === null ? 'its limit is' : 'what it comes to is'} not known`,
      }
    : { of, share: value / limit, over: value > limit, words: words(value, limit) };
}
