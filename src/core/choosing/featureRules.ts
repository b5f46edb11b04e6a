import {
  familySpec,
  holeLimits,
  reach,
  readThread,
  tapDrill,
  reamerLimits,
  reamerState,
  type CutterGeometry,
} from '../cutters';
import { sure } from '../sure';
import type { Candidate } from './candidate';
import { ALLOYS, type Alloy, type Cut, type Feature } from './cut';
import { EPS, mm, Verdict } from './verdict';

type Rule = (cut: Cut, c: Candidate, v: Verdict) => void;

/** Micrometres: tolerances narrower than this are reamed or bored, wider ones drilled (common practice, about IT11). */
export const DRILLED_FROM_UM = 60;

/** Whether a cutter's shape does what a feature asks for: each rule is plane geometry or common practice. */
export function featureRules(cut: Cut, c: Candidate, v: Verdict): void {
  if (cut.feature !== 'face') reaches(cut, c.cutter, v);
  onePass(cut, c.cutter, v);
  v.atMost(c.cutter.DCX ?? c.cutter.DC, cut.clearance, (by) => `${by} too thick to pass beside the wall`, '');
  for (const rule of RULES[cut.feature]) rule(cut, c, v);
}

function reaches(cut: Cut, g: CutterGeometry, v: Verdict): void {
  const word = familySpec(g.family).axial ? 'usable length' : 'flutes';
  v.atLeast(
    reach(g),
    cut.depth,
    (by) => `${g.LU !== null && g.DN !== null ? 'flutes and neck' : word} ${by} short`,
    'reach not known',
  );
}

function onePass(cut: Cut, g: CutterGeometry, v: Verdict): void {
  const spec = familySpec(g.family);
  v.atLeast(
    spec.onePass ? spec.onePass(g) : (g.APMX ?? g.LCF),
    cut.passDepth,
    (by) => `flutes ${by} short for one pass`,
    'flute length not known',
  );
}

const corner: Rule = (cut, c, v) =>
  v.atMost(
    c.cutter.DC,
    cut.corner === null ? null : 2 * cut.corner,
    (by) => `${by} too thick for the corner`,
    '',
  );

/** A disc on edge cuts as wide as its teeth, everything else as wide as its diameter. */
const slotWidth: Rule = (cut, { cutter: g }, v) =>
  v.atMost(
    familySpec(g.family).onEdge ? g.CW : g.DC,
    cut.width,
    (by) => `${by} wider than the slot`,
    'cutting width not known',
  );

const draft: Rule = (cut, { cutter: g }, v) => {
  const tapers = familySpec(g.family).facts.includes('TAPER');
  if (cut.draft === null || cut.draft <= 0) {
    if (tapers) v.fails.push('tapered, and the wall has no draft');
  } else if (!tapers) v.fails.push('no taper for the draft');
  else v.angle(g.TAPER, cut.draft, (by) => `taper ${by} off the draft`, 'taper not known');
};

const noDraft: Rule = (_, { cutter: g }, v) => {
  if (familySpec(g.family).facts.includes('TAPER')) v.fails.push('tapered, and the wall has no draft');
};

const plunge: Rule = (cut, c, v) => {
  if (!cut.plunge) return;
  if (c.centreCutting === false) v.fails.push('does not cut at its centre: cannot plunge');
  else if (c.centreCutting === null) v.open.push('centre cutting not known');
};

/** At an angle into the material: how steep it may go is its own figure, whether it cuts at its centre or not. */
const ramp: Rule = (cut, { cutter: g }, v) => {
  if (cut.ramp === null) return;
  if (g.RMPX === null) v.open.push('how steep it may ramp is not known');
  else if (g.RMPX < cut.ramp - EPS) v.fails.push(`ramps in at most at ${g.RMPX}°, not at ${cut.ramp}°`);
};

const floor: Rule = (cut, { cutter: g }, v) => {
  if (cut.floorRadius === null) return;
  const spec = familySpec(g.family);
  const re = spec.floor ? spec.floor.corner(g) : g.RE;
  if (re === null) v.open.push('corner radius not known');
  else if (re > cut.floorRadius + EPS)
    v.fails.push(`corner radius ${mm(re - cut.floorRadius)} too large for the floor`);
  else if (cut.feature === 'floor' && re < cut.floorRadius - EPS && spec.tip !== 'ball')
    v.fails.push(`corner radius ${mm(cut.floorRadius - re)} too small to form the floor's`);
};

