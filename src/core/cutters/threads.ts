import { MM_PER_INCH } from '../units';
import {
  BSP_PARALLEL,
  BSP_TAPER_DRILLS,
  METRIC_COARSE,
  METRIC_PITCHES,
  NPT,
  UNC,
  UNEF,
  UNF,
} from './threadTables';

/** Whose rules a thread follows. */
export type ThreadSystem =
  'metric' | 'unified' | 'pipe, parallel' | 'pipe, taper 1:16' | 'NPT, taper 1:16' | 'trapezoidal';

/** A thread by its designation, mm. */
export interface Thread {
  /** As people write it. */
  text: string;
  /** Major diameter of the internal thread that is cut. */
  major: number;
  pitch: number;
  system: ThreadSystem;
  coarse: boolean;
  hand: 'right' | 'left';
  /** It is cut oversize for a wire insert of this thread. */
  forInsert: boolean;
  /** The drill that its own table says; null: none does. */
  tableDrill: number | null;
}

type Read = Omit<Thread, 'text' | 'hand'>;

/** Thread height of a full 60 degree profile with 3/4 H, over the pitch: what charts call 100 %. */
export const CHART_HEIGHT = 2 * (3 / 4) * (Math.sqrt(3) / 2);

/** Numbered unified screws: 0.060 in + 0.013 in a number. ASME B1.1, from memory. */
const numbered = (n: number) => 0.06 + 0.013 * n;
/** Threads to the inch a bare number can have, so that 10-24 is a screw #10 and 1-8 an inch. */
const NUMBERED: Record<string, readonly number[]> = {
  '0': [80],
  '1': [64, 72],
  '2': [56, 64],
  '3': [48, 56],
  '4': [36, 40, 48],
  '5': [40, 44],
  '6': [32, 36, 40],
  '8': [32, 36],
  '10': [24, 28, 32],
  '12': [24, 28, 32],
};

/** An inch size: '1', '1/4', '1 1/4', '1-1/4', '.250'; null where it is none. */
const SIZE = '(\\d{1,2}(?:[ -]\\d{1,2}\\/\\d{1,2})?|\\d{1,2}\\/\\d{1,2}|\\d?\\.\\d{2,4})';

/**
 * Reads a thread by its designation. mm. null where it is none that is known here, and never a thread whose core would
 * be absurd. Metric ISO 261 M1 to M100 ('M6', 'M8x1', 'M10 x 1.25-6H', 'M12 LH'), unified ASME B1.1 to 4 in ('1/4-20',
 * '1/4-20 UNC', '#10-24', '10-32 UNF', '2-4.5 UNC'), Whitworth pipe ISO 228-1 and ISO 7-1 ('G1/4', '1/4 BSPP', 'Rc 1/2'),
 * 'NPT' and 'NPTF' of ASME B1.20.1 ('1/4-18 NPT', 'NPT 1/2'), trapezoidal ISO 2904 ('Tr20x4'), and oversize for wire
 * inserts ('EG M8', 'STI 1/4-20', 'M8 STI'). Left hand is kept ('LH', 'left').
 * Example: readThread('M6') = { major: 6, pitch: 1, coarse: true, hand: 'right' }.
 */
