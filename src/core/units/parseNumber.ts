/**
 * Reads a plain decimal number as people type it: digits with one decimal point or comma, an optional sign,
 * spaces around it. Returns null for anything else, blank included, so that 'no value' never becomes 0.
 * Exponents, hexadecimal, thousands separators and 'Infinity' are refused: at a hatch they are slips. So is a comma
 * that may be either (`readsTwoWays`).
 * Example: parseNumber(' 12,5 ') = 12.5; parseNumber('1e3') = null; parseNumber('') = null.
 */
export function parseNumber(text: string): number | null {
  if (readsTwoWays(text)) return null;
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/**
 * Whether a number with a comma is ten thousand to some and ten to others: one to three digits that don't begin with
 * 0, a comma, three digits. Common practice of either side. Example: readsTwoWays('10,000'); not '0,125' or '10,00'.
 */
export const readsTwoWays = (text: string): boolean => /^[+\-−]?[1-9]\d{0,2},\d{3}$/.test(text.trim());
