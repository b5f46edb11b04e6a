import type { Because } from '../because';
import { METRIC_DRILLS } from './threadTables';
import { CHART_HEIGHT, type Thread } from './threads';

type Sized = Pick<Thread, 'major' | 'pitch'>;

/**
 * Thread percentage that a drill leaves: 100 (D − d) / (1.299 P), where 100 % is 3/4 H (American charts; the profile of
 * ASME B1.1, 5/8 H, is the other school and gives larger figures). Of 60 degree threads. mm.
 * Example: 1/4-20 with 0.201 in -> 75.4.
 */
export const threadPercent = (t: Sized, drill: number): number =>
  (100 * (t.major - drill)) / (CHART_HEIGHT * t.pitch);

/** Drill for a wanted percentage by the same school, mm. Example: M6, 75 % -> 5.026. */
export const drillForPercent = (t: Sized, percent: number): number =>
  t.major - (percent / 100) * CHART_HEIGHT * t.pitch;

/** Of the pitch for each per cent that is formed. */
const FORMING = 0.0068;

/**
 * Hole before a forming tap, mm: D − 0.0068 x percent x P. The drill of a cutting tap is too small for it and breaks it.
 * Common practice; 65 % unless the tap's maker says otherwise. Example: M6, 65 % -> 5.558.
 */
export const formingHole = (t: Sized, percent = 65): number => t.major - FORMING * percent * t.pitch;

/** The hole before a tap and what it rests on. */
interface TapDrill {
  drill: number;
  percent: number | null;
  words: string;
  because: Because;
}

/** 60 degree profiles, to which the percentages of the charts belong. */
const isSixty = (t: Thread): boolean => t.system === 'metric' || t.system === 'unified';

/**
 * The drill before a tap: for cutting taps ISO 2306 (D − P, and its table where that rounds otherwise), else 75 % thread;
 * pipe and taper threads by their own tables; for forming taps their own larger hole. mm. null where no table or rule
 * is known, such as a forming tap of a taper thread. Example: M6 cutting -> 5.0 (ISO 2306); M6 forming -> 5.558.
 */
export function tapDrill(
  t: Thread,
  by: 'cutting' | 'forming',
  show: (mm: number) => string = (mm) => `${mm} mm`,
): TapDrill | null {
  const values = [
    { name: 'D', value: show(t.major) },
    { name: 'P', value: show(t.pitch) },
  ];
  if (!isSixty(t))
    return by === 'forming' || t.tableDrill === null
      ? null
      : {
          drill: t.tableDrill,
          percent: null,
          words: t.system === 'trapezoidal' ? 'D − P' : `table of ${t.system} threads, without a reamer`,
          because: {
            words:
              t.system === 'trapezoidal'
                ? 'The core of a trapezoidal thread.'
                : 'Common practice; taper threads hold better reamed to the taper first.',
            values,
          },
        };
  const because: Because = {
    words: `Thread percentage by the charts, where 100 % is 3/4 H; the 5/8 H school gives larger figures.${t.forInsert ? ' Oversize, for a wire insert.' : ''}`,
    formula: by === 'forming' ? `d = D − ${FORMING} · 65 · P` : '% = 100 (D − d) / (1.299 P)',
    values,
  };
  if (by === 'forming')
    return {
      drill: formingHole(t),
      percent: null,
      words: `forming: D − ${FORMING} × 65 × P; its maker may say otherwise`,
      because,
    };
  if (t.system === 'metric' && !t.forInsert) {
    const table = METRIC_DRILLS[`${t.major}x${t.pitch}`] ?? Math.round((t.major - t.pitch) * 100) / 100;
    return { drill: table, percent: threadPercent(t, table), words: 'ISO 2306', because };
  }
  return {
    drill: drillForPercent(t, 75),
    percent: 75,
    words: '75 % of 3/4 H, the school of the charts',
    because,
  };
}
