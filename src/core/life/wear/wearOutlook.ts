import type { Because } from '../../because';
import { sizeOutlook, type SizeOutlook } from './sizeOutlook';
import { type WearCrossing, type WearPoint, wearCrossing } from './wearCrossing';
import { cornerLimit, wearLimit, type WornHere } from './wearLimit';
import type { Gauge, WearReading } from './wearReading';

/** What the readings of one edge set say of it. */
export interface WearOutlook {
  /** The latest flank wear and wear of the corner, mm; null: never read. */
  flankMm: number | null;
  cornerMm: number | null;
  limitMm: number;
  cornerLimitMm: number;
  /** At the criterion; null: neither was ever read. */
  worn: boolean | null;
  /** What of it is at the criterion. */
  wornAt: 'flank' | 'corner' | 'gauge' | null;
  /** What the gauge said last; null: nothing was gauged. */
  gauge: Gauge | null;
  /** Where along the flute it is worn, as read last; null: nobody said. */
  zone: WearReading['zone'];
  /** Readings of flank wear that the line goes through, and those of running in before it. */
  steady: readonly WearPoint[];
  runningIn: readonly WearPoint[];
  /** It wore more than twice as fast at last: only the last stretch is reckoned with. */
  faster: boolean;
  crossing: WearCrossing | null;
  /** The holes it made, as they were measured over their number, with their limits; null: none was measured. */
  size: (SizeOutlook & { least: number; most: number }) | null;
  /** Minutes left from now, by the line of its flank or of its holes, whichever ends first, and with one chance in twenty of being worn before; null: cannot say. */
  left: { minutes: number; cautious: number | null } | null;
  /** The latest reading saw coarse chips, or a sign that was strong; or edges that were not turned may be worn. */
  asks: string | null;
  because: Because;
}

/** From so much steeper than the rest a stretch is running in, or the end of steady wear (practice). */
const STEEPER = 2;

const slope = (a: WearPoint, b: WearPoint) => (b.wearMm - a.wearMm) / (b.minutes - a.minutes);

/** One reading a minute: of two at the same minutes the later one stands. */
function flankPoints(readings: readonly WearReading[]): WearPoint[] {
  const at = new Map<number, number>();
  for (const r of readings) if (r.flankMm !== null) at.set(r.minutes, r.flankMm);
  return [...at].map(([minutes, wearMm]) => ({ minutes, wearMm })).sort((a, b) => a.minutes - b.minutes);
}

/**
 * The steady stretch: the first reading belongs to running in while the way from it is steeper than twice the way from the
 * next to the last, with two left after it at least; a fresh edge's 0 at 0 minutes always does. Where the last step is
 * steeper than twice the way before it, that step alone counts. Both only where it grew on: what scatters about a plateau
 * says neither. Common practice of the wear curve (ISO 8688-2 draws it).
 */
function stretches(points: readonly WearPoint[]): Pick<WearOutlook, 'steady' | 'runningIn' | 'faster'> {
  let from = 0;
  for (;;) {
    const [a, b, c] = points.slice(from);
    const end = points.at(-1);
    if (!a || !b || !c || !end) break;
    const fresh = a.minutes === 0 && a.wearMm === 0;
    const after = slope(b, end);
    if (!fresh && !(after > 0 && slope(a, b) > STEEPER * after)) break;
    from += 1;
  }
  const steady = points.slice(from);
  const [before, end] = [steady.at(-2), steady.at(-1)];
  const first = steady[0];
  const so = steady.length > 2 && first && before ? slope(first, before) : 0;
  const faster = so > 0 && !!before && !!end && slope(before, end) > STEEPER * so;
  return { steady: faster ? steady.slice(-2) : steady, runningIn: points.slice(0, from), faster };
}

/** A reading at the limit is worn: 1e-9 mm absorbs the rounding of inch readings. */
const at = (value: number | null, most: number) => value !== null && value >= most - 1e-9;

