import type { Because } from '../because';
import { MM_PER_INCH } from '../units';

/** A thread by its designation, mm. */
interface Thread {
  /** As people write it. */
  text: string;
  major: number;
  pitch: number;
  system: 'metric' | 'unified';
  coarse: boolean;
}

/** Coarse pitches of ISO 261, from memory, mm. */
const COARSE: Record<string, number> = {
  '1': 0.25,
  '1.2': 0.25,
  '1.4': 0.3,
  '1.6': 0.35,
  '2': 0.4,
  '2.5': 0.45,
  '3': 0.5,
  '3.5': 0.6,
  '4': 0.7,
  '5': 0.8,
  '6': 1,
  '7': 1,
  '8': 1.25,
  '10': 1.5,
  '12': 1.75,
  '14': 2,
  '16': 2,
  '18': 2.5,
  '20': 2.5,
  '22': 2.5,
  '24': 3,
  '27': 3,
  '30': 3.5,
  '33': 3.5,
  '36': 4,
};
/** Drills before tapping of ISO 2306, from memory: 'D x P' -> mm. */
const DRILLS: Record<string, number> = {
  '1.6x0.35': 1.25,
  '2x0.4': 1.6,
  '2.5x0.45': 2.05,
  '3x0.5': 2.5,
  '3.5x0.6': 2.9,
  '4x0.7': 3.3,
  '5x0.8': 4.2,
  '6x1': 5,
  '7x1': 6,
  '8x1.25': 6.8,
  '10x1.5': 8.5,
  '12x1.75': 10.2,
  '14x2': 12,
  '16x2': 14,
  '18x2.5': 15.5,
  '20x2.5': 17.5,
  '22x2.5': 19.5,
  '24x3': 21,
  '27x3': 24,
  '30x3.5': 26.5,
  '8x1': 7,
  '10x1': 9,
  '10x1.25': 8.8,
  '12x1': 11,
  '12x1.25': 10.8,
  '12x1.5': 10.5,
  '14x1.5': 12.5,
  '16x1.5': 14.5,
  '18x1.5': 16.5,
  '20x1.5': 18.5,
};

/** Numbered unified screws: 0.060 in + 0.013 in a number. ASME B1.1, from memory. */
const numbered = (n: number) => 0.06 + 0.013 * n;

/**
 * Reads a thread: 'M6', 'M8x1', 'M10 x 1.25', '1/4-20', '1/4-20 UNC', '#10-24', '10-32 UNF'. mm. null where it is none.
 * Example: readThread('M6') = { major: 6, pitch: 1, coarse: true }.
 */
export function readThread(text: string): Thread | null {
  const t = text.trim().replace(',', '.');
  const metric = /^M\s?(\d{1,3}(?:\.\d+)?)(?:\s?[x×*-]\s?(\d(?:\.\d+)?))?(?=$|[\s-])/i.exec(t);
  if (metric) {
    const coarsePitch = COARSE[String(Number(metric[1]))];
    const pitch = metric[2] === undefined ? coarsePitch : Number(metric[2]);
    const major = Number(metric[1]);
    if (!pitch || pitch <= 0 || pitch >= major) return null;
    return { text: t, major, pitch, system: 'metric', coarse: pitch === coarsePitch };
  }
  const unified =
    /^(?:#?(\d{1,2})|(?:(\d{1,2})[ -])?(\d{1,2})\/(\d{1,2}))\s?-\s?(\d{1,2})(?:\s?(UN[A-Z]*))?(?=$|[\s-])/i.exec(
      t,
    );
  if (!unified) return null;
  const [, number, whole, over, under, tpi, series] = unified;
  if (number !== undefined && Number(number) > 12) return null;
  const inch =
    number !== undefined ? numbered(Number(number)) : Number(whole ?? 0) + Number(over) / Number(under);
  if (!(inch > 0) || !Number.isFinite(inch) || Number(tpi) < 4) return null;
  return {
    text: t,
    major: inch * MM_PER_INCH,
    pitch: MM_PER_INCH / Number(tpi),
    system: 'unified',
    coarse: (series ?? '').toUpperCase() === 'UNC',
  };
}

/** 3/4 H over the pitch: the thread height that charts call 100 %. */
const CHART_HEIGHT = 2 * (3 / 4) * (Math.sqrt(3) / 2);

/**
 * Thread percentage that a drill leaves: 100 (D − d) / (1.299 P), where 100 % is 3/4 H (American charts; the profile of
 * ASME B1.1, 5/8 H, is the other school and gives larger figures). mm. Example: 1/4-20 with 0.201 in -> 75.4.
 */
export const threadPercent = (t: Pick<Thread, 'major' | 'pitch'>, drill: number): number =>
  (100 * (t.major - drill)) / (CHART_HEIGHT * t.pitch);

/** Drill for a wanted percentage by the same school, mm. Example: M6, 75 % -> 5.026. */
export const drillForPercent = (t: Pick<Thread, 'major' | 'pitch'>, percent: number): number =>
  t.major - (percent / 100) * CHART_HEIGHT * t.pitch;

/** Of the pitch for each per cent that is formed. */
const FORMING = 0.0068;

/**
 * Hole before a forming tap, mm: D − 0.0068 x percent x P. The drill of a cutting tap is too small for it and breaks it.
 * Common practice; 65 % unless the tap's maker says otherwise. Example: M6, 65 % -> 5.558.
 */
export const formingHole = (t: Pick<Thread, 'major' | 'pitch'>, percent = 65): number =>
  t.major - FORMING * percent * t.pitch;

/** The hole before a tap and what it rests on. */
interface TapDrill {
  drill: number;
  percent: number | null;
  words: string;
  because: Because;
}

/**
 * The drill before a tap: for cutting taps ISO 2306 where the table has the size, else 75 % thread; for forming taps
 * their own larger hole. mm. Example: M6 cutting -> 5.0 (ISO 2306); M6 forming -> 5.558.
 */
export function tapDrill(
  t: Thread,
  by: 'cutting' | 'forming',
  show: (mm: number) => string = (mm) => `${mm} mm`,
): TapDrill {
  const because: Because = {
    words: 'Thread percentage by the charts, where 100 % is 3/4 H; the 5/8 H school gives larger figures.',
    formula: by === 'forming' ? `d = D − ${FORMING} · 65 · P` : '% = 100 (D − d) / (1.299 P)',
    values: [
      { name: 'D', value: show(t.major) },
      { name: 'P', value: show(t.pitch) },
    ],
  };
  if (by === 'forming')
    return {
      drill: formingHole(t),
      percent: null,
      words: `forming: D − ${FORMING} × 65 × P; its maker may say otherwise`,
      because,
    };
  const key = `${t.major}x${t.pitch}`;
  const table = t.system === 'metric' ? DRILLS[key] : undefined;
  if (table !== undefined)
    return { drill: table, percent: threadPercent(t, table), words: 'ISO 2306', because };
  return {
    drill: drillForPercent(t, 75),
    percent: 75,
    words: '75 % of 3/4 H, the school of the charts',
    because,
  };
}
