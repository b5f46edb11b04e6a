import { familySpec, factsOf } from './families';
import { GEOMETRY_SYMBOLS, type CutterGeometry, type CutterSymbol } from './geometry';
import { symbolSpec } from './symbols';

/** A rule of geometry that a cutter's facts break, or a figure that is unlikely. */
export interface GeometryFault {
  field: CutterSymbol;
  value: number;
  limit: string;
  words: string;
}

const EPS = 1e-9;
/** Facts that make another family of a cutter: an end mill with a point angle is a chamfer mill or a drill. */
const SHAPES_ONLY_ITS_OWN: readonly CutterSymbol[] = ['SIG', 'TAPER', 'CW', 'DCN'];

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
    const [least, most] = symbolSpec(field).limits!;
    if (!(value >= least && value <= most))
      fault(field, value, `${least} to ${most}`, 'outside what a cutter can have');
    else if (SHAPES_ONLY_ITS_OWN.includes(field) && !asked.includes(field))
      fault(field, value, 'blank', `a ${family.words} has no ${symbolSpec(field).words}`);
  }
  // A pair of lengths of which one must not exceed the other.
  const within = (field: CutterSymbol, limit: number | null, name: string, words: string) => {
    const value = c[field];
    if (value !== null && limit !== null && value > limit + EPS)
      fault(field, value, `at most ${name} = ${limit}`, words);
  };
  if (c.family === 'ball') {
    if (c.RE !== null && Math.abs(c.RE - c.DC / 2) > 1e-6)
      fault('RE', c.RE, `DC/2 = ${c.DC / 2}`, "a ball cutter's radius is half its diameter");
  } else if (c.family === 'square') {
    if (c.RE !== null && c.RE > 0)
      fault('RE', c.RE, '0', 'a square end mill has no corner radius; choose corner-radius');
  } else if (c.family === 't-slot') {
    within('RE', c.CW === null ? null : c.CW / 2, 'CW/2', 'a corner radius cannot exceed half the width');
  } else if (c.family === 'high-feed') {
    // Its radius is the flat arc of the edge, larger than the cutter: only its place is bound.
  } else {
    within('RE', c.DC / 2, 'DC/2', 'a corner radius cannot exceed half the diameter');
  }
  if (c.family === 'corner-radius' && c.RE === 0)
    fault('RE', c.RE, 'more than 0', 'a corner-radius cutter has one; without, it is a square end mill');
  within('LCF', c.OAL, 'OAL', 'the flutes cannot be longer than the cutter');
  within('LU', c.OAL, 'OAL', 'flutes and neck cannot be longer than the cutter');
  within('APMX', c.LCF, 'LCF', 'the depth of cut cannot exceed the flutes');
  within('CW', c.OAL, 'OAL', 'the teeth cannot be wider than the cutter is long');
  if (c.LU !== null && c.LCF !== null && c.LU < c.LCF - EPS)
    fault('LU', c.LU, `at least LCF = ${c.LCF}`, 'the usable length holds the flutes and the neck');
  if (c.DN !== null) {
    const edge = neckEdge(c);
    if (edge !== null && c.DN > edge + EPS)
      fault(
        'DN',
        c.DN,
        `at most ${round3(edge)}`,
        'the neck cannot be thicker than the cutter where it meets the edge',
      );
  }
  if (c.DCX !== null && c.DCX < c.DC - EPS)
    fault('DCX', c.DCX, `at least DC = ${c.DC}`, 'the largest diameter cannot be smaller than DC');
  within('DCN', c.DC, 'DC', 'the tip cannot be wider than the cutter');
  if (c.KAPR !== null && c.family === 'dovetail' && c.LCF !== null && c.KAPR < 90) {
    const top = c.DC / 2 - c.LCF / Math.tan((c.KAPR * Math.PI) / 180);
    if (top <= 0)
      fault('LCF', c.LCF, 'less than DC/2 · tan KAPR', 'the flanks would meet before the flutes end');
  }
  if (c.NOF !== null && !Number.isInteger(c.NOF)) fault('NOF', c.NOF, 'a whole number', 'flutes are counted');
  return faults;
}

/** Diameter of the cutting part where a neck would begin, mm; null where a fact for it is missing. */
function neckEdge(c: CutterGeometry): number | null {
  const slope = (deg: number) => Math.tan((deg * Math.PI) / 180);
  if (c.family === 'tapered')
    return c.TAPER === null || c.LCF === null ? null : c.DC + 2 * c.LCF * slope(c.TAPER);
  if (c.family === 'dovetail')
    return c.KAPR === null || c.LCF === null ? null : c.DC - (2 * c.LCF) / slope(c.KAPR);
  if (c.family === 'high-feed') return c.DCX;
  return c.DC;
}
const round3 = (n: number) => Math.round(n * 1000) / 1000;

/**
 * Figures that can be true but seldom are: asked about, never refused. mm and degrees; common practice.
 * Example: DC 10 with DMM 32 is asked about; so is a drill of 30 degrees.
 */
export function questionCutter(c: CutterGeometry): GeometryFault[] {
  const asked: GeometryFault[] = [];
  const ask = (field: CutterSymbol, when: boolean, limit: string, words: string) => {
    if (when) asked.push({ field, value: c[field]!, limit, words });
  };
  const widest = c.DCX ?? c.DC;
  ask(
    'LCF',
    c.LCF !== null && c.LCF > 12 * c.DC && familySpec(c.family).mills,
    '12 DC',
    'very long flutes for an end mill',
  );
  ask(
    'LCF',
    c.LCF !== null && c.LCF < 0.2 * c.DC && !['face', 'high-feed', 't-slot', 'dovetail'].includes(c.family),
    '0.2 DC',
    'very short flutes',
  );
  ask(
    'DMM',
    c.DMM !== null && c.DMM > 3 * widest && c.DC > 3,
    '3 DC',
    'the shank is far thicker than the cutter',
  );
  ask(
    'DMM',
    c.DMM !== null && c.DMM < 0.3 * widest && !['face', 't-slot', 'high-feed'].includes(c.family),
    '0.3 DC',
    'the shank is far thinner than the cutter',
  );
  ask(
    'OAL',
    c.OAL !== null && c.OAL < 2 * widest && c.family !== 'face',
    '2 DC',
    'very short for its diameter',
  );
  ask('OAL', c.OAL !== null && c.OAL > 50 * c.DC, '50 DC', 'very long for its diameter');
  ask(
    'NOF',
    c.NOF !== null && c.NOF > 2 && c.family === 'drill' && c.NOF > 3,
    '2 or 3',
    'many flutes for a drill',
  );
  ask('NOF', c.NOF !== null && c.DC < 3 && c.NOF > 6, '6', 'many flutes for so small a cutter');
  ask(
    'SIG',
    c.SIG !== null && c.family === 'drill' && (c.SIG < 90 || c.SIG > 180),
    '90 to 180',
    'an unusual drill point',
  );
  ask(
    'TAPER',
    c.TAPER !== null && c.TAPER > 30,
    '30 degrees',
    'a steep taper per side: is it the included angle?',
  );
  return asked;
}
