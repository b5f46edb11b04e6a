import { familySpec } from './families';
import type { CutterGeometry } from './geometry';

/** What regrinding a cutter is judged by; null is 'not known'. */
interface RegrindFacts {
  cutter: CutterGeometry;
  /** Times it was reground. */
  regrinds: number;
  /** How often it may be, by its maker or the shop. */
  limit: number | null;
  /** Least diameter it may come down to, mm. */
  dcMin: number | null;
  /** Present diameter, mm. */
  dc: number | null;
  costCents: number | null;
  priceCents: number | null;
}

/**
 * Why a cutter had better not be reground; empty when nothing speaks against it. Common practice: no further than its
 * limits, and not where it costs more than 60 % of a new one. Inserts are turned, not reground.
 * Example: 2 regrinds of at most 2: 'reground 2 times of at most 2'.
 */
export function againstRegrind(f: RegrindFacts): string[] {
  const against: string[] = [];
  if (f.limit !== null && f.regrinds >= f.limit)
    against.push(`reground ${f.regrinds} times of at most ${f.limit}`);
  if (f.dcMin !== null && f.dc !== null && f.dc <= f.dcMin + 1e-9)
    against.push(`down to ${f.dc} mm, the least is ${f.dcMin} mm`);
  const share = regrindShare(f.costCents, f.priceCents);
  if (share !== null && share > REGRIND_SHARE)
    against.push(`a regrind costs ${Math.round(share * 100)} % of a new one`);
  const never = familySpec(f.cutter.family).againstRegrind;
  if (never) against.push(never);
  return against;
}

/** Share of a new one's price above which regrinding is not worth it (common practice). */
const REGRIND_SHARE = 0.6;

/** What a regrind costs against a new one; null where either is not known. Example: 900 of 3000 cents -> 0.3. */
export const regrindShare = (costCents: number | null, priceCents: number | null): number | null =>
  costCents === null || priceCents === null || priceCents === 0 ? null : costCents / priceCents;

/**
 * A piece's geometry as it is now: what was measured when it came back, in place of the catalogue's; null leaves the
 * catalogue's. What the flutes lost in length the whole cutter lost. mm.
 * Example: a drill of OAL 130, LCF 80 that came back with LCF 76 is 126 long.
 */
export function regroundGeometry(
  c: CutterGeometry,
  back: { dc: number; lcf: number } | null,
): CutterGeometry {
  if (back === null) return c;
  const lost = c.LCF === null ? null : Math.max(0, c.LCF - back.lcf);
  return {
    ...c,
    DC: back.dc,
    LCF: back.lcf,
    OAL: c.OAL === null || lost === null ? null : c.OAL - lost,
    LU: c.LU === null || lost === null ? null : c.LU - lost,
    // A ball's radius is half its diameter; another corner's is only known again when it is measured.
    RE: familySpec(c.family).tip === 'ball' ? back.dc / 2 : c.RE === null || c.RE === 0 ? c.RE : null,
    DCX: null,
  };
}
