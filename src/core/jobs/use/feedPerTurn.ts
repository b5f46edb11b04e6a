import type { InForce } from '../../programs';

/** Way a turn, mm, of a feed in force; null: the spindle stands, or nobody can tell how fast it turns. */
export function feedPerTurn({ f, unit, s }: Pick<InForce, 'f' | 'unit' | 's'>): number | null {
  const scale = unit.startsWith('inch') ? 25.4 : 1;
  if (unit === '1/min') return null;
  if (unit.endsWith('rev')) return f * scale;
  return s === null || s === 0 ? null : (f * scale) / s;
}
