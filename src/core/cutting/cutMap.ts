import type { Bind } from './binds';
import { feedForChip } from './chip';
import { type CutAsked, cutFigures } from './cutFigures';
import { cuttingSpeed } from './speeds';

/** Of each limit that is known, row by row: what the cut comes to as a share of it. Where a share is 1 lies its line. */
export type Shares = Partial<Record<Bind['of'], number[]>>;

/** What each limit comes to over depths and widths. */
export interface CutMap {
  /** Widths ae and depths ap of the columns and rows, mm. */
  ae: number[];
  ap: number[];
  shares: Shares;
}

/** What each limit comes to over speeds and feeds. */
export interface SpeedMap {
  /** Feeds a tooth of the columns, mm, and speeds of the rows, m/min. */
  fz: number[];
  vc: number[];
  shares: Shares;
}

/** How far a map reaches: the whole width of the cutter; its flute, or twice its diameter where that is not known. */
export const mapReach = ({ cutter }: Pick<CutAsked, 'cutter'>): { ae: number; ap: number } => ({
  ae: cutter.DC,
  ap: cutter.LCF ?? 2 * cutter.DC,
});

/** How far a map of speeds goes where nothing says: 2 % of DC a tooth and 200 m/min (practice); doubled until the cut is on it. */
const FIRST_REACH = { fz: 0.02, vc: 200 };
/** By how much it goes past a limit of turns, so that the line is on it. */
const PAST = 1.25;

/**
 * How far a map of speeds reaches: a little past the lowest limit of turns that is known, and the thickest chip its edge
 * stands; a cut that is beyond doubles it. null: the teeth are not counted, no feed a tooth is known. Example: D 10 at
 * fz 0.05, limit 10,000 rev/min -> fz 0.2, Vc 392.7.
 */
export function speedReach(asked: CutAsked): { fz: number; vc: number } | null {
  const { fz, vc, D } = cutFigures(asked);
  if (fz.value === null || vc.value <= 0) return null;
  const lowest = Math.min(...asked.limits.rpm.flatMap((l) => l.limit ?? []));
  const stands = asked.limits.thickestChip ?? asked.cutter.CHIP_MAX;
  const toChip =
    stands === null ? null : feedForChip(asked.cutter.DC, asked.ae, stands, asked.cutter.KAPR ?? 90);
  return {
    fz: doubled(toChip === null ? FIRST_REACH.fz * asked.cutter.DC : PAST * toChip, fz.value),
    vc: doubled(Number.isFinite(lowest) ? PAST * cuttingSpeed(lowest, D.value) : FIRST_REACH.vc, vc.value),
  };
}

/** The reach, doubled as often as it takes to have a figure on it. */
const doubled = (reach: number, figure: number): number =>
  reach * 2 ** Math.max(0, Math.ceil(Math.log2(figure / reach) - 1e-9));

/**
 * Speeds at which the spindle hunts, m/min on what cuts; null: no such band is stated. Example: 4000 to 4400 rev/min on
 * D 10 -> 125.7 to 138.2.
 */
export function huntingSpeeds(asked: CutAsked): { from: number; to: number } | null {
  const { hunts } = asked.limits;
  if (!hunts) return null;
  const D = cutFigures(asked).D.value;
  return { from: cuttingSpeed(hunts.from, D), to: cuttingSpeed(hunts.to, D) };
}

/** `steps` figures up to the most, none of them 0. */
const along = (most: number, steps: number) =>
  Array.from({ length: steps }, (_, i) => (most * (i + 1)) / steps);

/** Shares of the limits over a grid: `cut` at each column and row. Limits that have no share there are left out. */
function sharesOver(
  columns: readonly number[],
  rows: readonly number[],
  cut: (column: number, row: number) => CutAsked,
  leftOut: readonly Bind['of'][],
): Shares {
  const shares: Shares = {};
  rows.forEach((y, row) =>
    columns.forEach((x, column) => {
      for (const bind of cutFigures(cut(x, y)).binds) {
        if (bind.share === null || leftOut.includes(bind.of)) continue;
        (shares[bind.of] ??= Array.from({ length: rows.length * columns.length }, () => 0))[
          row * columns.length + column
        ] = bind.share;
      }
    }),
  );
  return shares;
}

/**
 * A cut over every width and depth of its cutter, `steps` to a side, all else as it is asked. Limits of turns, the band
 * where a spindle hunts and the ramp are left out: they go with other figures alone. Example: 20 steps -> 20 x 20 shares
 * a limit.
 */
export function cutMap(asked: CutAsked, steps: number): CutMap {
  const reach = mapReach(asked);
  const [ae, ap] = [along(reach.ae, steps), along(reach.ap, steps)];
  return {
    ...{ ae, ap },
    shares: sharesOver(ae, ap, (x, y) => ({ ...asked, ap: y, ae: x }), ['rpm', 'hunting', 'ramp']),
  };
}

/**
 * A cut over speeds and feeds a tooth, `steps` to a side, its depth and width as asked. The ramp goes with neither, and
 * the band where a spindle hunts is asked by itself (huntingSpeeds). null: no feed a tooth is known.
 */
export function speedMap(asked: CutAsked, steps: number): SpeedMap | null {
  const reach = speedReach(asked);
  if (!reach) return null;
  const [fz, vc] = [along(reach.fz, steps), along(reach.vc, steps)];
  return {
    ...{ fz, vc },
    shares: sharesOver(fz, vc, (x, y) => ({ ...asked, speed: { vc: y }, feed: { fz: x } }), [
      'hunting',
      'ramp',
    ]),
  };
}
