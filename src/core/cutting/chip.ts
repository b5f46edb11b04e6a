/**
 * How thick a chip is. Circular-arc approximation of peripheral milling, h(φ) = fz sin φ (Martellotti 1941; Altintas,
 * Manufacturing Automation; from memory). Lengths mm, angles degrees at the door and radians inside.
 */

const rad = (deg: number) => (deg * Math.PI) / 180;

/** The chip of one tooth over its way through the material. */
export interface Chip {
  /** Angle over which a tooth cuts, degrees: 180 where the cutter stands in the full width. */
  arc: number;
  /** Where it is thickest, mm. */
  max: number;
  /** Mean over the arc, mm. */
  mean: number;
}

/**
 * Chip of a tooth that is fed fz at a width ae from the side of a cutter of diameter D, mm; `kapr`: cutting edge angle,
 * degrees (90 on a straight flute). At ae < D / 2 it is thinner than fz; from there on it is fz sin KAPR. null where the
 * width is not in 0 < ae <= D. Example: D 10, ae 2, fz 0.05 -> 53.13 degrees, 0.04, 0.0216.
 */
export function chipOf(D: number, ae: number, fz: number, kapr = 90): Chip | null {
  if (!(D > 0 && ae > 0 && ae <= D && fz > 0 && kapr > 0 && kapr <= 90)) return null;
  const share = ae / D;
  const phi = Math.acos(1 - 2 * share);
  const inclined = fz * Math.sin(rad(kapr));
  return {
    arc: (phi * 180) / Math.PI,
    max: share < 0.5 ? 2 * inclined * Math.sqrt(share * (1 - share)) : inclined,
    mean: (2 * inclined * share) / phi,
  };
}

/**
 * Feed a tooth that makes the thickest chip as thick as h, mm; null where the width is not in 0 < ae <= D. In a slot it is
 * never more than h / sin KAPR. Example: D 10, ae 2, h 0.05 -> 0.0625.
 */
export function feedForChip(D: number, ae: number, h: number, kapr = 90): number | null {
  const chip = chipOf(D, ae, 1, kapr);
  return chip && h > 0 ? h / chip.max : null;
}

/** Chip of a drill's edge, mm: h = (f / 2) sin(SIG / 2), f the feed a turn. Example: f 0.2, SIG 118 -> 0.0857. */
export const drillChip = (feedATurn: number, pointAngle: number): number =>
  (feedATurn / 2) * Math.sin(rad(pointAngle / 2));

/**
 * How a cutter of diameter D meets an inside corner of radius R of the wall that it leaves, where it takes ae off the
 * straight wall: the arc over which a tooth cuts there, degrees, and the width that has the same arc on a straight wall, mm.
 * The wall before it is taken as one circle with it, ae inside. null where the cutter does not go into the corner (R <= D/2)
 * or the width is not in 0 < ae <= D. Plane geometry: cos φ = ((R − ae)² − e² − r²) / (2 e r), r = D/2, e = R − r, φ from
 * the wall; at a large R it is that of the straight wall. Example: D 10, ae 1, R 6 -> 95.7 degrees, as 5.5 mm wide.
 */
export function inCorner(D: number, ae: number, R: number): { arc: number; width: number } | null {
  const r = D / 2;
  const e = R - r;
  if (!(D > 0 && ae > 0 && ae <= D && e > 0)) return null;
  const before = R - ae;
  // From before so small that it lies within the cutter's own way: it cuts all round.
  const cos = before <= 0 ? -1 : (before * before - e * e - r * r) / (2 * e * r);
  const phi = Math.acos(Math.min(1, Math.max(-1, cos)));
  return { arc: (phi * 180) / Math.PI, width: r * (1 - Math.cos(phi)) };
}

/**
 * What a cutter's centre is fed at where its edge goes round inside a bore, mm/min: Vf (Db − D) / Db. The programmed feed
 * is the centre's. null where it does not go in. Example: 400 at the edge, D 10 in a bore of 25 -> 240.
 */
export const centreFeed = (vf: number, D: number, bore: number): number | null =>
  bore > D && D > 0 ? (vf * (bore - D)) / bore : null;
