import type { Because, Judgement } from '../because';
import { DEFAULTS } from '../defaults';
import type { DiameterSchool } from './schools';

/** What is measured on a part, by where material lies: that says which way a register moves it. */
export const FEATURES = {
  outside: 'outside, over two cut walls',
  inside: 'pocket, slot or bore',
  'wall over material': 'one wall, measured through material',
  'wall over a gap': 'one wall, measured across a gap',
  depth: 'depth, from the top down',
  height: 'height of a floor, from below',
  'same way': 'between two walls that face the same way',
} as const;
export type FeatureKind = keyof typeof FEATURES;

export interface MeasuredFeature {
  kind: FeatureKind;
  /** The size on the drawing, mm. */
  wanted: number;
  measured: number;
  /** The limits of the size, mm; null: not stated. Between both it is aimed at their middle, else at `wanted`. */
  least: number | null;
  most: number | null;
}

/** What goes into a register so that the next part, or the next pass, comes to size. */
export interface SizeCorrection {
  register: 'D' | 'H';
  /** Left on each wall, or on the floor, mm; below zero: cut away too much. Of several features their mean. */
  left: number;
  /** The most by which features differ in it, mm. */
  spread: number;
  /** Added to the register, or to its wear, mm. */
  change: number;
  /** Sizes as the next part has them, in the order they came, mm. */
  next: { feature: MeasuredFeature; size: number }[];
  judgements: Judgement[];
  because: Because;
}

/** How far a size goes with each mm left on a wall or floor; null: a register does not change it. */
const MOVES: Readonly<Record<FeatureKind, { register: 'D' | 'H'; by: number } | null>> = {
  outside: { register: 'D', by: 2 },
  inside: { register: 'D', by: -2 },
  'wall over material': { register: 'D', by: 1 },
  'wall over a gap': { register: 'D', by: -1 },
  depth: { register: 'H', by: -1 },
  height: { register: 'H', by: 1 },
  'same way': null,
};

/** Which register a feature is corrected by; null: none moves it. Example: 'depth' -> 'H'. */
export const registerOf = (kind: FeatureKind): 'D' | 'H' | null => MOVES[kind]?.register ?? null;

/** What a size is aimed at, mm: the middle of its limits where both are stated. Example: 20 with 20 to 20.021 -> 20.0105. */
export const aimedAt = ({ wanted, least, most }: MeasuredFeature): number =>
  least === null || most === null ? wanted : (least + most) / 2;

const mm = (n: number) => `${n.toFixed(3)} mm`;
const within = ({ least, most }: MeasuredFeature, size: number): boolean | null =>
  least === null && most === null
    ? null
    : (least === null || size >= least - 1e-9) && (most === null || size <= most + 1e-9);

/**
 * What a measured part says of a D or H register, all of one register; null where no feature is moved by it. d is what is
 * left on each wall: outside = size + 2 d, pocket, slot or bore = size − 2 d, one wall ± d, floor ± d. The register, or its
 * wear, changes by −d; one that holds a diameter by −2 d; H by −d in every school, since a change of length moves all of
 * them alike. `cutBefore`: its edges have cut parts; until then the first correction may go either way.
 * Source: geometry of an offset path; the limits that ask are DEFAULTS, common practice.
 * Example: outside 40.06 for 40 in a radius register: 0.03 is left, change −0.03.
 */
export function correctSize(
  register: 'D' | 'H',
  features: readonly MeasuredFeature[],
  { school, cutBefore }: { school: DiameterSchool; cutBefore: boolean },
): SizeCorrection | null {
  const moved = features.flatMap((feature) => {
    const moves = MOVES[feature.kind];
    return moves?.register === register
      ? [{ feature, by: moves.by, left: (feature.measured - aimedAt(feature)) / moves.by }]
      : [];
  });
  if (!moved.length) return null;
  const lefts = moved.map((m) => m.left);
  const left = lefts.reduce((sum, d) => sum + d, 0) / lefts.length;
  const spread = Math.max(...lefts) - Math.min(...lefts);
  const holdsDiameter = school === 'diameter' || school === 'wear-diameter';
  const share = register === 'D' && holdsDiameter ? 2 : 1;
  const next = moved.map(({ feature, by }) => ({ feature, size: feature.measured - by * left }));
  return {
    register,
    left,
    spread,
    change: -share * left,
    next,
    judgements: judgementsOf(register, moved, next, left, cutBefore),
    because: {
      words: `Each mm in ${register} moves ${register === 'D' ? 'each wall' : 'the floor'} by ${share === 2 ? 'half a mm' : 'one mm'}.`,
      formula: share === 2 ? 'change = −2 × what is left on a wall' : 'change = −what is left',
      values: [
        ...moved.map(({ feature, left: d }) => ({
          name: `${FEATURES[feature.kind]}: ${mm(feature.measured)}, aimed at ${mm(aimedAt(feature))}`,
          value: `${mm(d)} left`,
        })),
        ...(moved.length > 1 ? [{ name: 'left, on average', value: mm(left) }] : []),
      ],
    },
  };
}

