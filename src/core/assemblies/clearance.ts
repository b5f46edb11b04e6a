import type { OutlinePoint } from '../cutters';

const slopeOf = (draft: number): number => Math.tan((draft * Math.PI) / 180);

/** A wall beside a cut: it stands `depth` high above the tip, its foot `radial` from the tool's axis, leaning away by `draft`. */
export interface Wall {
  /** mm. */
  depth: number;
  /** mm from the axis. */
  radial: number;
  /** Degrees per side, 0 to 80. */
  draft: number;
}

/** Where something stands nearest to a wall: how far off (below 0: in it), mm, and at what height above the tip. */
interface Nearest {
  gap: number;
  height: number;
}

/**
 * The least way between a half outline and a wall, mm; null where nothing of it is below the wall's top. `outline`: points
 * from the tip up, z their height above it. What cuts is left out by the caller: an edge is meant to touch. Plane geometry;
 * gap and wall are straight between points, so only points and the wall's top are asked: linear in the outline.
 * Example: a shank of radius 5 beside a wall at 6, no draft: 1.
 */
export function clearanceOf(outline: readonly OutlinePoint[], wall: Wall): Nearest | null {
  let nearest: Nearest | null = null;
  const slope = slopeOf(wall.draft);
  const ask = (z: number, r: number) => {
    const gap = wall.radial + z * slope - r;
    if (nearest === null || gap < nearest.gap) nearest = { gap, height: z };
  };
  for (let i = 0; i < outline.length; i++) {
    const p = outline[i];
    if (!p) continue;
    if (p.z < wall.depth) ask(p.z, p.r);
    const q = outline[i + 1];
    // A step of no height at the wall's own top stands on it, not beside it.
    if (q && p.z < wall.depth && q.z >= wall.depth)
      ask(wall.depth, p.r + ((q.r - p.r) * (wall.depth - p.z)) / (q.z - p.z));
  }
  return nearest;
}

/**
 * The least stickout from which the holder clears a wall by `free`, mm; 0 where it always does. `holder`: its points from
 * the face up, z their height above the face. At a stickout s a point at z stands at s + z: it must be above the wall's
 * top, or far enough from the wall there. Along each straight piece both ways out change evenly, so the worst point of a
 * piece is an end or where the two meet. What the cutter's own shank meets no stickout mends: ask clearanceOf.
 * Example: a face of radius 20, a wall 30 deep at 12, no draft: 30.
 */
export function leastStickout(holder: readonly OutlinePoint[], wall: Wall, free: number): number {
  const slope = slopeOf(wall.draft);
  const need = (z: number, r: number): number => {
    const over = wall.depth - z;
    const inside = r + free - wall.radial;
    // Beside a wall without draft going higher does not help: only over its top.
    const beside = inside <= 1e-9 ? -z : slope > 0 ? inside / slope - z : Infinity;
    return Math.min(over, beside);
  };
  let most = 0;
  holder.forEach((p, i) => {
    most = Math.max(most, need(p.z, p.r));
    const q = holder[i + 1];
    if (!q || q.r === p.r) return;
    // Where being over the top and being beside ask the same: r there is what the wall leaves at its top.
    const r = wall.radial + wall.depth * slope - free;
    const t = (r - p.r) / (q.r - p.r);
    if (t > 0 && t < 1) most = Math.max(most, wall.depth - (p.z + t * (q.z - p.z)));
  });
  return most;
}
