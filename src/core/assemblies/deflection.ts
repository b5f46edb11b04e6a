import type { Figure } from '../because';
import { type CutterGeometry, neckDiameter } from '../cutters';
import { addsLength } from './holdsAs';
import { type CutterDetails, isSeated, type Part } from './parts';

/** N/mm². Carbide, and steels whether high-speed or of extensions; from memory. */
const MODULUS: Record<string, number> = {
  carbide: 600_000,
  HSS: 210_000,
  'cobalt HSS': 210_000,
  steel: 210_000,
};
/** A fluted part bends as a cylinder of so much of DC. Kops and Vo 1990, from memory. */
const FLUTED = 0.8;

/** A piece of what stands out, from the tip up: mm and N/mm². */
interface Section {
  to: number;
  D: number;
  E: number;
}

/**
 * Unit-load integral of a stepped cantilever, mm at its free end per N at `at` from there: Σ ∫ (x − at) x dx / E I, which is
 * Σ (b³ − a³) / 3 E I for a force at the end itself.
 */
const bends = (sections: readonly Section[], at = 0): number => {
  let from = at;
  let sum = 0;
  for (const { to, D, E } of sections) {
    if (to > from)
      sum += ((to ** 3 - from ** 3) / 3 - (at * (to ** 2 - from ** 2)) / 2) / (E * (Math.PI / 64) * D ** 4);
    from = Math.max(from, to);
  }
  return sum;
};

/** The cutter's own sections up to where it is gripped. */
function cutterSections(c: CutterGeometry, E: number, stickout: number): Section[] {
  const cut = Math.max(c.DC, c.DCX ?? 0);
  const flute = Math.min(stickout, c.LCF ?? stickout);
  const neck = Math.min(stickout, Math.max(flute, c.DN === null ? 0 : (c.LU ?? 0)));
  return [
    { to: flute, D: FLUTED * cut, E },
    { to: neck, D: neckDiameter(c, flute) ?? FLUTED * cut, E },
    { to: stickout, D: c.DMM ?? cut, E },
  ];
}

/**
 * Side deflection at the tip under a stated force, mm, and the stiffness as a share of that of the same cutter at 3 x D
 * without extensions. A stepped cantilever by unit-load integral, flutes as 0.8 D; extensions as steel of their outline.
 * Holder and spindle give way too: the figure is a lower bound. null where the substrate, or the form of an extension, is
 * not known, and for what is seated. Example: carbide, DC 10 with LCF 22, 40 out, 100 N: 0.009.
 */
export function deflection(
  c: CutterGeometry,
  details: CutterDetails,
  parts: readonly Part[],
  stickout: number,
  force: number,
  /** How far from the tip it pulls, mm. */
  from = 0,
): { tip: Figure<number | null>; stiffness: number | null } {
  const body = details.RPM_MAX !== undefined;
  const E = MODULUS[body ? 'steel' : (details.SUBSTRATE ?? '')];
  const extensions = parts.filter((p) => p.kind === 'extension').toReversed();
  const seated = isSeated(details.SHANK);
  const unknown = [
    ...(E === undefined ? ['substrate'] : []),
    ...extensions
      .filter((p) => addsLength(p) === null || (!p.segments.length && p.DMM === null))
      .map((p) => p.code),
  ];
  const because = {
    words: unknown.length
      ? `Cannot say: ${unknown.join(', ')} not known`
      : seated
        ? 'Cannot say: what sits on an arbor or is screwed in bends less than what holds it'
        : 'At least: holder and spindle give way too. Flutes bend as a cylinder of 0.8 D',
    formula: 'F Σ (xᵢ³ − xᵢ₋₁³) / 3 E I, I = π D⁴ / 64',
    values: [
      { name: 'side force', value: `${force} N` },
      { name: 'stickout', value: `${Math.round(stickout * 100) / 100} mm` },
      ...(from > 0 ? [{ name: 'pulls from the tip', value: `${Math.round(from * 100) / 100} mm` }] : []),
      {
        name: 'E',
        value: E === undefined ? 'not known' : `${E / 1000} GPa`,
        source: details.SUBSTRATE ?? undefined,
      },
    ],
  };
  if (E === undefined || unknown.length || seated)
    return { tip: { value: null, because, assumed: [] }, stiffness: null };
  const sections = cutterSections(c, E, stickout);
  let at = stickout;
  for (const part of extensions) {
    const length = addsLength(part) ?? 0;
    const drawn = part.setOut === null ? part.segments.toReversed() : [];
    const around = drawn.length ? drawn : [{ length, upper: part.DMM ?? 0, lower: part.DMM ?? 0 }];
    for (const s of around) {
      at += s.length;
      sections.push({ to: at, D: Math.min(s.upper, s.lower), E: 210_000 });
    }
  }
  const now = bends(sections);
  return {
    tip: { value: force * bends(sections, Math.min(from, stickout)), because, assumed: [] },
    stiffness: bends(cutterSections(c, E, 3 * c.DC)) / now,
  };
}
