import {
  familySpec,
  holeLimits,
  reach,
  readThread,
  reamerLimits,
  reamerState,
  type CutterGeometry,
} from '../cutters';
import { FEATURES, isRough, type Cut } from './cut';
import type { ChoosingRules, Reason } from './rules';

/** A cutter as far as choosing needs it. */
export interface Candidate {
  code: string;
  words: string;
  cutter: CutterGeometry;
  indexable: boolean;
  substrate: string | null;
  coating: string | null;
  centreCutting: boolean | null;
  thread: string | null;
  /** Whether a tap forms; null: not known, or no tap. */
  forming: boolean | null;
  cls: string | null;
  /** A reamer's measured diameter. */
  measured: number | null;
  standing: 'approved' | 'trial' | 'discontinued' | 'rejected' | null;
  /** A newer version follows it. */
  followed: boolean;
  guesses: readonly string[];
  unused: number;
  /** Tags of builds it stands in. */
  built: readonly string[];
  /** Used pieces in the crib with what they are graded for. */
  graded: readonly { mark: string; grade: string; groups: readonly string[]; goodTo: number | null }[];
  priceCents: number | null;
}

export type Availability = 'on hand' | 'graded' | 'built' | 'to buy';

/** What was found of one candidate. */
export interface Choice {
  code: string;
  words: string;
  availability: Availability;
  /** What of it can be taken: places of stock, marks, tags. */
  take: string[];
  /** Why it can't: each with by how much. Empty: it fits. */
  fails: string[];
  /** What could not be judged, since a fact is missing. */
  open: string[];
  reasons: { reason: Reason; words: string; points: number }[];
  score: number;
}

const EPS = 1e-6;
const mm = (n: number) => `${Math.round(n * 1000) / 1000} mm`;

/** Collects what speaks against a candidate. */
class Verdict {
  fails: string[] = [];
  open: string[] = [];
  /** A limit that must not be exceeded; null makes it an open question. */
  atMost(value: number | null, limit: number | null, over: (by: string) => string, unknown: string): void {
    if (limit === null) return;
    if (value === null) this.open.push(unknown);
    else if (value > limit + EPS) this.fails.push(over(mm(value - limit)));
  }
  atLeast(value: number | null, limit: number | null, short: (by: string) => string, unknown: string): void {
    if (limit === null) return;
    if (value === null) this.open.push(unknown);
    else if (value < limit - EPS) this.fails.push(short(mm(limit - value)));
  }
}

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
  geometryRules(cut, c, v);
  materialRules(cut, c, v);
  const reasons = reasonsFor(cut, c, rules);
  const graded = usableGraded(cut, c);
  const availability: Availability =
    c.unused > 0 ? 'on hand' : graded.length ? 'graded' : c.built.length ? 'built' : 'to buy';
  return {
    code: c.code,
    words: c.words,
    availability,
    take:
      availability === 'graded' ? graded.map((g) => g.mark) : availability === 'built' ? [...c.built] : [],
    fails: v.fails,
    open: v.open,
    reasons,
    score: reasons.reduce((sum, r) => sum + r.points, 0) - v.open.length,
  };
}

function geometryRules(cut: Cut, c: Candidate, v: Verdict): void {
  const g = c.cutter;
  const spec = familySpec(g.family);
  const word = spec.axial ? 'usable length' : 'flutes';
  const deep = reach(g);
  if (cut.feature !== 'face')
    v.atLeast(
      deep,
      cut.depth,
      (by) => `${g.LU !== null && g.DN !== null ? 'flutes and neck' : word} ${by} short`,
      'reach not known',
    );
  v.atLeast(
    spec.onePass ? spec.onePass(g) : (g.APMX ?? g.LCF),
    cut.passDepth,
    (by) => `flutes ${by} short for one pass`,
    'flute length not known',
  );
  if (cut.feature === 'pocket' || cut.feature === 'side')
    v.atMost(g.DC, cut.corner === null ? null : 2 * cut.corner, (by) => `${by} too thick for the corner`, '');
  if (cut.feature === 'slot') v.atMost(g.DC, cut.width, (by) => `${by} wider than the slot`, '');
  v.atMost(g.DCX ?? g.DC, cut.clearance, (by) => `${by} too thick to pass beside the wall`, '');
  floorRules(cut, g, v);
  if (cut.draft !== null && cut.draft > 0 && ['side', 'pocket'].includes(cut.feature)) {
    if (!spec.facts.includes('TAPER')) v.fails.push('no taper for the draft');
    else if (g.TAPER === null) v.open.push('taper not known');
    else if (Math.abs(g.TAPER - cut.draft) > 0.01)
      v.fails.push(`taper ${Math.round(Math.abs(g.TAPER - cut.draft) * 100) / 100}° off the draft`);
  } else if (spec.facts.includes('TAPER')) v.fails.push('tapered, and the wall has no draft');
  if (cut.plunge && ['side', 'slot', 'pocket', 'face', 'floor'].includes(cut.feature)) {
    if (c.centreCutting === false) v.fails.push('does not cut at its centre: cannot plunge');
    else if (c.centreCutting === null) v.open.push('centre cutting not known');
  }
  if (cut.feature === 'hole') holeRules(cut, c, v);
  if (cut.feature === 'thread') threadRules(cut, c, v);
  if (cut.feature === 'chamfer' && cut.angle !== null) {
    if (g.SIG === null) v.open.push('point angle not known');
    else if (Math.abs(g.SIG - cut.angle) > 0.01) v.fails.push(`point angle ${g.SIG}°, not ${cut.angle}°`);
    v.atLeast(g.DC, cut.diameter, (by) => `${by} too small across`, '');
  }
}

