import { last } from '../sure';
import { cutterOutline } from './cutterOutline';
import { type OutlinePoint } from './families';
import { GEOMETRY_SYMBOLS } from './figures';
import type { CutterGeometry, HolderGeometry } from './geometry';
import { factsOf, type ItemKind } from './kinds';
import type { FactSymbol } from './symbols';

/** A fact as it stands on a drawing; z from the tip (of a holder from its gauge line), r from the axis, mm. */
export type Dimension = { symbol: FactSymbol; value: number | null } & (
  | { runs: 'along'; from: number; to: number }
  | { runs: 'across'; z: number; r: number }
  /** A radius or an angle: what it points at. */
  | { runs: 'to'; z: number; r: number }
);

/** A drawing with what stands on it; `length` is how far it goes along the axis. */
export interface Dimensioned {
  body: OutlinePoint[];
  edge: OutlinePoint[];
  length: number;
  widest: number;
  dimensions: Dimension[];
}

/** How long a cutter is drawn: its overall length, or a rule of thumb where it is not known. */
export const drawnLength = (c: CutterGeometry): number =>
  c.OAL ?? Math.max(c.DC * 6, (c.LCF ?? 0) * 1.8, (c.LU ?? 0) * 1.4);

/** The radius of an outline at a height; at a step the larger one. */
function radiusAt(points: readonly OutlinePoint[], z: number): number {
  let r = points[0]?.r ?? 0;
  for (const [i, b] of points.entries()) {
    const a = points[i - 1];
    if (!a) continue;
    if (z < a.z) break;
    if (z <= b.z) r = b.z === a.z ? Math.max(a.r, b.r) : a.r + ((b.r - a.r) * (z - a.z)) / (b.z - a.z);
    else r = b.r;
  }
  return r;
}
/** The lowest height at which an outline has a radius; its top where it never has. */
const heightOf = (points: readonly OutlinePoint[], r: number): number =>
  (points.find((p) => p.r >= r - 1e-6) ?? last(points)).z;

/**
 * A cutter's drawing with every fact of its shape on it: where each runs, known or not. What is not known is placed where
 * the outline was drawn by a rule of thumb. mm and degrees. Facts that have no place on a figure (flutes, ramp limit) are
 * not among them. Example: LCF 22 of a square mill runs along from 0 to 22.
 */
export function dimensionsOf(kind: ItemKind, c: CutterGeometry): Dimensioned {
  const length = drawnLength(c);
  const { flute, shank } = cutterOutline(c, length);
  const top = last(flute).z;
  const whole = [...flute, ...shank];
  const asked = factsOf(kind, c.family);
  // What can be set wider than it is drawn (a boring head) takes its room all the same.
  const widest = Math.max((c.DCX ?? 0) / 2, ...whole.map((p) => p.r));
  const along = (symbol: FactSymbol, value: number | null, drawn: number): Dimension => ({
    symbol,
    value,
    runs: 'along',
    from: 0,
    to: Math.min(value ?? drawn, length),
  });
  const across = (symbol: FactSymbol, value: number | null, z: number, r: number): Dimension => ({
    symbol,
    value,
    runs: 'across',
    z,
    r: value === null ? r : value / 2,
  });
  const pointing = (symbol: FactSymbol, value: number | null, z: number): Dimension => ({
    symbol,
    value,
    runs: 'to',
    z,
    r: radiusAt(flute, z),
  });
  const corner = heightOf(flute, c.DC / 2);
  const neckTop = Math.min(length, Math.max(c.LU ?? 0, top + 0.2 * (length - top)));
  const place: Partial<Record<FactSymbol, () => Dimension>> = {
    DC: () => across('DC', c.DC, corner, c.DC / 2),
    DCX: () => across('DCX', c.DCX, heightOf(flute, widest), widest),
    DCN: () => across('DCN', c.DCN, 0, 0),
    DN: () => across('DN', c.DN, (top + neckTop) / 2, Math.min(c.DC, c.DMM ?? c.DC) / 2),
    BHTA1: () => ({
      symbol: 'BHTA1',
      value: c.BHTA1,
      runs: 'to',
      z: top + 0.8 * (neckTop - top),
      r: (c.DN ?? Math.min(c.DC, c.DMM ?? c.DC)) / 2,
    }),
    DMM: () => across('DMM', c.DMM, length - 0.18 * (length - top), c.DC / 2),
    LCF: () => along('LCF', c.LCF, top),
    APMX: () => along('APMX', c.APMX, top / 2),
    CW: () => along('CW', c.CW, top),
    SDL: () => along('SDL', c.SDL, top / 2),
    LU: () => along('LU', c.LU, neckTop),
    OAL: () => along('OAL', c.OAL, length),
    RE: () => pointing('RE', c.RE, 0.3 * (c.RE ?? 0)),
    PRFRAD: () => pointing('PRFRAD', c.PRFRAD, 0.7 * top),
    SIG: () => pointing('SIG', c.SIG, corner / 2),
    KAPR: () => pointing('KAPR', c.KAPR, 0.5 * Math.min(top, c.APMX ?? top)),
    TAPER: () => pointing('TAPER', c.TAPER, 0.7 * top),
    STA: () => pointing('STA', c.STA, heightOf(flute, c.DC / 2 + 0.5 * (widest - c.DC / 2))),
  };
  const dimensions = GEOMETRY_SYMBOLS.filter((s) => asked.includes(s)).flatMap((s) => place[s]?.() ?? []);
  return { edge: flute, body: shank, length, widest: 2 * widest, dimensions };
}

