import { familySpec } from '../cutters';
import { countsAs, freeFor } from '../stock';
import type { Availability, Candidate, Choice } from './candidate';
import { FEATURES, type Cut } from './cut';
import { featureRules } from './featureRules';
import { materialRules } from './materials';
import { reasonsFor } from './reasons';
import type { ChoosingRules } from './rules';
import { EPS, mm, Verdict } from './verdict';

/**
 * Whether a cutter can do a cut, by how much it fails, and what speaks for it. mm and degrees. Rules are plane geometry
 * and common practice; a missing fact leaves a question open and never passes for a good one.
 * Example: LCF 7.7 without a neck for a wall of 10 fails: 'flutes 2.3 mm short'.
 */
export function judgeCandidate(cut: Cut, c: Candidate, rules: ChoosingRules): Choice {
  const v = new Verdict();
  if (!familySpec(c.cutter.family).cuts.includes(cut.feature))
    v.fails.push(`a ${familySpec(c.cutter.family).words} does not cut ${FEATURES[cut.feature].words}`);
  if (c.standing === 'rejected') v.fails.push('not to be used here');
  featureRules(cut, c, v);
  materialRules(cut, c, v);
  const reasons = reasonsFor(cut, c, rules);
  const graded = usableGraded(cut, c);
  // The holder begins where the cutter stands out no further: it must stay above the wall.
  const short = (b: Candidate['built'][number]) => cut.depth !== null && b.stickoutMm < cut.depth - EPS;
  const built = c.built.filter((b) => !short(b)).map((b) => b.tag);
  const kept = freeFor(c.unused, c.reserved);
  const availability: Availability =
    kept.free > 0
      ? 'on hand'
      : graded.length
        ? 'graded'
        : built.length
          ? 'built'
          : c.unused > 0
            ? 'reserved'
            : 'to buy';
  return {
    code: c.code,
    words: c.words,
    availability,
    take: availability === 'graded' ? graded.map((g) => g.mark) : availability === 'built' ? built : [],
    shortBuilds: c.built
      .filter(short)
      .map(
        (b) =>
          `${b.tag} stands out ${mm(b.stickoutMm)}: its holder is ${mm((cut.depth ?? 0) - b.stickoutMm)} in the work`,
      ),
    reserved: kept.words,
    fails: v.fails,
    open: v.open,
    reasons,
    score: reasons.reduce((sum, r) => sum + r.points, 0) - v.open.length,
  };
}

/** Graded pieces that still do for this cut: made for its material, good over its depth. */
function usableGraded(cut: Cut, c: Candidate): Candidate['graded'] {
  return c.graded.filter(
    (g) =>
      countsAs(g, cut.group).as === 'graded' &&
      (g.goodTo === null || cut.passDepth === null || g.goodTo >= cut.passDepth - EPS),
  );
}
const TIER: Record<Availability, number> = { 'on hand': 0, graded: 1, built: 2, reserved: 3, 'to buy': 4 };

/**
 * Cutters for a cut, the best first: on hand, then graded, then built, then to buy; within each by the shop's weights.
 * Those that fail come after, the nearest miss first. Example: two that fit, one on hand: that one leads.
 */
export function chooseCutters(
  cut: Cut,
  candidates: readonly Candidate[],
  rules: ChoosingRules,
): { fit: Choice[]; rejected: Choice[] } {
  const all = candidates.map((c) => judgeCandidate(cut, c, rules));
  const by = (a: Choice, b: Choice) =>
    b.score - a.score || a.code.localeCompare(b.code, 'en', { numeric: true });
  return {
    fit: all
      .filter((c) => !c.fails.length)
      .sort((a, b) => TIER[a.availability] - TIER[b.availability] || by(a, b)),
    rejected: all.filter((c) => c.fails.length).sort((a, b) => a.fails.length - b.fails.length || by(a, b)),
  };
}
