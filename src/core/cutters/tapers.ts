/** A spindle interface by its standard. */
interface Taper {
  standard: string;
  size: string;
  /** mm at the gauge line, where the standard has one. */
  gauge: number | null;
  /** Two interfaces with the same key go into the same spindle. */
  key: string;
}

/** Gauge diameters of the 7:24 tapers, mm. ISO 297, from memory. */
const STEEP: Record<string, number> = { '30': 31.75, '40': 44.45, '45': 57.15, '50': 69.85, '60': 107.95 };
const HSK_SIZES = ['20', '25', '32', '40', '50', '63', '80', '100', '125', '160'];

/**
 * Reads a spindle interface: 'ISO 7388-1 40', 'ISO 7388-2 J40', 'HSK-A 63', 'ASME B5.50 40', 'ISO 297 40', 'R8'. Forms with and
 * without coolant bores of one size share a spindle. Returns null where the words are of no such standard: then only
 * the same words are taken for the same interface. Example: readTaper('HSK-A63')!.key = 'HSK-A63'.
 */
export function readTaper(text: string): Taper | null {
  const t = text.trim().toUpperCase().replace(/\s+/g, ' ');
  if (/^R ?8$/.test(t)) return { standard: 'R8', size: '', gauge: null, key: 'R8' };
  const hsk = /^(?:ISO 12164(?:-\d)? )?HSK[ -]?([A-F])[ -]?(\d{2,3})$/.exec(t);
  if (hsk && HSK_SIZES.includes(hsk[2] ?? ''))
    return { standard: 'ISO 12164', size: `${hsk[1]}${hsk[2]}`, gauge: null, key: `HSK-${hsk[1]}${hsk[2]}` };
  const steep = /^(ISO 7388-1|ISO 7388-2|ISO 297|ASME B5\.50)[ -](?:A|AD|AF|J|JD|JF)?[ -]?(\d{2})$/.exec(t);
  const [, standard = '', size = ''] = steep ?? [];
  const gauge = STEEP[size];
  return gauge === undefined ? null : { standard, size, gauge, key: `${standard} ${size}` };
}

/** Whether a holder of one taper goes into a spindle of another: true, false, or null where the words decide nothing. */
export function sameTaper(a: string, b: string): boolean | null {
  const [x, y] = [readTaper(a), readTaper(b)];
  if (x && y) return x.key === y.key;
  return a.trim().toUpperCase() === b.trim().toUpperCase() ? true : null;
}

/** Collets with 8 degree setting angle: bore range by size, mm. ISO 15488, from memory. */
const COLLET_SIZES: Record<string, readonly [number, number]> = {
  '8': [0.5, 5],
  '11': [0.5, 7],
  '16': [0.5, 10],
  '20': [1, 13],
  '25': [1, 16],
  '32': [2, 20],
  '40': [3, 30],
};

interface ColletFault {
  field: 'COLLET' | 'CLAMP_MIN' | 'CLAMP_MAX';
  value: number | string;
  limit: string;
  words: string;
}

/**
 * What of a collet cannot be: a bore outside its size, or one that closes by more than a millimetre. mm; null is not
 * judged; a size that the standard doesn't have is the shop's own and not judged. ISO 15488, from memory.
 * Example: size 16 with a bore of 12 is refused.
 */
export function checkCollet(size: string | null, min: number | null, max: number | null): ColletFault[] {
  const faults: ColletFault[] = [];
  const range = size === null ? undefined : COLLET_SIZES[size.replace(/^\D+/, '')];
  if (range && max !== null && max > range[1])
    faults.push({
      field: 'CLAMP_MAX',
      value: max,
      limit: `at most ${range[1]} mm`,
      words: `a collet of size ${size} has no such bore`,
    });
  if (range && min !== null && min < range[0] - 1)
    faults.push({
      field: 'CLAMP_MIN',
      value: min,
      limit: `at least ${range[0] - 1} mm`,
      words: `a collet of size ${size} closes no further`,
    });
  if (min !== null && max !== null && min > max)
    faults.push({
      field: 'CLAMP_MIN',
      value: min,
      limit: `at most ${max}`,
      words: 'the smallest shank exceeds the largest',
    });
  else if (range && min !== null && max !== null && max - min > 1 + 1e-9)
    faults.push({
      field: 'CLAMP_MIN',
      value: min,
      limit: `at least ${max - 1} mm`,
      words: 'such a collet closes by a millimetre at most',
    });
  return faults;
}
