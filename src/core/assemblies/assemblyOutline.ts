import { cutterOutline, type CutterGeometry, type HolderGeometry, type OutlinePoint } from '../cutters';

/** A half outline hung from the gauge line: z counts downwards from it, r from the axis, mm. */
export interface AssemblyOutline {
  holder: OutlinePoint[];
  shank: OutlinePoint[];
  flute: OutlinePoint[];
  /** Where the flutes end is not known. */
  openEnd: boolean;
  /** Where the drawing ends: gauge length, measured or expected. */
  length: number;
  widest: number;
  assumed: { of: 'cutter' | 'holder'; symbol: string; words: string }[];
}

/**
 * An assembly's half outline from the gauge line (z = 0) down to the tip, to be mirrored about the axis. mm.
 * `length` is the measured gauge length where there is one, else expected; the cutter hangs from the tip up,
 * so a measured length shows itself. A holder without an outline is drawn as one cylinder and says so.
 * Example: LF 60, stickout 34, no measurement: tip at z = 94.
 */
export function assemblyOutline(
  cutter: CutterGeometry,
  holder: HolderGeometry,
  stickout: number,
  length: number = holder.LF + stickout,
): AssemblyOutline {
  const assumed: AssemblyOutline['assumed'] = [];
  const segments = holder.segments.length
    ? holder.segments
    : [{ length: holder.LF, upper: (holder.CLAMP_MAX ?? 20) * 2, lower: (holder.CLAMP_MAX ?? 20) * 2 }];
  if (!holder.segments.length)
    assumed.push({
      of: 'holder',
      symbol: 'outline',
      words: 'holder outline not known: drawn as a cylinder',
    });
  let z = 0;
  const drawn: OutlinePoint[] = [];
  for (const s of segments) {
    drawn.push({ z, r: s.upper / 2 }, { z: z + s.length, r: s.lower / 2 });
    z += s.length;
  }
  const shown = cutterOutline(cutter, Math.max(stickout, length - holder.LF));
  const hang = (points: OutlinePoint[]) => points.map((p) => ({ z: length - p.z, r: p.r })).reverse();
  return {
    holder: drawn,
    shank: hang(shown.shank),
    flute: hang(shown.flute),
    openEnd: shown.openEnd,
    length,
    widest: 2 * Math.max(widestOf(drawn), widestOf(shown.flute), widestOf(shown.shank)),
    assumed: [...assumed, ...shown.assumed.map((a) => ({ of: 'cutter' as const, ...a }))],
  };
}

/** The largest radius of some points, mm; 0 for none. */
const widestOf = (points: readonly OutlinePoint[]): number => points.reduce((r, p) => (p.r > r ? p.r : r), 0);
