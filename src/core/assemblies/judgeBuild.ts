import type { Grade, Judgement } from '../because';
import {
  toleranceGrade,
  cuttingHeight,
  familySpec,
  shankIn,
  isSymbol,
  neckDiameter,
  type CutterGeometry,
  type FactSymbol,
  type HolderGeometry,
} from '../cutters';
import { DEFAULTS } from '../defaults';

export interface Build {
  cutter: CutterGeometry;
  holder: HolderGeometry;
  /** Tip to holder face, mm. */
  stickout: number;
  /** The shank's form, and the forms the holder takes, in its own words; null is 'not known'. */
  shank?: { form: string | null; takes: string | null };
}

const mm = (n: number) => `${Math.round(n * 1000) / 1000} mm`;

/**
 * Judges a build before anybody tightens a nut: does the shank fit, are flutes gripped, is enough gripped, does
 * the shank go that deep, how far does it stick out in diameters. Every judgement is listed, good ones too; one
 * whose facts are missing is 'not judged' and names them. Limits are common practice (DEFAULTS) or the holder
 * maker's own figures. mm throughout; stickout must be above 0.
 * Example: OAL 72, LCF 22, stickout 20 -> FLUTES_GRIPPED stop, since 2 mm of flute would be in the bore.
 */
export function judgeBuild({ cutter: c, holder: h, stickout, shank }: Build): Judgement[] {
  return [
    shankFits(c, h),
    ...shankForm(shank),
    flutesFree(c, stickout),
    ...neckFree(c, stickout),
    ...grip(c, h, stickout),
    ratio(c, stickout),
  ];
}

/** Facts a judgement rests on, by the name they have in its reason: whose, and their symbols. */
const FACTS: Record<string, { of: 'cutter' | 'holder'; symbol: FactSymbol }> = {
  'smallest shank': { of: 'holder', symbol: 'CLAMP_MIN' },
  'largest shank': { of: 'holder', symbol: 'CLAMP_MAX' },
  'least grip': { of: 'holder', symbol: 'GRIP_MIN' },
  'greatest depth': { of: 'holder', symbol: 'DEPTH_MAX' },
};

function judgement(
  code: string,
  grade: Grade,
  words: string,
  formula: string,
  values: [string, number | null][],
  why: string,
): Judgement {
  const lacking =
    grade !== 'not judged'
      ? []
      : values.flatMap(([name, value]) =>
          value !== null
            ? []
            : (FACTS[name] ?? (isSymbol(name) ? { of: 'cutter' as const, symbol: name } : [])),
        );
  return {
    code,
    grade,
    words,
    lacking,
    because: {
      words: why,
      formula,
      values: values.map(([name, value]) => ({ name, value: value === null ? 'not known' : mm(value) })),
    },
  };
}

function shankFits(c: CutterGeometry, h: HolderGeometry): Judgement {
  const values: [string, number | null][] = [
    ['DMM', c.DMM],
    ['smallest shank', h.CLAMP_MIN],
    ['largest shank', h.CLAMP_MAX],
  ];
  const say = (grade: Grade, words: string) =>
    judgement(
      'SHANK_FITS',
      grade,
      words,
      'smallest ≤ DMM ≤ largest',
      values,
      'The bore or collet takes shanks of its own range only.',
    );
  if (c.DMM === null || h.CLAMP_MIN === null || h.CLAMP_MAX === null)
    return say('not judged', 'Whether the shank fits is not judged');
  if (c.DMM > h.CLAMP_MAX + 1e-9)
    return say('stop', `Shank is ${mm(c.DMM - h.CLAMP_MAX)} too thick for this holder`);
  // A measured shank is a few micrometres below its size, as it is made to be.
  if (c.DMM < h.CLAMP_MIN - shankTolerance(h.CLAMP_MIN) - 1e-9)
    return say('stop', `Shank is ${mm(h.CLAMP_MIN - c.DMM)} too thin for this holder`);
  return say('good', 'The shank fits the holder');
}

/** How far a ground shank lies below its size: h6. ISO 286-1, from memory. mm. Example: 10 -> 0.009. */
const shankTolerance = (size: number): number => (toleranceGrade(size, 6) ?? 0) / 1000;

/** Only where something is known of it: most holders take plain shanks, and nobody says so. */
function shankForm(shank: Build['shank']): Judgement[] {
  if (!shank || (shank.form === null && shank.takes === null)) return [];
  const grade = shankIn(shank.form, shank.takes);
  const words = {
    good: `A ${shank.form} shank, as this holder takes`,
    question: `A ${shank.form} shank in a holder for plain ones: it grips on less and runs less true`,
    stop: `A ${shank.form} shank does not hold here: the holder takes ${shank.takes}`,
    'not judged': 'Whether the form of the shank holds is not judged',
  }[grade];
  return [
    {
      code: 'SHANK_FORM',
      grade,
      words,
      because: {
        words: 'A side screw needs its flat or notch; a collet needs the whole round.',
        formula: 'form of the shank among those the holder takes',
        values: [
          { name: 'SHANK', value: shank.form ?? 'not known' },
          { name: 'SHANKS', value: shank.takes ?? 'not known' },
        ],
      },
    },
  ];
}

function flutesFree(c: CutterGeometry, stickout: number): Judgement {
  const high = cuttingHeight(c);
  const name = familySpec(c.family).head?.needs[0] ?? 'LCF';
  const say = (grade: Grade, words: string) =>
    judgement(
      'FLUTES_GRIPPED',
      grade,
      words,
      `stickout ≥ ${name}`,
      [
        ['stickout', stickout],
        [name, high],
      ],
      'A holder that grips on the flutes does not hold and breaks the cutter.',
    );
  if (high === null) return say('not judged', 'Flutes in the bore: not judged');
  if (stickout < high - 1e-9)
    return say('stop', `Gripped on the flutes: ${mm(high - stickout)} of flute would be in the bore`);
  return say('good', 'No flute is gripped');
}

