import type { OutlinePoint } from '@/core/cutters';

const n = (value: number) => Math.round(value * 100) / 100;

/** Closed SVG path of a half outline mirrored about x = 0; z down, px. Empty for no points. */
export function mirrored(points: readonly OutlinePoint[], scale: number): string {
  if (points.length === 0) return '';
  const right = points.map((p) => `${n(p.r * scale)},${n(p.z * scale)}`);
  const left = [...points].reverse().map((p) => `${n(-p.r * scale)},${n(p.z * scale)}`);
  return `M${right.join('L')}L${left.join('L')}Z`;
}

/**
 * The line about a half outline mirrored so, left open where it ends at the shank: its points run `from` the tip or to it.
 * Empty for no points.
 */
export function openLine(points: readonly OutlinePoint[], scale: number, from: 'tip' | 'shank'): string {
  if (points.length === 0) return '';
  const down = from === 'tip' ? [...points].reverse() : points;
  const left = down.map((p) => `${n(-p.r * scale)},${n(p.z * scale)}`);
  const right = [...down].reverse().map((p) => `${n(p.r * scale)},${n(p.z * scale)}`);
  return `M${left.join('L')}L${right.join('L')}`;
}

/** Bottom of a hatch from the tip up: where used or worn ends, in z down from the gauge line, mm. */
export const hatchTop = (tip: number, fluteLength: number, share: number): number =>
  tip - fluteLength * Math.min(1, Math.max(0, share));