const hole: Rule = (cut, c, v) => {
  const D = cut.diameter;
  if (D === null) return;
  const work = familySpec(c.cutter.family).hole;
  if (work === 'reams') return reamed(D, cut.cls, c, v);
  if (work === 'bores') return bored(D, c.cutter, v);
  if (work === 'drills a step' && cut.depth === null)
    v.open.push('how deep the hole is: its step may come in');
  const limits = cut.cls === null ? null : holeLimits(D, cut.cls);
  if (limits && limits.it < DRILLED_FROM_UM) v.fails.push(`a drill does not hold ${cut.cls}: ream it`);
  else if (c.cutter.DC > (limits?.upper ?? D + 0.05) + EPS)
    v.fails.push(`${mm(c.cutter.DC - (limits?.upper ?? D))} too large`);
  else if (c.cutter.DC < (limits?.lower ?? D - 0.05) - EPS)
    v.fails.push(`${mm((limits?.lower ?? D) - c.cutter.DC)} too small`);
  through(cut, c.cutter, v);
};

/** Through a hole its whole point must come out: plane geometry of the cone, DC/2 / tan(SIG/2). */
function through(cut: Cut, g: CutterGeometry, v: Verdict): void {
  const deep = reach(g);
  // That it reaches the depth itself is judged before.
  if (cut.bottom !== 'through' || cut.depth === null || deep === null || deep < cut.depth - EPS) return;
  if (g.SIG === null) v.open.push('how long its point is is not known');
  else
    v.atLeast(
      deep,
      cut.depth + g.DC / 2 / Math.tan((g.SIG * Math.PI) / 360),
      (by) => `its point stays ${by} in the hole`,
      '',
    );
}

function reamed(D: number, cls: string | null, c: Candidate, v: Verdict): void {
  if (Math.abs(c.cutter.DC - D) > 1e-3) {
    v.fails.push(`is for ${mm(c.cutter.DC)}, ${mm(Math.abs(c.cutter.DC - D))} off`);
    return;
  }
  const limits = cls === null ? null : reamerLimits(D, cls);
  if (cls !== null && !limits) v.open.push(`class ${cls} not known`);
  else if (limits && c.measured !== null) {
    const state = reamerState(limits, c.measured);
    if (state === 'too large')
      v.fails.push(`measured ${mm(c.measured - limits.largest)} above the largest reamer`);
    if (state === 'worn out') v.fails.push(`worn ${mm(limits.lower - c.measured)} below the hole`);
  } else if (limits && c.cls === null) v.open.push('its class and measure are not known');
  else if (limits && c.cls !== null && c.cls.toUpperCase() !== cls?.toUpperCase())
    v.fails.push(`made for ${c.cls}, not ${cls}`);
}

/** A single point set to size holds any class that can be measured: only its range bounds it. */
function bored(D: number, g: CutterGeometry, v: Verdict): void {
  v.atMost(g.DC, D, (by) => `enters no bore below ${mm(g.DC)}: ${by} too large`, '');
  v.atLeast(
    g.DCX,
    D,
    (by) => `set to at most ${mm(sure(g.DCX, 'DCX'))}: ${by} short`,
    'its largest bore not known',
  );
}

/** ISO 513 groups that flow under a forming tap: cast iron, hardened steel and plastics do not (common practice). */
const FORMS: readonly string[] = ['P', 'M', 'N', 'S'];

const thread: Rule = (cut, c, v) => {
  const wanted = cut.thread === null ? null : readThread(cut.thread);
  if (!wanted) return;
  if (familySpec(c.cutter.family).hole === 'mills a thread') {
    const hole = tapDrill(wanted, 'cutting')?.drill ?? null;
    // It circles in the hole before the thread, with room for chips.
    v.atMost(
      c.cutter.DC,
      hole === null ? wanted.major * 0.75 : hole * 0.9,
      (by) => `${by} too thick for the hole before the thread`,
      '',
    );
    if (c.pitch === null) v.open.push('its pitch is not known');
    else if (Math.abs(c.pitch - wanted.pitch) > 1e-3)
      v.fails.push(`its teeth are at ${mm(c.pitch)}, the thread’s at ${mm(wanted.pitch)}`);
    return;
  }
  const has = c.thread === null ? null : readThread(c.thread);
  if (!has) {
    // Without its thread only the size can be told.
    if (Math.abs(c.cutter.DC - wanted.major) > 0.01)
      v.fails.push(`is for ${mm(c.cutter.DC)}, not ${cut.thread}`);
    else v.open.push('its thread is not known');
  } else if (
    has.system !== wanted.system ||
    has.hand !== wanted.hand ||
    Math.abs(has.major - wanted.major) > 1e-3 ||
    Math.abs(has.pitch - wanted.pitch) > 1e-3
  )
    v.fails.push(`cuts ${c.thread}, not ${cut.thread}`);
  if (c.forming && cut.group !== null && !FORMS.includes(cut.group))
    v.fails.push(`a forming tap: ${cut.group} does not form, it breaks`);
  else if (c.forming && cut.alloy !== null && DOES_NOT_FORM.includes(cut.alloy))
    v.open.push(`a forming tap: ${ALLOYS[cut.alloy].words} seldom form`);
  bottomOf(cut, c, wanted.pitch, v);
};