function judgementsOf(
  register: 'D' | 'H',
  moved: readonly { feature: MeasuredFeature; left: number }[],
  next: SizeCorrection['next'],
  left: number,
  cutBefore: boolean,
): Judgement[] {
  const judgements: Judgement[] = [];
  const states = moved.map((m) => ({ ...m, good: within(m.feature, m.feature.measured) }));
  const swapped = moved.filter(
    ({ feature: { least, most } }) => least !== null && most !== null && least > most,
  );
  if (swapped.length)
    return [
      {
        code: 'LIMITS_SWAPPED',
        grade: 'question',
        words: 'The least is more than the most: are they swapped?',
        because: {
          words: 'Nothing is said of this part before its limits are right.',
          values: swapped.map(({ feature: { kind, least, most } }) => ({
            name: FEATURES[kind],
            value: `${least} to ${most} mm`,
          })),
        },
      },
    ];
  const gone = states.filter((s) => s.good === false && s.left < 0);
  const values = [
    { name: 'left', value: mm(left) },
    { name: 'asked about from', value: mm(DEFAULTS.correctionMm) },
  ];
  if (gone.length)
    judgements.push({
      code: 'TOO_MUCH_CUT',
      grade: 'stop',
      words: `This part is cut ${mm(-Math.min(...gone.map((s) => s.left)))} ${register === 'D' ? 'a wall too far' : 'too deep'}`,
      because: {
        words:
          'No register puts material back: set the part aside for whoever judges parts. The change is for the next one.',
        values: gone.map(({ feature }) => ({
          name: FEATURES[feature.kind],
          value: `${mm(feature.measured)}, limits ${feature.least === null ? 'not stated' : mm(feature.least)} to ${feature.most === null ? 'not stated' : mm(feature.most)}`,
        })),
      },
    });
  if (cutBefore && left < -DEFAULTS.measuringNoiseMm)
    judgements.push({
      code: 'CUTS_MORE',
      grade: 'question',
      words: 'It cuts more than it did, which is no wear',
      because: {
        words:
          register === 'D'
            ? 'Wear makes a cutter smaller. A built-up edge, runout, a machine that was cold, a part that lay on a chip, another cutter? Look before it is entered.'
            : 'Pulled out of its holder, a part that lay higher, a chip under it, a machine that was cold? Look before it is entered.',
        values,
      },
    });
  if (Math.abs(left) > DEFAULTS.correctionMm + 1e-9)
    judgements.push({
      code: 'FAR_OFF',
      grade: 'question',
      words: `${mm(Math.abs(left))} is much for one correction: is this wear?`,
      because: {
        words:
          left > 0
            ? 'Slipped into its holder, chipped, the wrong tool or register, a wall that gave way? Look at the edge and measure again first.'
            : 'Pulled out, the wrong tool or register, radius and diameter mixed up? Look and measure again first.',
        values,
      },
    });
  const outside = next.filter(({ feature, size }) => within(feature, size) === false);
  if (outside.length)
    judgements.push({
      code: 'DISAGREE',
      grade: 'question',
      words: 'No one change brings all of them within their limits',
      because: {
        words:
          'The tool or the part gives way, or one was measured wrongly: measure them again, or correct the program.',
        values: outside.map(({ feature, size }) => ({
          name: `${FEATURES[feature.kind]}, next`,
          value: mm(size),
        })),
      },
    });
  if (judgements.length) return judgements;
  const because = { words: 'The change is small, and goes the way that wear or a first part goes.', values };
  if (states.some((s) => s.good === null))
    return [
      {
        code: 'NO_LIMITS',
        grade: 'not judged',
        words: 'Whether this part is good is not said: its limits are not stated',
        because,
      },
    ];
  return states.every((s) => s.good)
    ? [
        {
          code: 'WITHIN',
          grade: 'good',
          words: 'Within its limits: it may stay, or go to the middle',
          because: { words: 'All that was measured lies within its limits.', values },
        },
      ]
    : [
        {
          code: 'CUT_AGAIN',
          grade: 'good',
          words: 'Not at its size yet: what is left comes off when it is cut again',
          because,
        },
      ];
}

/**
 * What is added to a register for a first cut that stays off the size, mm: s is left on each wall, or on the floor. Measured
 * and corrected it comes to size without a part lost. Example: 0.2 in a diameter register -> 0.4.
 */
export const standOff = (register: 'D' | 'H', school: DiameterSchool, s: number): number =>
  register === 'D' && (school === 'diameter' || school === 'wear-diameter') ? 2 * s : s;
