import type { Figure } from '../because';
import {
  cutterOutline,
  type CutterGeometry,
  type HolderGeometry,
  type OutlinePoint,
  readTaper,
} from '../cutters';
import { type CutterDetails, type HolderDetails, isSeated, type Part } from './parts';

/** g/cm³. Steel and high-speed steel by handbook, carbide of 10 % cobalt; from memory. */
const DENSITY: Record<string, number> = { steel: 7.85, carbide: 14.5, HSS: 8.1, 'cobalt HSS': 8.1 };

/** Lengths of the 7:24 cones from the gauge line up, mm. ISO 7388-1, from memory. */
const CONES: Record<string, number> = { '30': 47.8, '40': 68.4, '45': 82.7, '50': 101.75, '60': 161.9 };

/**
 * Volume a half outline sweeps about the axis, mm³: frustums between its points. Empty for less than two points.
 * Example: a cylinder of radius 5 and length 10: 785.398.
 */
export const revolvedVolume = (points: readonly OutlinePoint[]): number =>
  points.slice(1).reduce((sum, p, i) => {
    const before = points[i] ?? p;
    return (
      sum + (Math.PI / 3) * Math.abs(p.z - before.z) * (p.r * p.r + p.r * before.r + before.r * before.r)
    );
  }, 0);

const segmentsVolume = (segments: HolderGeometry['segments']): number =>
  segments.reduce(
    (sum, s) =>
      sum +
      revolvedVolume([
        { z: 0, r: s.upper / 2 },
        { z: s.length, r: s.lower / 2 },
      ]),
    0,
  );

const kgOf = (mm3: number, density: number): number => (mm3 * density) / 1e6;

export interface Weight extends Figure {
  /** Something is not counted, each named in the reason: it weighs more than this. */
  atLeast: boolean;
}

/**
 * Weight of a build, kg: what is stated of a part, else its outline turned about the axis times a density, flutes and
 * bores taken as full; the shank in the bore counts as what it is made of. The 7:24 cone above the gauge line is counted,
 * other spindle sides are not. What is neither stated nor drawn is not counted, is named, and makes it 'at least'.
 * Example: carbide of 10 x 72 alone: 0.082 kg.
 */
export function weightOf(build: {
  cutter: CutterGeometry;
  holder: HolderGeometry;
  stickout: number;
  parts: readonly Part[];
  details: { cutter: CutterDetails; holder: HolderDetails };
}): Weight {
  const { cutter: c, holder, parts, details, stickout } = build;
  const missing: string[] = [];
  const values: Figure['because']['values'] = [];
  let sum = 0;
  const count = (name: string, kg: number | null, source: string) => {
    values.push({ name, value: kg === null ? 'not counted' : `${kg.toFixed(3)} kg`, source });
    if (kg === null) missing.push(name);
    else sum += kg;
  };
  const outlined = holder.segments.length > 0;
  const stated = details.holder.WT;
  if (stated !== null) count(details.holder.code, stated, 'stated');
  else
    count(
      `${details.holder.code}, below the gauge line`,
      outlined ? kgOf(segmentsVolume(holder.segments), 7.85) : null,
      'outline × 7.85 g/cm³',
    );
  if (stated === null) {
    const taper = details.holder.CCMS === null ? null : readTaper(details.holder.CCMS);
    const length = taper?.cone === '7:24' ? CONES[taper.size] : undefined;
    const D = taper?.gauge ?? null;
    const cone =
      length === undefined || D === null
        ? null
        : revolvedVolume([
            { z: 0, r: D / 2 },
            { z: length, r: (D - (length * 7) / 24) / 2 },
          ]);
    count('its spindle side', cone && kgOf(cone, 7.85), 'cone of ISO 7388-1 × 7.85 g/cm³');
  }
  for (const part of parts) {
    if (part.WT !== null) count(part.code, part.WT, 'stated');
    else if (part.kind === 'extension')
      count(
        part.code,
        part.segments.length ? kgOf(segmentsVolume([...part.segments]), 7.85) : null,
        'outline × 7.85 g/cm³',
      );
    // A solid outline of the holder has the collet in it.
    else if (part.kind !== 'collet' || stated !== null) count(part.code, null, 'not stated');
  }
  const carrier = parts.findLast((p) => p.kind === 'extension');
  const inSteel = carrier ? carrier.WT === null && carrier.segments.length > 0 : stated === null && outlined;
  countCutter(c, details.cutter, stickout, inSteel, count);
  return {
    value: sum,
    atLeast: missing.length > 0,
    assumed: [],
    because: {
      words: missing.length
        ? `At least: ${missing.join(', ')} not counted`
        : 'What is stated of a part, else its outline turned about the axis; flutes and bores taken as full',
      formula: 'Σ π h (r₁² + r₁ r₂ + r₂²) / 3 × density',
      values,
    },
  };
}

/**
 * Weight of a whole cutter, kg, and by what: as stated, else its outline turned about the axis times the density of its
 * substrate, flutes and bores taken as full, so that it weighs no more. `out`: as far as it stands out of what carries it,
 * where it sits by a bore or thread. null: its substrate has no density here. Example: carbide of 10 x 72: 0.082 kg.
 */
export function cutterKg(
  c: CutterGeometry,
  details: CutterDetails,
  out = 0,
): { kg: number | null; by: string; density: number | null } {
  if (details.WT !== null) return { kg: details.WT, by: 'stated', density: null };
  const body = details.RPM_MAX !== undefined;
  const density = DENSITY[body ? 'steel' : (details.SUBSTRATE ?? '')];
  if (density === undefined) return { kg: null, by: 'substrate not known', density: null };
  const whole = isSeated(details.SHANK) ? out : Math.max(out, c.OAL ?? 0);
  const outline = cutterOutline(c, whole);
  return {
    kg: kgOf(revolvedVolume([...outline.flute, ...outline.shank]), density),
    by: `outline × ${density} g/cm³`,
    density,
  };
}

function countCutter(
  c: CutterGeometry,
  details: CutterDetails,
  stickout: number,
  /** The bore of what carries it was counted as full of steel. */
  inSteel: boolean,
  count: (name: string, kg: number | null, source: string) => void,
): void {
  const name = 'cutter';
  const { kg, by, density } = cutterKg(c, details, stickout);
  if (kg === null || density === null) return count(name, kg, by);
  const whole = isSeated(details.SHANK) ? stickout : Math.max(stickout, c.OAL ?? 0);
  const gripped = Math.max(0, whole - stickout);
  const displaced = inSteel ? kgOf((Math.PI / 4) * (c.DMM ?? c.DC) ** 2 * gripped, 7.85) : 0;
  count(name, kg - displaced, `${by}${displaced ? ', less the steel its shank takes the place of' : ''}`);
}
