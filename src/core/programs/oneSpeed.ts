import { DEFAULTS } from '../defaults';
import type { InForce } from './report';

/** Part of its time in the cut that a T must be at one speed. */
const MOST = 0.9;
/** rev/min from which a programmed speed is no speed of a spindle. */
const NO_SPINDLE = 1e7;

/**
 * The one speed a T cuts at, rev/min: nine tenths of its time in the cut are within a twentieth of it. null: it cuts at several,
 * or nobody can tell. Common practice. Example: 54 s at 4,000 and 6 s at 2,000: 4,000.
 */
export function oneSpeed(inForce: readonly Pick<InForce, 's' | 'cutting_s'>[]): number | null {
  const seconds = new Map<number, number>();
  let whole = 0;
  for (const { s, cutting_s } of inForce) {
    whole += cutting_s;
    if (s !== null && s > 0 && s < NO_SPINDLE) seconds.set(s, (seconds.get(s) ?? 0) + cutting_s);
  }
  const [main] = [...seconds].filter(([, of]) => of > 0).toSorted((a, b) => b[1] - a[1] || a[0] - b[0]);
  if (!main) return null;
  const [longest] = main;
  let near = 0;
  for (const [s, of] of seconds) if (Math.abs(s - longest) <= DEFAULTS.speedsAlike * longest) near += of;
  return near >= MOST * whole ? longest : null;
}
