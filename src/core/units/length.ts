import { drillSize } from './drillSizes';
import { parseNumber } from './parseNumber';

export type LengthUnit = 'mm' | 'inch';

/** Exact by definition (international yard and pound agreement, 1959; ISO 80000-3). */
export const MM_PER_INCH = 25.4;

/** A length as somebody entered it: the text in its own unit is what that unit shows and exports. */
export interface Length {
  mm: number;
  text: string;
  unit: LengthUnit;
}

const UNIT = /\s*(mm|inch|inches|in|″|")$/i;

/**
 * Reads a length: a decimal number or an inch fraction ('3/8', '1 1/4'), with an optional unit behind it
 * (mm, in, inch, "); without one, `fallback` counts. Fractions are inches whatever the fallback says, since
 * no metric cutter is written that way; so are number drills ('#7') and, with their unit, letter drills ('F in').
 * Keeps the number's text: 0.201 in does not come back from mm. Returns null where the text is no length; a blank is null, never 0.
 * Example: parseLength('1/4', 'mm') = { mm: 6.35, text: '1/4', unit: 'inch' }.
 */
export function parseLength(entered: string, fallback: LengthUnit = 'mm'): Length | null {
  const trimmed = entered.trim();
  const found = UNIT.exec(trimmed);
  const text = found ? trimmed.slice(0, found.index).trim() : trimmed;
  const named: LengthUnit | null = !found ? null : found[1]?.toLowerCase() === 'mm' ? 'mm' : 'inch';
  const fraction = /^(?:(\d{1,3})[ -])?(\d{1,3})\/(\d{1,3})$/.exec(text);
  if (fraction) {
    const [, whole, over, under] = fraction;
    if (named === 'mm' || Number(under) === 0) return null;
    return { mm: (Number(whole ?? 0) + Number(over) / Number(under)) * MM_PER_INCH, text, unit: 'inch' };
  }
  const drill = text.startsWith('#') || named === 'inch' ? drillSize(text) : null;
  if (drill !== null) return named === 'mm' ? null : { mm: drill * MM_PER_INCH, text, unit: 'inch' };
  const number = parseNumber(text);
  if (number === null) return null;
  const unit = named ?? fallback;
  return { mm: unit === 'inch' ? number * MM_PER_INCH : number, text, unit };
}

/**
 * Reads a cutter's diameter: a length, or a letter drill by its bare letter, which elsewhere would be a slip.
 * Example: parseDiameter('F') = { mm: 6.5278, text: 'F', unit: 'inch' }.
 */
export function parseDiameter(entered: string, fallback: LengthUnit = 'mm'): Length | null {
  const text = entered.trim();
  const drill = /^[A-Za-z]$|^no\.?\s?\d/i.test(text) ? drillSize(text) : null;
  return drill === null ? parseLength(entered, fallback) : { mm: drill * MM_PER_INCH, text, unit: 'inch' };
}

/** The text form in which a length is stored and sent: number and unit, as entered. */
export const enteredText = (length: Length): string => `${length.text} ${length.unit === 'mm' ? 'mm' : 'in'}`;

/**
 * A length for people: millimetres with `decimals`, inches with one more, in the unit asked for.
 * Unknown (null) is 'not measured' to the eye, so this never answers '0' for it. Negative zero loses its sign.
 * Example: formatLength(6.35, 'inch', 3) = '0.2500'; formatLength(null, 'mm', 3) = '—'.
 */
export function formatLength(mm: number | null | undefined, unit: LengthUnit, decimals = 3): string {
  if (mm === null || mm === undefined || !Number.isFinite(mm)) return '—';
  const text = unit === 'mm' ? mm.toFixed(decimals) : (mm / MM_PER_INCH).toFixed(decimals + 1);
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
}

/**
 * The same, but a length shown in the unit it was entered in is shown as it was entered.
 * Example: showEntered('1/4 in', 6.35, 'inch') = '1/4'; showEntered('1/4 in', 6.35, 'mm', 2) = '6.35'.
 */
export function showEntered(
  entered: string | null,
  mm: number | null,
  unit: LengthUnit,
  decimals = 3,
): string {
  const read = entered === null ? null : parseLength(entered);
  return read && read.unit === unit ? read.text : formatLength(mm, unit, decimals);
}
