/**
 * Reads a plain decimal number as people type it: digits with one decimal point or comma, an optional sign,
 * spaces around it. Returns null for anything else, blank included, so that 'no value' never becomes 0.
 * Exponents, hexadecimal, thousands separators and 'Infinity' are refused: at a hatch they are slips. A comma is read as
 * a decimal comma; whoever knows the limits asks where it may part thousands (`thousandsOf`).
 * Example: parseNumber(' 12,5 ') = 12.5; parseNumber('1e3') = null; parseNumber('') = null.
 */
export function parseNumber(text: string): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain)) return null;
  return Number(plain);
}

/**
 * What a number is to those for whom its comma parts thousands; null where it can't: only one to three digits that don't
 * begin with 0, a comma, three digits may. Common practice of either side. A micrometer's 94,112 is no 94 metres, but
 * 10,000 parts are a question: the limits of the field decide. Example: thousandsOf('10,000') = 10000; of '0,125' null.
 */
export const thousandsOf = (text: string): number | null =>
  /^[+\-−]?[1-9]\d{0,2},\d{3}$/.test(text.trim())
    ? Number(text.trim().replace('−', '-').replace(',', ''))
    : null;
