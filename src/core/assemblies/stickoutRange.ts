import { cuttingHeight } from '../cutters';
import { colletGrip, holdsAs } from './holdsAs';
import type { Build } from './judgeBuild';
import { isSeated } from './parts';

/** Between what a stickout may lie, mm; null: nothing known bounds it there. */
export interface StickoutRange {
  least: number | null;
  most: number | null;
}

/**
 * The stickouts at which no flute or neck is gripped, enough shank is, and it goes no deeper than it can: the same limits
 * as judgeBuild's FLUTES_GRIPPED, NECK_GRIPPED, GRIP and DEPTH. What is seated has one only: its own. mm. `least` above
 * `most`: there is none that is right. Example: OAL 72, LCF 22, least grip 30, greatest depth 45: 27 to 42.
 */
export function stickoutRange({ cutter: c, holder, parts, details }: Omit<Build, 'stickout'>): StickoutRange {
  const own = details?.cutter;
  if (own && isSeated(own.SHANK)) return { least: own.LPR, most: own.LPR };
  const held = holdsAs(holder, parts, details?.holder);
  const { GRIP_MIN, DEPTH_MAX } = held.holder;
  const grip = GRIP_MIN ?? colletGrip(held.carrier.colletLength);
  const thick = c.BHTA1 === null && c.DN !== null && c.DMM !== null && c.DN >= c.DMM - 1e-9;
  const lowest = [
    cuttingHeight(c),
    c.DN === null || thick ? null : c.LU,
    c.OAL === null || DEPTH_MAX === null ? null : c.OAL - DEPTH_MAX,
  ].filter((n) => n !== null);
  return {
    least: lowest.length ? Math.max(...lowest) : null,
    most: c.OAL === null ? null : c.OAL - (grip ?? 0),
  };
}