export function readThread(text: string): Thread | null {
  const whole = text.trim().replace(/,/g, '.').replace(/["″]/g, '').replace(/\s+/g, ' ').toUpperCase();
  const left = /(?:^|[\s-])(?:LH|LEFT(?: HAND)?)$/;
  const hand = left.test(whole) ? 'left' : 'right';
  const bare = whole.replace(left, '').trim();
  const insert = /^(?:EG|STI) | (?:EG|STI)$/.test(bare);
  const t = bare.replace(/^(?:EG|STI) | (?:EG|STI)$/g, '').trim();
  const read = metric(t) ?? unified(t) ?? bspp(t) ?? bspt(t) ?? nptThread(t) ?? trapezoidal(t);
  if (!read) return null;
  const made = insert ? forInsert(read) : read;
  return made && { ...made, text: text.trim(), hand };
}

/** A core of less than this share of the major diameter is no thread of these standards. */
const LEAST_CORE = 0.6;

/** A dash stands before a pitch, or before a tolerance such as 6H. */
const METRIC =
  /^M ?(\d{1,3}(?:\.\d+)?)(?: ?(?:[X×*]|-(?!\d{1,2}[GHE])) ?(\d(?:\.\d+)?))?(?: ?-? ?\d{1,2}[GHE]\d{0,2}[GHE]?)?$/;
function metric(t: string): Read | null {
  const m = METRIC.exec(t);
  if (!m) return null;
  const major = Number(m[1]);
  const usual = METRIC_COARSE[String(major)];
  const pitch = m[2] === undefined ? usual : Number(m[2]);
  if (pitch === undefined || !METRIC_PITCHES.includes(pitch) || major < 1 || major > 100) return null;
  if (major - 1.0825 * pitch < LEAST_CORE * major) return null;
  return {
    major,
    pitch,
    system: 'metric',
    coarse: pitch === usual,
    forInsert: false,
    tableDrill: null,
  };
}

/** Inches of a size as written; null where it is none. */
function inchesOf(size: string): number | null {
  const [, whole, over, under] = /^(?:(\d{1,2})(?:[ -]|$))?(?:(\d{1,2})\/(\d{1,2}))?$/.exec(size) ?? [];
  if (/^\d?\.\d+$/.test(size)) return Number(size);
  if (whole === undefined && over === undefined) return null;
  const fraction = over === undefined ? 0 : Number(over) / Number(under);
  // '3/4' is a fraction, '8/4' a slip.
  if (over !== undefined && !(fraction > 0 && fraction < 1)) return null;
  return Number(whole ?? 0) + fraction;
}

const UNIFIED = new RegExp(
  `^(?:#(\\d{1,2})|${SIZE}) ?- ?(\\d{1,2}(?:\\.5| 1\\/2)?)(?: ?(UN[CFSRJ]?|UNEF))?(?: ?-? ?\\d[AB])?$`,
);
function unified(t: string): Read | null {
  const m = UNIFIED.exec(t);
  if (!m) return null;
  const tpi = Number((m[3] ?? '').replace(' 1/2', '.5'));
  const number = m[1] ?? (NUMBERED[m[2] ?? '']?.includes(tpi) ? m[2] : undefined);
  if (number !== undefined && !(number in NUMBERED)) return null;
  const inches = number === undefined ? inchesOf(m[2] ?? '') : numbered(Number(number));
  if (inches === null || !(inches > 0) || inches > 4 || !(tpi >= 4)) return null;
  const key = number === undefined ? String(inches) : `#${number}`;
  const series = m[4];
  // A series that has another pitch for this size is a slip, not a thread.
  const table = series === 'UNC' ? UNC : series === 'UNF' ? UNF : series === 'UNEF' ? UNEF : null;
  if (table && table[key] !== tpi) return null;
  const major = inches * MM_PER_INCH;
  const pitch = MM_PER_INCH / tpi;
  if (major - 1.0825 * pitch < LEAST_CORE * major) return null;
  return { major, pitch, system: 'unified', coarse: UNC[key] === tpi, forInsert: false, tableDrill: null };
}

const sized = (t: string, before: string, after: string): string | null => {
  const m = new RegExp(`^(?:(?:${before}) ?-? ?${SIZE}|${SIZE} ?-? ?(?:${after}))$`).exec(t);
  return m ? (m[1] ?? m[2] ?? '').replace('-', ' ') : null;
};

function bspp(t: string): Read | null {
  const size = sized(t.replace(/^(G.*)-\d+$/, '$1'), 'G|BSPP|BSP|RP', 'BSPP|BSP|BSPF');
  const row = size === null ? undefined : BSP_PARALLEL[size];
  if (!row) return null;
  return pipe(row, 'pipe, parallel', row.drill);
}
function bspt(t: string): Read | null {
  const size = sized(t, 'RC|R|BSPT', 'BSPT');
  const row = size === null ? undefined : BSP_PARALLEL[size];
  if (size === null || !row) return null;
  return pipe(row, 'pipe, taper 1:16', BSP_TAPER_DRILLS[size] ?? null);
}
function nptThread(t: string): Read | null {
  const named = /^(.*?) ?- ?(\d{1,2}(?:\.5| 1\/2)?) ?(NPTF?)$/.exec(t);
  const size = named?.[1] ?? sized(t, 'NPTF?', 'NPTF?');
  const row = size === null ? undefined : NPT[size];
  if (!row) return null;
  // '1/4-18 NPT': what is said of the pitch must be so.
  if (named && Number((named[2] ?? '').replace(' 1/2', '.5')) !== row.tpi) return null;
  return pipe(row, 'NPT, taper 1:16', row.drill);
}
const pipe = (row: { tpi: number; major: number }, system: ThreadSystem, drill: number | null): Read => ({
  major: row.major,
  pitch: MM_PER_INCH / row.tpi,
  system,
  coarse: false,
  forInsert: false,
  tableDrill: drill,
});

/** Trapezoidal: the core is D − P. ISO 2904, from memory. */
function trapezoidal(t: string): Read | null {
  const m = /^TR ?(\d{1,3}(?:\.\d+)?) ?[X×*] ?(\d{1,2}(?:\.5)?)(?: ?-? ?\d[EH])?$/.exec(t);
  if (!m) return null;
  const [major, pitch] = [Number(m[1]), Number(m[2])];
  if (major < 8 || major > 300 || pitch < 1.5 || major - pitch < LEAST_CORE * major) return null;
  return { major, pitch, system: 'trapezoidal', coarse: false, forInsert: false, tableDrill: major - pitch };
}

/** The hole for a wire insert is tapped oversize by the height of its profile: D + 1.299 P (DIN 8140, from memory). */
function forInsert(read: Read): Read | null {
  if (read.system !== 'metric' && read.system !== 'unified') return null;
  return { ...read, major: read.major + CHART_HEIGHT * read.pitch, forInsert: true };
}
