/** A spindle interface as far as its words say. */
interface Taper {
  /** The standard of its flange or its own; null: the words name the cone alone ('40 taper'). */
  standard: string | null;
  /** The cone: two of different cones or sizes never go together. */
  cone: '7:24' | 'HSK' | 'Morse' | 'PSC' | 'R8';
  size: string;
  /** mm at the gauge line, where the standard has one. */
  gauge: number | null;
  /** Two interfaces with the same key go into the same spindle; null: the flange decides, and is not said. */
  key: string | null;
}

/** Gauge diameters of the 7:24 tapers, mm. ISO 297, from memory. */
const STEEP: Record<string, number> = {
  '30': 31.75,
  '40': 44.45,
  '45': 57.15,
  '50': 69.85,
  '60': 107.95,
};
const HSK_SIZES = ['20', '25', '32', '40', '50', '63', '80', '100', '125', '160'];

/** What people call the flanges of the 7:24 cone, by their standard (common usage). */
const FLANGES: Record<string, string> = {
  BT: 'ISO 7388-2',
  MAS: 'ISO 7388-2',
  SK: 'ISO 7388-1',
  CAT: 'ASME B5.50',
  CV: 'ASME B5.50',
  NT: 'ISO 297',
  NMTB: 'ISO 297',
};

/**
 * Reads a spindle interface: 'ISO 7388-1 40', 'ISO 7388-2 J40', 'BT40', 'SK 40', 'CAT40', 'HSK-A 63', 'HSK63A',
 * 'ASME B5.50 40', 'ISO 297 40', 'PSC 63', 'MT3', 'R8', and '40 taper' or 'ISO 40', which name the cone and leave the
 * flange open. Forms with and without coolant bores of one size share a spindle. Returns null where the words are of
 * none of these: then only the same words are taken for the same interface. Example: readTaper('HSK63A')!.key = 'HSK-A63'.
 */
export function readTaper(text: string): Taper | null {
  const t = text.trim().toUpperCase().replace(/\s+/g, ' ');
  if (/^R ?8$/.test(t)) return { standard: 'R8', cone: 'R8', size: '8', gauge: null, key: 'R8' };
  const [, before, number, after] =
    /^(?:ISO 12164(?:-\d)? )?HSK[ -]?([A-F])?[ -]?(\d{2,3})[ -]?([A-F])?$/.exec(t) ?? [];
  if (number !== undefined && HSK_SIZES.includes(number) && !(before && after)) {
    const form = before ?? after;
    const key = form === undefined ? null : `HSK-${form}${number}`;
    return { standard: form === undefined ? null : 'ISO 12164', cone: 'HSK', size: number, gauge: null, key };
  }
  const psc = /^(?:ISO 26623(?:-\d)? )?PSC[ -]?(\d{2,3})$/.exec(t)?.[1];
  if (psc) return { standard: 'ISO 26623', cone: 'PSC', size: psc, gauge: null, key: `PSC ${psc}` };
  const morse = /^(?:ISO 296 )?(?:MT|MK|MORSE)[ -]?([0-6])$/.exec(t)?.[1];
  if (morse) return { standard: 'ISO 296', cone: 'Morse', size: morse, gauge: null, key: `Morse ${morse}` };
  const steep = /^(ISO 7388-1|ISO 7388-2|ISO 297|ASME B5\.50)[ -](?:A|AD|AF|J|JD|JF)?[ -]?(\d{2})$/.exec(t);
  const called = /^(BT|MAS ?BT|JIS ?BT|MAS|SK|CAT|CV|NT|NMTB)[ -]?(\d{2})$/.exec(t);
  const bare = /^(\d{2}) ?TAPER$/.exec(t)?.[1] ?? /^(?:ISO|DIN|7:24)[ -]?(\d{2})$/.exec(t)?.[1];
  const size = steep?.[2] ?? called?.[2] ?? bare ?? '';
  const gauge = STEEP[size];
  if (gauge === undefined) return null;
  const standard = steep?.[1] ?? FLANGES[(called?.[1] ?? '').replace(/^(?:MAS|JIS) ?(?=BT)/, '')] ?? null;
  return { standard, cone: '7:24', size, gauge, key: standard && `${standard} ${size}` };
}

/**
 * Whether a holder of one taper goes into a spindle of another: true, false, or null where the words decide nothing.
 * Examples: 'BT40' and 'ISO 7388-2 40': true; '40 taper' and 'R8': false; '40 taper' and 'BT40': null.
 */
export function sameTaper(a: string, b: string): boolean | null {
  const same = a.trim().toUpperCase() === b.trim().toUpperCase();
  const [x, y] = [readTaper(a), readTaper(b)];
  if (!x || !y) return same ? true : null;
  if (x.cone !== y.cone || x.size !== y.size) return false;
  if (x.key !== null && y.key !== null) return x.key === y.key;
  return same ? true : null;
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
  // 'ER 32' and '32' are of that standard; R8, 5C and others are not, whatever their figures.
  const known = /^(?:ER ?|ISO 15488 ?-? ?[AB]? ?)?(\d{1,2})$/i.exec(size?.trim() ?? '')?.[1];
  const range = known === undefined ? undefined : COLLET_SIZES[known];
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