/** The symbols that stand on a cutter's figure. Example: NOF of a square mill is none of them. */
export const onFigure = (kind: ItemKind, c: CutterGeometry): readonly FactSymbol[] =>
  dimensionsOf(kind, c).dimensions.map((d) => d.symbol);

/**
 * A holder's drawing from its gauge line to its face, and the bore it grips in: what it takes, how deep a shank goes, how
 * much it must grip. mm. Example: LF 60 runs along from 0 to 60, GRIP_MIN 20 from 40 to 60.
 */
export function holderDimensions(h: HolderGeometry): Dimensioned {
  const wide = (h.CLAMP_MAX ?? 20) * 2;
  const segments = h.segments.length ? h.segments : [{ length: h.LF, upper: wide, lower: wide }];
  let z = 0;
  const body = segments.flatMap((s) => {
    const points = [
      { z, r: s.upper / 2 },
      { z: z + s.length, r: s.lower / 2 },
    ];
    z += s.length;
    return points;
  });
  const bore = (h.CLAMP_MAX ?? wide / 2) / 2;
  const deep = Math.min(h.DEPTH_MAX ?? 0.6 * h.LF, h.LF);
  const fromFace = (symbol: FactSymbol, value: number | null, drawn: number): Dimension => ({
    symbol,
    value,
    runs: 'along',
    from: h.LF - Math.min(value ?? drawn, h.LF),
    to: h.LF,
  });
  return {
    body,
    edge: [
      { z: h.LF - deep, r: bore },
      { z: h.LF, r: bore },
    ],
    length: h.LF,
    widest: Math.max(...segments.flatMap((s) => [s.upper, s.lower])),
    dimensions: [
      { symbol: 'LF', value: h.LF, runs: 'along', from: 0, to: h.LF },
      fromFace('DEPTH_MAX', h.DEPTH_MAX, deep),
      fromFace('GRIP_MIN', h.GRIP_MIN, deep / 2),
      { symbol: 'CLAMP_MAX', value: h.CLAMP_MAX, runs: 'across', z: h.LF, r: bore },
      {
        symbol: 'CLAMP_MIN',
        value: h.CLAMP_MIN,
        runs: 'across',
        z: h.LF - 0.35 * deep,
        r: (h.CLAMP_MIN ?? bore) / 2,
      },
    ],
  };
}
/** The symbols that stand on a holder's figure. */
export const ON_HOLDER: readonly FactSymbol[] = ['LF', 'DEPTH_MAX', 'GRIP_MIN', 'CLAMP_MAX', 'CLAMP_MIN'];