function floorRules(cut: Cut, g: CutterGeometry, v: Verdict): void {
  if (cut.floorRadius === null || !['pocket', 'floor', 'side', 'slot'].includes(cut.feature)) return;
  const spec = familySpec(g.family);
  const re = spec.floor ? spec.floor.corner(g) : g.RE;
  if (re === null) v.open.push('corner radius not known');
  else if (re > cut.floorRadius + EPS)
    v.fails.push(`corner radius ${mm(re - cut.floorRadius)} too large for the floor`);
  else if (cut.feature === 'floor' && re < cut.floorRadius - EPS && spec.tip !== 'ball')
    v.fails.push(`corner radius ${mm(cut.floorRadius - re)} too small to form the floor's`);
}

function holeRules(cut: Cut, c: Candidate, v: Verdict): void {
  const D = cut.diameter;
  if (D === null) return;
  if (familySpec(c.cutter.family).hole === 'reams') {
    if (Math.abs(c.cutter.DC - D) > 1e-3) {
      v.fails.push(`is for ${mm(c.cutter.DC)}, ${mm(Math.abs(c.cutter.DC - D))} off`);
      return;
    }
    const limits = cut.cls === null ? null : reamerLimits(D, cut.cls);
    if (cut.cls !== null && !limits) v.open.push(`class ${cut.cls} not known`);
    else if (limits && c.measured !== null) {
      const state = reamerState(limits, c.measured);
      if (state === 'too large')
        v.fails.push(`measured ${mm(c.measured - limits.largest)} above the largest reamer`);
      if (state === 'worn out') v.fails.push(`worn ${mm(limits.lower - c.measured)} below the hole`);
    } else if (limits && c.cls === null) v.open.push('its class and measure are not known');
    else if (limits && c.cls!.toUpperCase() !== cut.cls!.toUpperCase())
      v.fails.push(`made for ${c.cls}, not ${cut.cls}`);
    return;
  }
  const limits = cut.cls === null ? null : holeLimits(D, cut.cls);
  if (limits && limits.it < DRILLED_FROM_UM) v.fails.push(`a drill does not hold ${cut.cls}: ream it`);
  else if (c.cutter.DC > (limits?.upper ?? D + 0.05) + EPS)
    v.fails.push(`${mm(c.cutter.DC - (limits?.upper ?? D))} too large`);
  else if (c.cutter.DC < (limits?.lower ?? D - 0.05) - EPS)
    v.fails.push(`${mm((limits?.lower ?? D) - c.cutter.DC)} too small`);
}

/** Micrometres: tolerances narrower than this are reamed, wider ones drilled (common practice, about IT11). */
export const DRILLED_FROM_UM = 60;

function threadRules(cut: Cut, c: Candidate, v: Verdict): void {
  const wanted = cut.thread === null ? null : readThread(cut.thread);
  if (!wanted) return;
  if (familySpec(c.cutter.family).hole === 'mills a thread') {
    v.atMost(c.cutter.DC, wanted.major * 0.85, (by) => `${by} too thick for the thread`, '');
    return;
  }
  const has = c.thread === null ? null : readThread(c.thread);
  if (!has) {
    // Without its thread only the size can be told.
    if (Math.abs(c.cutter.DC - wanted.major) > 0.01)
      v.fails.push(`is for ${mm(c.cutter.DC)}, not ${cut.thread}`);
    else v.open.push('its thread is not known');
  } else if (Math.abs(has.major - wanted.major) > 1e-3 || Math.abs(has.pitch - wanted.pitch) > 1e-3)
    v.fails.push(`cuts ${c.thread}, not ${cut.thread}`);
}

