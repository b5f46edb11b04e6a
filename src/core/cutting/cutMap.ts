import type { Bind } from './binds';
import { type CutAsked, cutFigures } from './cutFigures';

/** What each limit comes to over depths and widths: where a share is 1 lies its line. */
export interface CutMap {
  /** Widths ae and depths ap of the columns and rows, mm. */
  ae: number[];
  ap: number[];
  /** Of each limit that is known, row by row: what the cut comes to as a share of it. */
  shares: Partial<Record<Bind['of'], number[]>>;
}

/** How far a map reaches: the whole width of the cutter; its flute, or twice its diameter where that is not known. */
export const mapReach = ({ cutter }: Pick<CutAsked, 'cutter'>): { ae: number; ap: number } => ({
  ae: cutter.DC,
  ap: cutter.LCF ?? 2 * cutter.DC,
});

/**
 * A cut over every width and depth of its cutter, `steps` to a side, all else as it is asked. Limits of turns and the band
 * where a spindle hunts are left out: they go with speed alone. Example: 20 steps -> 20 x 20 shares a limit.
 */
export function cutMap(asked: CutAsked, steps: number): CutMap {
  const { ae: widest, ap: deepest } = mapReach(asked);
  const along = (most: number) => Array.from({ length: steps }, (_, i) => (most * (i + 1)) / steps);
  const [ae, ap] = [along(widest), along(deepest)];
  const shares: CutMap['shares'] = {};
  ap.forEach((depth, row) =>
    ae.forEach((width, column) => {
      for (const bind of cutFigures({ ...asked, ap: depth, ae: width }).binds) {
        if (bind.share === null || bind.of === 'rpm' || bind.of === 'hunting') continue;
        (shares[bind.of] ??= Array.from({ length: steps * steps }, () => 0))[row * steps + column] =
          bind.share;
      }
    }),
  );
  return { ae, ap, shares };
}