/** Of groups that form, what seldom does: short chips, or gall on the tap (common practice). */
const DOES_NOT_FORM: readonly Alloy[] = ['copper', 'magnesium', 'titanium'];

/** Threads that the chamfer of a form is long, at most. DIN 2197, from memory. */
const CHAMFER_THREADS: Readonly<Record<string, number>> = { A: 8, B: 5.5, C: 3, D: 5, E: 2 };
/** From so much helix on chips come up out of a hole, degrees (common practice). */
const CHIPS_UP_FROM = 15;

/** A blind thread: chips must come up or not be made, and the chamfer must not meet the bottom of the hole. */
function bottomOf(cut: Cut, c: Candidate, pitch: number, v: Verdict): void {
  if (cut.bottom !== 'blind') return;
  const form = c.chamfer?.trim().toUpperCase().charAt(0) ?? null;
  const threads = form === null ? undefined : CHAMFER_THREADS[form];
  if (!c.forming) {
    if (form === 'B') v.fails.push('its point pushes the chips ahead: for through holes');
    else if (c.helix === null) v.open.push('whether its flutes bring the chips up is not known');
    else if (c.helix < CHIPS_UP_FROM) v.open.push('straight flutes: chips pack at the bottom of the hole');
  }
  if (cut.holeDepth === null || cut.depth === null) return;
  if (threads === undefined) v.open.push('how long its chamfer is is not known');
  else
    v.atMost(
      cut.depth + threads * pitch,
      cut.holeDepth,
      (by) => `its chamfer of ${threads} threads meets the bottom: ${by} too long`,
      '',
    );
}

const chamfer: Rule = (cut, { cutter: g }, v) => {
  if (cut.angle === null) return;
  v.angle(g.SIG, cut.angle, () => `point angle ${g.SIG}°, not ${cut.angle}°`, 'point angle not known');
  v.atLeast(g.DC, cut.diameter, (by) => `${by} too small across`, '');
};

/** Under a wall: what stands out beyond the neck must go as far, and the head must be no higher than the undercut. */
const undercut: Rule = (cut, { cutter: g }, v) => {
  v.atLeast(
    g.DN === null ? null : (g.DC - g.DN) / 2,
    cut.under,
    (by) => `its neck rubs ${by} before it is that far under`,
    'neck not known',
  );
  v.atMost(
    familySpec(g.family).head?.height(g) ?? null,
    cut.width,
    (by) => `${by} too high for the undercut`,
    'height of its head not known',
  );
};

const dovetail: Rule = (cut, { cutter: g }, v) =>
  v.angle(g.KAPR, cut.flank, (by) => `flank ${by} off`, 'flank angle not known');

const rounding: Rule = (cut, { cutter: g }, v) => {
  if (cut.edgeRadius === null) return;
  if (g.RE === null) v.open.push('its radius not known');
  else if (Math.abs(g.RE - cut.edgeRadius) > 0.01)
    v.fails.push(`rounds to ${mm(g.RE)}, not ${mm(cut.edgeRadius)}`);
};

/** A line's width is that of the tip, and grows with the depth by the point's angle. */
const engraving: Rule = (cut, { cutter: g }, v) => {
  if (cut.width === null) return;
  if (g.DCN === null) v.open.push('width of its tip not known');
  else if (g.DCN > cut.width + EPS) v.fails.push(`its tip is ${mm(g.DCN - cut.width)} wider than the line`);
  else if (cut.depth !== null && g.SIG === null) v.open.push('point angle not known');
  else if (cut.depth !== null && g.SIG !== null) {
    const line = g.DCN + 2 * cut.depth * Math.tan((g.SIG * Math.PI) / 360);
    if (Math.abs(line - cut.width) > 0.05)
      v.fails.push(`at that depth its line is ${mm(line)} wide, not ${mm(cut.width)}`);
  }
};

const centre: Rule = (cut, { cutter: g }, v) => {
  if (cut.diameter !== null && Math.abs(g.DC - cut.diameter) > 0.01)
    v.fails.push(`its pilot is ${mm(g.DC)}, not ${mm(cut.diameter)}`);
  v.angle(g.STA, cut.angle, (by) => `cone ${by} off`, 'angle of its cone not known');
};

/** What each feature asks of a cutter beyond reach, depth of pass and the way beside the wall. */
const RULES: Record<Feature, readonly Rule[]> = {
  side: [corner, floor, draft, plunge, ramp],
  slot: [slotWidth, floor, noDraft, plunge, ramp],
  pocket: [corner, floor, draft, plunge, ramp],
  face: [noDraft, plunge, ramp],
  floor: [floor, noDraft, plunge, ramp],
  hole: [hole],
  thread: [thread],
  chamfer: [chamfer],
  undercut: [undercut],
  dovetail: [dovetail],
  rounding: [rounding],
  engraving: [engraving],
  centre: [centre],
};