/** Coatings with aluminium in them weld to aluminium; bare edges made for aluminium don't stand steel (common practice). */
const FOR_STEEL = /al.?ti.?n|ti.?al|al.?cr/i;
const bare = (coating: string | null) => coating !== null && /^(none|uncoated|bright)$/i.test(coating.trim());

/** Graded pieces that still do for this cut: made for its material, good over its depth. */
function usableGraded(cut: Cut, c: Candidate): Candidate['graded'] {
  return c.graded.filter(
    (g) =>
      g.groups.length > 0 &&
      (cut.group === null || g.groups.includes(cut.group)) &&
      (g.goodTo === null || cut.passDepth === null || g.goodTo >= cut.passDepth - EPS),
  );
}
/** What speaks for a cutter: each reason between 0 and 1, times the shop's weight. */
function reasonsFor(cut: Cut, c: Candidate, rules: ChoosingRules): Choice['reasons'] {
  const out: Choice['reasons'] = [];
  const add = (reason: Reason, share: number | null, words: string) => {
    const points = Math.round((share ?? 0) * rules.weights[reason] * 100) / 100;
    if (share !== null && points > 0) out.push({ reason, words, points });
  };
  const g = c.cutter;
  const mills = familySpec(g.family).mills;
  const deep = reach(g);
  if (deep !== null && cut.depth !== null && deep >= cut.depth)
    add('short', cut.depth / deep, `reaches ${mm(deep - cut.depth)} further than needed`);
  const limit =
    cut.feature === 'slot'
      ? cut.width
      : cut.corner === null
        ? cut.clearance
        : Math.min(2 * cut.corner, cut.clearance ?? Infinity);
  if (mills && limit !== null)
    add('stout', Math.min(1, g.DC / limit) ** 2, `${mm(g.DC)} of at most ${mm(limit)}`);
  const range = cut.group === null ? undefined : rules.flutes[cut.group];
  if (mills && range && g.NOF !== null)
    add(
      'flutes',
      g.NOF >= range[0] && g.NOF <= range[1] ? 1 : null,
      `${g.NOF} flutes, ${range[0]} to ${range[1]} suit ${cut.group}`,
    );
  edgeReason(cut, c, add);
  if (mills && (g.RE ?? 0) > 0 && familySpec(g.family).tip !== 'ball' && (cut.floorRadius ?? 0) > 0)
    add('corner', 1, `radius ${mm(g.RE!)}`);
  const rough = isRough(cut);
  if (rough === true) {
    const takes = rules.bulk === 'indexable first' ? c.indexable : !c.indexable;
    add('bulk', takes ? 1 : g.family === 'roughing' ? 0.7 : null, takes ? rules.bulk : 'a roughing cutter');
  }
  if (rules.finishing === 'kept apart') {
    if (rough === false && g.family !== 'roughing') add('kept', 1, 'a finisher, for a finishing cut');
    if (rough === true && g.family === 'roughing') add('kept', 1, 'keeps the finishers sharp');
  }
  if (rough === true && c.graded.length)
    add('graded', 1, `graded: ${c.graded.map((x) => x.mark).join(', ')}`);
  if (c.followed && c.unused > 0) add('old', 1, 'a newer version follows it');
  if (!c.guesses.length) add('known', 1, 'every fact of it is known');
  return out;
}

function edgeReason(
  cut: Cut,
  c: Candidate,
  add: (r: Reason, share: number | null, words: string) => void,
): void {
  if (cut.group === null) return;
  const light = cut.group === 'N' || cut.group === 'O';
  if (light) {
    if (bare(c.coating)) add('edge', 1, 'uncoated, for a sharp edge');
    else if (c.coating === null) add('edge', 0.4, 'coating not known');
    else if (!FOR_STEEL.test(c.coating)) add('edge', 0.6, `coated ${c.coating}`);
  } else if (c.coating !== null && !bare(c.coating)) add('edge', 1, `coated ${c.coating}`);
  else if (c.coating === null) add('edge', 0.4, 'coating not known');
}

/** Edges that don't go with a material: a steel coating never to aluminium, bare carbide for aluminium not to steel. */
function materialRules(cut: Cut, c: Candidate, v: Verdict): void {
  if (c.coating === null || cut.group === null) return;
  if (cut.group === 'N' && FOR_STEEL.test(c.coating))
    v.fails.push(`coated ${c.coating}: aluminium welds to it`);
  if (
    ['P', 'M', 'K', 'S', 'H'].includes(cut.group) &&
    bare(c.coating) &&
    c.substrate === 'carbide' &&
    familySpec(c.cutter.family).mills
  )
    v.open.push('bare carbide: is it an edge for aluminium?');
}

const TIER: Record<Availability, number> = { 'on hand': 0, graded: 1, built: 2, 'to buy': 3 };

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
