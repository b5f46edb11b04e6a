// Lengths and numbers as people type and read them
export { parseNumber, thousandsOf } from './parseNumber';
export { MM_PER_INCH, enteredText, formatLength, parseDiameter, parseLength, showEntered } from './length';
export type { Length, LengthUnit } from './length';
export { drillSize } from './drillSizes';
export { round } from './round';
export { counted } from './counted';
export { byName } from './byName';
// Days and money
export { addDays, addMonths, daysBetween, localDay, minutesOfDay } from './days';
export { clock } from './clock';
export { money, readCents } from './money';