/**
 * What of an edge is at its criterion, by the latest reading of each: the one definition of worn, which every screen asks. What
 * sizes a hole or cuts a thread is worn where the gauge says so, whatever its flank. `here`: wear that was said of the T it
 * runs on. 'not read' where none was ever read; null:
 * it is not worn. All in mm. Example: DC 10, flank 0.2: 'flank'; a tap whose thread is too tight: 'gauge'.
 */
export function wornAt(
  {
    flankMm,
    cornerMm,
    gauge = null,
  }: { flankMm: number | null; cornerMm: number | null; gauge?: Gauge | null },
  DC: number,
  here: WornHere | null = null,
): 'flank' | 'corner' | 'gauge' | 'not read' | null {
  if (flankMm === null && cornerMm === null && gauge === null) return 'not read';
  if (gauge !== null && gauge !== 'passes') return 'gauge';
  return at(flankMm, wearLimit(DC, here).value)
    ? 'flank'
    : at(cornerMm, cornerLimit(DC, here).value)
      ? 'corner'
      : null;
}

/** Of an edge that nobody read. */
export const NOT_READ = { flankMm: null, cornerMm: null, gauge: null } as const;

/** The same as yes or no; null: not known. Example: DC 10, flank 0.2: true. */
export const isWorn = (
  wear: Parameters<typeof wornAt>[0],
  DC: number,
  here: WornHere | null = null,
): boolean | null => {
  const worn = wornAt(wear, DC, here);
  return worn === 'not read' ? null : worn !== null;
};

/**
 * What to ask of edges that cut on while others of their set were turned: what was read before was read of one of them all, and
 * nobody wrote which. It was at its criterion: those that were not turned may be too. null: nothing. Common practice.
 * Example: DC 50 (worn at 0.3 mm), 0.32 read before one seat was turned: asked.
 */
export function askedOfTheRest(
  before: Parameters<typeof wornAt>[0],
  DC: number,
  here: WornHere | null = null,
): string | null {
  return isWorn(before, DC, here) === true
    ? 'read as worn before some were turned: read those that were not'
    : null;
}

/**
 * Whether an edge is worn, and how long it goes on. Readings come in the order of their time; `minutesNow` is what the edge
 * has cut since it was fresh, `holesNow` the holes it has made; null: not known. `before`: what was read last of the set
 * that some of its edges were in before, where others were turned alone.
 * Sources: criteria at wearLimit and cornerLimit; the crossing at wearCrossing.
 * Example: DC 10 (worn at 0.2 mm), 0.08 at 10 min and 0.12 at 20 min, now at 25 min: 15 min left.
 */
export function wearOutlook(
  readings: readonly WearReading[],
  DC: number,
  minutesNow: number,
  holesNow: number | null = null,
  here: WornHere | null = null,
  before: Parameters<typeof wornAt>[0] | null = null,
): WearOutlook {
  const limit = wearLimit(DC, here);
  const corner = cornerLimit(DC, here);
  const points = flankPoints(readings);
  const latest = <K extends 'flankMm' | 'cornerMm'>(k: K) =>
    readings.findLast((r) => r[k] !== null)?.[k] ?? null;
  const flankMm = latest('flankMm');
  const cornerMm = latest('cornerMm');
  const gauge = readings.findLast((r) => r.gauge != null)?.gauge ?? null;
  const state = wornAt({ flankMm, cornerMm, gauge }, DC, here);
  const worn = state === 'not read' ? null : state !== null;
  const { steady, runningIn, faster } = stretches(points);
  const crossing = wearCrossing(steady, limit.value);
  const size = sizesOf(readings, holesNow);
  const byFlank =
    crossing && crossing.minutes !== null
      ? {
          minutes: Math.max(0, crossing.minutes - minutesNow),
          cautious: crossing.cautious === null ? null : Math.max(0, crossing.cautious - minutesNow),
        }
      : null;
  const bySize = inMinutes(size?.left ?? null, minutesNow, holesNow);
  const soonest = [byFlank, bySize].flatMap((x) => x ?? []).sort((a, b) => a.minutes - b.minutes)[0] ?? null;
  const left = worn ? { minutes: 0, cautious: 0 } : soonest;
  const last = readings.at(-1);
  const strong = last?.signs.filter((s) => s.strength === 'strong').map((s) => s.sign) ?? [];
  return {
    ...{ flankMm, cornerMm, limitMm: limit.value, cornerLimitMm: corner.value },
    ...{ worn, wornAt: state === 'not read' ? null : state, gauge },
    zone: readings.findLast((r) => r.zone !== null)?.zone ?? null,
    ...{ steady, runningIn, faster, crossing, size, left },
    asks:
      last?.chips === 'coarse'
        ? 'coarse chips out of the edge'
        : strong.length
          ? `strong: ${strong.join(', ')}`
          : before && state === 'not read'
            ? askedOfTheRest(before, DC, here)
            : null,
    because:
      size && bySize !== null && soonest === bySize
        ? size.because
        : whyLeft(crossing, faster, steady.length, limit.value, minutesNow),
  };
}

