import { sure } from '../sure';
import { familySpec, short, type Say } from './families';
import { GEOMETRY_SYMBOLS, type CutterSymbol } from './figures';
import { neckDiameter, type CutterGeometry } from './geometry';
import { factsOf } from './kinds';
import { symbolSpec } from './symbols';

/** A rule of geometry that a cutter's facts break, or a figure that is unlikely. */
interface GeometryFault {
  field: CutterSymbol;
  value: number;
  limit: string;
  words: string;
}

const EPS = 1e-9;
/**
 * The rules of geometry that a cutter's facts break; empty when it can exist. Unknown facts (null) are not
 * judged. Units mm and degrees. Limits per symbol are wide: they catch a wrong unit, not an unusual cutter.
 * Plane geometry. Example: DC 10, RE 6 on a corner-radius cutter breaks 'RE at most DC/2'.
 */
export function checkCutter(c: CutterGeometry): GeometryFault[] {
  const faults: GeometryFault[] = [];
  const fault = (field: CutterSymbol, value: number, limit: string, words: string) =>
    faults.push({ field, value, limit, words });
  const family = familySpec(c.family);
  const asked: readonly string[] = factsOf('cutter', c.family);
  for (const field of GEOMETRY_SYMBOLS) {
    const value = c[field];
    if (value === null) continue;
    const [least, most] = sure(symbolSpec(field).limits, `limits of ${field}`);
    if (!(value >= least && value <= most))
      fault(field, value, `${least} to ${most}`, 'outside what a cutter can have');
    else if (symbolSpec(field).shapes === 'its own' && !asked.includes(field))
      fault(field, value, 'blank', `a ${family.words} has no ${symbolSpec(field).words}`);
  }
  // A pair of lengths of which one must not exceed the other.
  const within = (field: CutterSymbol, limit: number | null, name: string, words: string) => {
    const value = c[field];
    if (value !== null && limit !== null && value > limit + EPS)
      fault(field, value, `at most ${name} = ${limit}`, words);
  };
  family.mustHold(c, (field, limit, words) => fault(field, sure(c[field], field), limit, words));
  within('LCF', c.OAL, 'OAL', 'the flutes cannot be longer than the cutter');
  within('LU', c.OAL, 'OAL', 'flutes and neck cannot be longer than the cutter');
  within('APMX', c.LCF, 'LCF', 'the depth of cut cannot exceed the flutes');
  within('CW', c.OAL, 'OAL', 'the teeth cannot be wider than the cutter is long');
  // The usable length of what drills and taps is that of its flutes that clear chips: less than LCF (ISO 13399).
  if (!family.axial && c.LU !== null && c.LCF !== null && c.LU < c.LCF - EPS)
    fault('LU', c.LU, `at least LCF = ${c.LCF}`, 'the usable length holds the flutes and the neck');
  // A neck that tapers is thinnest where it leaves the edge, and may be thicker than the cutter above.
  const neck = c.BHTA1 === null ? c.DN : c.LCF === null ? null : neckDiameter(c, c.LCF);
  if (c.DN !== null && neck !== null) {
    const edge = family.neckAt ? family.neckAt(c) : c.DC;
    if (edge !== null && neck > edge + EPS)
      fault(
        'DN',
        c.DN,
        `at most ${short(edge)}`,
        'the neck cannot be thicker than the cutter where it meets the edge',
      );
  }
  if (c.DCX !== null && c.DCX < c.DC - EPS)
    fault('DCX', c.DCX, `at least DC = ${c.DC}`, 'the largest diameter cannot be smaller than DC');
  within('DCN', c.DC, 'DC', 'the tip cannot be wider than the cutter');
  if (c.NOF !== null && !Number.isInteger(c.NOF)) fault('NOF', c.NOF, 'a whole number', 'flutes are counted');
  return faults;
}

/**
 * Figures that can be true but seldom are: asked about, never refused. mm and degrees; common practice.
 * Example: DC 10 with DMM 32 is asked about; so is a drill of 30 degrees.
 */
export function questionCutter(c: CutterGeometry): GeometryFault[] {
  const asked: GeometryFault[] = [];
  const ask: Say = (field, limit, words) => asked.push({ field, value: sure(c[field], field), limit, words });
  const family = familySpec(c.family);
  const widest = c.DCX ?? c.DC;
  const usual = (what: NonNullable<typeof family.usual>[number]) => family.usual?.includes(what) ?? false;
  if (c.LCF !== null && c.LCF > 12 * c.DC && family.mills)
    ask('LCF', '12 DC', 'very long flutes for an end mill');
  if (c.LCF !== null && c.LCF < 0.2 * c.DC && !usual('short flutes'))
    ask('LCF', '0.2 DC', 'very short flutes');
  if (c.DMM !== null && c.DMM > 3 * widest && c.DC > 3)
    ask('DMM', '3 DC', 'the shank is far thicker than the cutter');
  if (c.DMM !== null && c.DMM < 0.3 * widest && !usual('thin shank'))
    ask('DMM', '0.3 DC', 'the shank is far thinner than the cutter');
  if (c.OAL !== null && c.OAL < 2 * widest && !usual('short'))
    ask('OAL', '2 DC', 'very short for its diameter');
  if (c.OAL !== null && c.OAL > 50 * c.DC) ask('OAL', '50 DC', 'very long for its diameter');
  if (c.NOF !== null && c.DC < 3 && c.NOF > 6) ask('NOF', '6', 'many flutes for so small a cutter');
  if (c.TAPER !== null && c.TAPER > 30)
    ask('TAPER', '30 degrees', 'a steep taper per side: is it the included angle?');
  family.seldom?.(c, ask);
  return asked;
}
