/**
 * Reads a plain decimal number as people type it: digits with one decimal point or comma, an optional sign,
 * spaces around it. Returns null for anything else, blank included, so that 'no value' never becomes 0.
 * Exponents, hexadecimal, thousands separators and 'Infinity' are refused: at a hatch they are slips.
 * Example: parseNumber(' 12,5 ') = 12.5; parseNumber('1e3') = null; parseNumber('') = null.
 */
export function parseNumber(text: string): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}