/** The holes that were measured, held to the limits that were said last; what nobody counted the holes of is left out. */
function sizesOf(readings: readonly WearReading[], holesNow: number | null): WearOutlook['size'] {
  const within = readings.findLast((r) => r.hole)?.hole;
  if (!within) return null;
  const { least, most } = within;
  const sizes = readings.flatMap((r) =>
    r.hole && r.holes != null ? [{ holes: r.holes, sizeMm: r.hole.sizeMm }] : [],
  );
  const now = holesNow ?? sizes.at(-1)?.holes ?? 0;
  return { ...sizeOutlook(sizes, { least, most }, now), least, most };
}

/** Holes left as minutes in the cut, by the minutes a hole took this edge so far; null: it made none that anybody counted. */
const inMinutes = (left: SizeOutlook['left'], minutes: number, holes: number | null): WearOutlook['left'] =>
  left && holes !== null && holes > 0 && minutes > 0
    ? {
        minutes: (left.holes * minutes) / holes,
        cautious: left.cautious === null ? null : (left.cautious * minutes) / holes,
      }
    : null;

function whyLeft(
  crossing: WearCrossing | null,
  faster: boolean,
  readings: number,
  limit: number,
  now: number,
): Because {
  const values = [
    { name: 'readings of steady wear', value: String(readings) },
    { name: 'worn at', value: `${limit.toFixed(2)} mm` },
    { name: 'in the cut so far', value: `${now.toFixed(1)} min` },
  ];
  if (!crossing || crossing.minutes === null)
    return {
      words: crossing
        ? 'The readings do not show wear that grows: when it comes to the criterion cannot be said.'
        : 'Two readings at different minutes are needed before it can be said when it is worn.',
      values,
    };
  const slopeWords = `${(crossing.line.slope * 1000).toFixed(1)} µm a minute`;
  return {
    words: [
      faster ? 'It wore more than twice as fast at last, so only the last stretch counts.' : '',
      crossing.cautious === null
        ? readings === 2
          ? 'Two readings make a line, and say nothing of how far it can be trusted.'
          : 'The readings scatter so that no interval can be said.'
        : 'The earlier figure is passed by one reading in twenty.',
    ]
      .filter(Boolean)
      .join(' '),
    formula:
      'minutes left = (criterion − VB0) / slope − minutes so far, by the line through the steady readings',
    values: [
      ...values,
      { name: 'wear', value: slopeWords },
      { name: 'worn at about', value: `${crossing.minutes.toFixed(1)} min` },
      ...(crossing.ofAReading
        ? [
            {
              name: '95 % of readings are at it between',
              value: `${crossing.ofAReading[0].toFixed(1)} and ${crossing.ofAReading[1].toFixed(1)} min`,
              source: 'Fieller',
            },
          ]
        : []),
    ],
  };
}
