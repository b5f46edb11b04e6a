import { bookFeed, rapid, type Target } from './moves';
import type { ReaderState } from './state';

/**
 * One drilled hole of a canned cycle in G17: rapid to X Y, rapid to R, the hole, out to the return level.
 * G81 feeds once from R to depth. G83 pecks by Q: feed a peck, rapid out to R and back to the depth reached, no
 * empty last peck. Feed length is R to depth in both. Return level: G98 Z before the series, or R if higher.
 * RS-274/NGC (NISTIR 6556), 3.5.16.
 */
export function drillHole(
  s: ReaderState,
  line: number,
  code: 'G81' | 'G83',
  at: Target,
  R: number,
  Z: number,
  Q: number | null,
): void {
  // From a place that is not known the depth is none either; the way from R is what it is.
  const depthKnown = s.absolute || !s.lost.Z;
  // A cycle is on while its holes are drilled.
  const level = s.returnToInitial ? Math.max(s.cycle!.initialZ, R) : R;
  if (s.position.Z < R) rapid(s, line, { ...s.position, Z: R }, ['Z']);
  rapid(s, line, { X: at.X, Y: at.Y, Z: s.position.Z }, ['X', 'Y']);
  rapid(s, line, { ...s.position, Z: R }, ['Z']);
  const step = code === 'G83' && Q !== null && Q > 0 ? Q : R - Z;
  let depth = R;
  while (depth > Z + 1e-9) {
    if (depth < R) {
      rapid(s, line, { ...s.position, Z: R }, ['Z']);
      rapid(s, line, { ...s.position, Z: depth }, ['Z']);
    }
    const next = Math.max(Z, depth - step);
    s.position = { ...s.position, Z: next };
    s.known.Z = depthKnown;
    bookFeed(s, line, depth - next, depthKnown ? next : null);
    depth = next;
  }
  rapid(s, line, { ...s.position, Z: level }, ['Z']);
  s.current.holes += 1;
  if (!s.scaled) s.current.deepest_hole_mm = Math.max(s.current.deepest_hole_mm ?? 0, R - Z);
  s.current.cycles[code] = (s.current.cycles[code] ?? 0) + 1;
}