/** A neck that is thinner than the shank must stand out whole: the bore can't hold it. */
function neckFree(c: CutterGeometry, stickout: number): Judgement[] {
  // One that tapers is thinner below, however thick it is where it meets the shank.
  const thick = c.BHTA1 === null && c.DN !== null && c.DMM !== null && c.DN >= c.DMM - 1e-9;
  if (c.DN === null || c.LU === null || thick) return [];
  const say = (grade: Grade, words: string) =>
    judgement(
      'NECK_GRIPPED',
      grade,
      words,
      'stickout ≥ LU',
      [
        ['stickout', stickout],
        ['LU', c.LU],
        ['DN', c.DN],
        ['DMM', c.DMM],
      ],
      'A bore that closes on the neck holds a thinner part than it was made for, or none.',
    );
  return [
    stickout < c.LU - 1e-9
      ? say('stop', `Gripped on the neck: ${mm(c.LU - stickout)} of it would be in the bore`)
      : say('good', 'The neck stands out whole'),
  ];
}

function grip(c: CutterGeometry, h: HolderGeometry, stickout: number): Judgement[] {
  const depth = c.OAL === null ? null : c.OAL - stickout;
  const base: [string, number | null][] = [
    ['OAL', c.OAL],
    ['stickout', stickout],
    ['grip', depth],
  ];
  const least = (grade: Grade, words: string) =>
    judgement(
      'GRIP',
      grade,
      words,
      'OAL − stickout ≥ least grip',
      [...base, ['least grip', h.GRIP_MIN]],
      'Too little shank in the bore is pulled out or snaps at the face.',
    );
  const deep = (grade: Grade, words: string) =>
    judgement(
      'DEPTH',
      grade,
      words,
      'OAL − stickout ≤ greatest depth',
      [...base, ['greatest depth', h.DEPTH_MAX]],
      'The shank can go no deeper than the bore.',
    );
  const least_ =
    depth === null || (h.GRIP_MIN === null && depth > 0)
      ? least('not judged', 'Enough grip: not judged')
      : depth <= 0
        ? least('stop', `The stickout is ${mm(-depth)} longer than the cutter leaves to grip`)
        : // Null was answered above.
          depth < h.GRIP_MIN! - 1e-9
          ? least('stop', `Too short to grip: ${mm(h.GRIP_MIN! - depth)} short of the least grip`)
          : least('good', `${mm(depth)} gripped`);
  const deep_ =
    depth === null || h.DEPTH_MAX === null
      ? deep('not judged', 'Whether the shank goes that deep: not judged')
      : depth > h.DEPTH_MAX + 1e-9
        ? deep('stop', `Does not go that deep: bottoms ${mm(depth - h.DEPTH_MAX)} early`)
        : deep('good', 'The shank goes that deep');
  return [least_, deep_];
}

function ratio(c: CutterGeometry, stickout: number): Judgement {
  const D = stiffAs(c, stickout);
  const r = stickout / D;
  const text = `${r.toFixed(1)} × D${Math.abs(D - c.DC) > 0.05 ? `, as stiff as Ø ${mm(D)}` : ''}`;
  const say = (grade: Grade, words: string) =>
    judgement(
      'RATIO',
      grade,
      words,
      'stickout / D of a plain rod that bends as much: L³ / D⁴ = Σ (xᵢ³ − xᵢ₋₁³) / Dᵢ⁴',
      [
        ['stickout', stickout],
        ['DC', c.DC],
        ['stiff as', D],
      ],
      `Stiffness falls with the cube of the length. ${DEFAULTS.ratioComfortable} × D is comfortable, past ${DEFAULTS.ratioLighter} to ${DEFAULTS.ratioFarPast} × D cut lighter, far past that use a damped or shrink holder.`,
    );
  // Drills, reamers and taps are long by nature: they carry along the axis, not sideways.
  if (familySpec(c.family).axial) return say('good', `${text}, an axial cutter`);
  if (r > DEFAULTS.ratioFarPast)
    return say('question', `${text}: far out; damped or shrink holder, or shorter`);
  if (r > DEFAULTS.ratioLighter) return say('question', `${text}: cut lighter`);
  return say('good', r > DEFAULTS.ratioComfortable ? `${text}` : `${text}, comfortable`);
}

/**
 * Diameter of a plain rod that bends as much under a force at its tip as the sections that stand out: flutes of DC (or
 * DCX), the neck DN to LU (a tapered one as thin as it begins), the shank DMM above. What is not known counts as DC. mm. Castigliano for a stepped cantilever.
 * Example: DC 6 with LCF 13 on a 10 mm shank, 40 out: stiff as 9.49.
 */
export function stiffAs(c: CutterGeometry, stickout: number): number {
  const cut = Math.max(c.DC, c.DCX ?? 0);
  const flute = Math.min(stickout, c.LCF ?? stickout);
  const neck = Math.min(stickout, Math.max(flute, c.DN === null ? 0 : (c.LU ?? 0)));
  const sections: [to: number, D: number][] = [
    [flute, cut],
    [neck, neckDiameter(c, flute) ?? cut],
    [stickout, c.DMM ?? cut],
  ];
  let sum = 0;
  let from = 0;
  for (const [to, D] of sections) {
    if (to > from) sum += (to ** 3 - from ** 3) / D ** 4;
    from = Math.max(from, to);
  }
  return (stickout ** 3 / sum) ** 0.25;
}
