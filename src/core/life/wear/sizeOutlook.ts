import type { Because } from '../../because';
import type { Gauge } from './wearReading';
import { type WearCrossing, wearCrossing } from './wearCrossing';

/** A hole that was measured after an edge had made so many, mm. */
export interface HoleSize {
  /** Holes the edge had made by then. */
  holes: number;
  sizeMm: number;
}
/** Limits of a hole, mm. */
export interface HoleWithin {
  least: number;
  most: number;
}

/** How the holes of one edge go, and when they leave their limits. */
export interface SizeOutlook {
  /** Which limit the line goes to; null: it does not go to either that can be told. */
  towards: 'least' | 'most' | null;
  /** The line of sizes over holes, mm and mm a hole; null: fewer than two were measured at different holes. */
  line: { intercept: number; slope: number } | null;
  /** Where the line comes to that limit, and where 95 % of holes would be at it; in holes. */
  crossing: { holes: number; between: readonly [number, number] | null } | null;
  /** Holes left from now, and those with one chance in twenty of being out before; null: cannot say. */
  left: { holes: number; cautious: number | null } | null;
  because: Because;
}

/** What a gauge would say of a hole by its size: 'tight' under its limits, 'loose' over them. 1e-9 mm absorbs rounding. */
export const gaugeOfSize = (sizeMm: number, { least, most }: HoleWithin): Gauge =>
  sizeMm < least - 1e-9 ? 'tight' : sizeMm > most + 1e-9 ? 'loose' : 'passes';

/**
 * When the holes that an edge makes leave their limits: the line of measured sizes over holes, to the lower limit where they
 * shrink as a reamer wears, to the upper where they grow. `now`: holes made so far. What lies outside already has none left.
 * Sources: least squares and Fieller's limits as in `wearCrossing`; that a worn reamer cuts smaller is a fact of the trade.
 * Example: 20.012 after 50 and 20.008 after 150 with 20.000 to 20.021, now 150: about 200 left.
 */
export function sizeOutlook(sizes: readonly HoleSize[], within: HoleWithin, now: number): SizeOutlook {
  const grows = wearCrossing(points(sizes, 1), within.most);
  const shrinks = wearCrossing(points(sizes, -1), -within.least);
  const line = grows && { intercept: grows.line.intercept, slope: grows.line.slope };
  const towards = !line || line.slope === 0 ? null : line.slope > 0 ? 'most' : 'least';
  const of = towards === 'most' ? grows : towards === 'least' ? shrinks : null;
  const crossing = of?.minutes == null ? null : { holes: of.minutes, between: of.ofAReading };
  const last = sizes.at(-1);
  const out = last !== undefined && gaugeOfSize(last.sizeMm, within) !== 'passes';
  const left = out ? { holes: 0, cautious: 0 } : of && leftOf(of, now);
  return { towards, line, crossing, left, because: why(sizes.length, within, of, towards, now) };
}

const points = (sizes: readonly HoleSize[], sign: 1 | -1) =>
  sizes.map((s) => ({ minutes: s.holes, wearMm: sign * s.sizeMm }));

const leftOf = ({ minutes, cautious }: WearCrossing, now: number): SizeOutlook['left'] =>
  minutes === null
    ? null
    : {
        holes: Math.max(0, minutes - now),
        cautious: cautious === null ? null : Math.max(0, cautious - now),
      };

function why(
  n: number,
  { least, most }: HoleWithin,
  of: WearCrossing | null,
  towards: SizeOutlook['towards'],
  now: number,
): Because {
  const values = [
    { name: 'holes measured', value: String(n) },
    { name: 'within', value: `${least.toFixed(3)} to ${most.toFixed(3)} mm` },
    { name: 'holes so far', value: String(now) },
  ];
  if (!of || of.minutes === null)
    return {
      words:
        n < 2
          ? 'Two holes measured after different numbers of holes are needed before it can be said when they leave their limits.'
          : 'The sizes do not go anywhere: when they leave their limits cannot be said.',
      values,
    };
  return {
    words: `The holes ${towards === 'least' ? 'shrink' : 'grow'}. ${
      of.cautious === null
        ? 'Too few were measured to say how far that can be trusted.'
        : 'The earlier figure is passed by one hole in twenty.'
    }`,
    formula:
      'holes left = (limit − size at 0) / change a hole − holes so far, by the line through what was measured',
    values: [
      ...values,
      { name: 'change', value: `${(Math.abs(of.line.slope) * 1e5).toFixed(1)} µm in 100 holes` },
      { name: 'out of its limits at about', value: `${of.minutes.toFixed(0)} holes` },
      ...(of.ofAReading
        ? [
            {
              name: '95 % of holes are at it between',
              value: `${of.ofAReading[0].toFixed(0)} and ${of.ofAReading[1].toFixed(0)}`,
              source: 'Fieller',
            },
          ]
        : []),
    ],
  };
}
