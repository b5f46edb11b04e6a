import { type Grade, type Judgement, mm } from '../because';
import {
  toleranceGrade,
  cuttingHeight,
  familySpec,
  shankIn,
  isSymbol,
  type CutterGeometry,
  type FactSymbol,
  type HolderGeometry,
} from '../cutters';
import { DEFAULTS } from '../defaults';
import { colletGrip, holdsAs } from './holdsAs';
import { judgeParts } from './judgeParts';
import { judgeSeat } from './judgeSeat';
import { stiffAs } from './stiffAs';
import { type CutterDetails, type HolderDetails, isSeated, type Part } from './parts';

export interface Build {
  cutter: CutterGeometry;
  holder: HolderGeometry;
  /** Tip to the last face that holds it, mm: the holder's, or that of the extension on it. */
  stickout: number;
  /** The shank's form, and the forms the holder takes, in its own words; null is 'not known'. */
  shank?: { form: string | null; takes: string | null };
  /** What is between holder and cutter from the spindle down, and what stands beside. */
  parts?: readonly Part[];
  /** What is known of cutter and holder beside their geometry: without it parts are not judged against them. */
  details?: { cutter: CutterDetails; holder: HolderDetails };
}

/**
 * Judges a build before anybody tightens a nut: does the shank fit, are flutes gripped, is enough gripped, does
 * the shank go that deep, how far does it stick out in diameters. Every judgement is listed, good ones too; one
 * whose facts are missing is 'not judged' and names them. Limits are common practice (DEFAULTS) or the holder
 * maker's own figures. mm throughout; stickout must be above 0.
 * Example: OAL 72, LCF 22, stickout 20 -> FLUTES_GRIPPED stop, since 2 mm of flute would be in the bore.
 */
export function judgeBuild(build: Build): Judgement[] {
  const { cutter: c, stickout, details, parts = [] } = build;
  const held = holdsAs(build.holder, parts, details?.holder);
  const h = held.holder;
  const seated = isSeated(details?.cutter.SHANK ?? null);
  const shank = shankHeld(build, held);
  return [
    ...(details && seated
      ? judgeSeat(held, details.cutter, stickout)
      : [
          shankFits(c, h),
          ...shankForm(shank),
          flutesFree(c, stickout),
          ...neckFree(c, stickout),
          ...grip(c, h, stickout, held.carrier.colletLength),
        ]),
    ratio(c, stickout),
    ...(details ? judgeParts(held, parts, c, details) : []),
  ];
}

/** The shank and what takes it: the last extension where there is one, the round of a collet where that grips. */
function shankHeld({ shank, parts = [], details }: Build, held: ReturnType<typeof holdsAs>): Build['shank'] {
  const last = parts.findLast((p) => p.kind === 'extension' || p.kind === 'collet');
  const form = details?.cutter.SHANK ?? shank?.form ?? null;
  if (!last) return shank;
  return { form, takes: last.kind === 'collet' && form !== null ? 'plain' : held.carrier.SHANKS };
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

function grip(
  c: CutterGeometry,
  h: HolderGeometry,
  stickout: number,
  colletLength: number | null,
): Judgement[] {
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
  const ofCollet = colletGrip(colletLength);
  const least_ =
    h.GRIP_MIN === null && depth !== null && depth > 0 && ofCollet !== null
      ? gripInCollet(depth, ofCollet, base)
      : depth === null || (h.GRIP_MIN === null && depth > 0)
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

/** No figure of its maker's: the shank fills at least two thirds of a collet's bore (common practice). */
function gripInCollet(depth: number, least: number, base: readonly [string, number | null][]): Judgement {
  const enough = depth >= least - 1e-9;
  return judgement(
    'GRIP',
    enough ? 'good' : 'question',
    enough
      ? `${mm(depth)} gripped, two thirds of the collet or more`
      : `Fills less than two thirds of the collet: ${mm(least - depth)} short`,
    'OAL − stickout ≥ ⅔ of the collet’s length',
    [...base, ['two thirds of the collet', least]],
    'A collet that is filled at its front only closes askew: the shank slips or is pulled out.',
  );
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
