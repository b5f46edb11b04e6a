import { FAMILIES, type CutterGeometry, type CutterSymbol } from './families';

/** A rule of geometry that a cutter's facts break. */
export interface GeometryFault {
  field: CutterSymbol;
  value: number;
  limit: string;
  words: string;
}

const LIMITS: Record<CutterSymbol, [number, number]> = {
  DC: [0.05, 500],
  DMM: [0.5, 200],
  LCF: [0.05, 500],
  OAL: [5, 1000],
  RE: [0, 250],
  SIG: [20, 180],
  NOF: [1, 40],
};

/**
 * The rules of geometry that a cutter's facts break; empty when it can exist. Unknown facts (null) are not
 * judged. Units mm and degrees. The limits are wide on purpose: they catch a wrong unit, not an unusual cutter.
 * Example: DC 10, RE 6 on a corner-radius cutter breaks 'RE at most DC/2'.
 */
export function checkCutter(c: CutterGeometry): GeometryFault[] {
  const faults: GeometryFault[] = [];
  const fault = (field: CutterSymbol, value: number, limit: string, words: string) =>
    faults.push({ field, value, limit, words });
  for (const field of Object.keys(LIMITS) as CutterSymbol[]) {
    const value = c[field];
    const [least, most] = LIMITS[field];
    if (value === null) continue;
    if (!(value >= least && value <= most))
      fault(field, value, `${least} to ${most}`, 'outside what a cutter can have');
  }
  if (c.RE !== null && c.family === 'ball' && Math.abs(c.RE - c.DC / 2) > 1e-6)
    fault('RE', c.RE, `DC/2 = ${c.DC / 2}`, "a ball cutter's radius is half its diameter");
  else if (c.RE !== null && c.RE > c.DC / 2 + 1e-9)
    fault('RE', c.RE, `at most DC/2 = ${c.DC / 2}`, 'a corner radius cannot exceed half the diameter');
  if (c.RE !== null && c.RE > 0 && c.family === 'square')
    fault('RE', c.RE, '0', 'a square end mill has no corner radius; choose corner-radius');
  if (c.family === 'corner-radius' && c.RE === 0)
    fault('RE', c.RE, 'more than 0', 'a corner-radius cutter has one; without, it is a square end mill');
  if (c.LCF !== null && c.OAL !== null && c.LCF > c.OAL)
    fault('LCF', c.LCF, `at most OAL = ${c.OAL}`, 'the flutes cannot be longer than the cutter');
  if (c.NOF !== null && !Number.isInteger(c.NOF)) fault('NOF', c.NOF, 'a whole number', 'flutes are counted');
  if (c.SIG !== null && FAMILIES[c.family].tip !== 'cone')
    fault('SIG', c.SIG, 'blank', `a ${FAMILIES[c.family].words} has no point angle`);
  return faults;
}
