import { group } from 'd3';
import { cameOut, foretoldHeld, type ForetoldHeld, type Outcome } from '@/core/life';
import { LIMITS } from '@/core/limits';
import { addDays, localDay } from '@/core/units';
import { lifeTime } from '@/crib/lives';
import type { Connection } from '@/data/database';
import { manyForetold, type LifeRow } from '@/data/life';

/** Lives beside what was foretold of them as they began to cut. */
export interface ForetoldYear extends ForetoldHeld {
  /** The first day on which they began. */
  from: string;
  /** There were more: the latest are counted. */
  more: boolean;
  /** By the month in which they began, '2027-01' first. */
  months: { month: string; lives: number; came: ForetoldHeld['came'] }[];
}

/** What was foretold of a life and what came of it. */
export interface ForetoldLife {
  from: number;
  to: number;
  came: Outcome;
}

/** What was foretold of a life beside what came of it; null where nothing was. */
export const foretoldOf = ({
  foretold,
  ...life
}: Pick<LifeRow, 'foretold' | 'minutes' | 'ended'>): ForetoldLife | null =>
  foretold && {
    from: foretold[0] ?? 0,
    to: foretold.at(-1) ?? Infinity,
    came: cameOut(foretold, lifeTime(life.minutes, life.ended)),
  };

/**
 * How the forecasts of the last twelve months held, by the months in which they were made: by the months in which lives end
 * those that fail early would stand alone. null: none was made.
 */
export async function foretoldYear(c: Connection, today: string, zone: string): Promise<ForetoldYear | null> {
  const from = addDays(today, -365);
  const rows = await manyForetold(c, new Date(`${from}T00:00:00Z`), LIMITS.forecasts.most);
  if (!rows.length) return null;
  const lives = rows.map((r) => ({
    month: localDay(r.happenedAt, zone).slice(0, 7),
    by: r.foretold,
    life: lifeTime(r.minutes, r.ended),
  }));
  const months = [...group(lives, (l) => l.month)].map(([month, of]) => {
    const { came } = foretoldHeld(of);
    return { month, lives: of.length, came };
  });
  return {
    from,
    more: rows.length === LIMITS.forecasts.most,
    ...foretoldHeld(lives),
    months: months.toSorted((a, b) => (a.month < b.month ? -1 : 1)),
  };
}
