import { type Because, mm } from '../because';

/** A vise as the machine's cheat sheet has it: machine coordinates of X and Y, heights above the datum surface; mm. */
export interface Fixture {
  /** X of its middle. */
  centre: number;
  /** How wide its jaws are. */
  width: number;
  /** Y of the face of its fixed jaw, and whether that is the far one (the part lies towards the operator) or the near one. */
  jaw: number;
  far: boolean;
  /** Its bed above the datum surface. */
  bed: number;
  /** X of its stop, at the part's left; null: it has none. */
  stop: number | null;
}

export const ALONG = ['left end', 'right end', 'stop'] as const;
export const ZERO_X = ['left', 'middle', 'right'] as const;
export const ZERO_Y = ['at the fixed jaw', 'middle', 'away from it'] as const;
export const ZERO_Z = ['top', 'bottom'] as const;

/** How a part lies in a vise, and where its zero is; mm. */
export interface Clamped {
  /** Its left against the left end of the jaws, its right against the right end, or its left against the stop. */
  against: (typeof ALONG)[number];
  stock: { x: number; y: number; z: number };
  /** Height of the parallels under it; 0: it lies on the bed. */
  parallels: number;
  zero: { x: (typeof ZERO_X)[number]; y: (typeof ZERO_Y)[number]; z: (typeof ZERO_Z)[number] };
}

export interface FixtureOffset {
  /** Machine coordinates of part zero. */
  X: number;
  Y: number;
  /** Part zero above the datum surface: the Z of the work offset follows from it by the machine's school. */
  h: number;
  because: Because;
}

/** A part in a vise with its zero as a setup sheet has it: mm from its left, from its side at the operator, from its bottom. */
export interface Laid {
  against: Clamped['against'];
  stock: { x: number; y: number };
  parallels: number;
  zero: { x: number; y: number; z: number };
}

/** Machine coordinates of part zero, and its height above the datum surface; mm. null: the vise has no stop to lie against. */
export function zeroInFixture(f: Fixture, part: Laid): Omit<FixtureOffset, 'because'> | null {
  const left =
    part.against === 'stop'
      ? f.stop
      : part.against === 'left end'
        ? f.centre - f.width / 2
        : f.centre + f.width / 2 - part.stock.x;
  if (left === null) return null;
  return {
    X: left + part.zero.x,
    // The far jaw is behind the part: its side at the operator lies its depth before it.
    Y: f.jaw + part.zero.y - (f.far ? part.stock.y : 0),
    h: f.bed + part.parallels + part.zero.z,
  };
}

/**
 * Part zero without a probe, from where a vise stands and how the part lies in it. mm, machine coordinates; null: the part is
 * to lie against a stop that the vise has not. Example: vise in the middle of X −24.6, 6 wide, part against its left end:
 * X −27.6.
 */
export function fixtureOffset(f: Fixture, part: Clamped): FixtureOffset | null {
  const { x, y, z } = part.stock;
  const alongX = { left: 0, middle: x / 2, right: x }[part.zero.x];
  const fromJaw = { 'at the fixed jaw': 0, middle: y / 2, 'away from it': y }[part.zero.y];
  const at = zeroInFixture(f, {
    ...{ against: part.against, stock: { x, y }, parallels: part.parallels },
    zero: { x: alongX, y: f.far ? y - fromJaw : fromJaw, z: part.zero.z === 'top' ? z : 0 },
  });
  if (!at) return null;
  return {
    ...at,
    because: {
      words: 'From the vise’s place on the cheat sheet: a vise that was moved or swivelled has another.',
      formula: [
        `X = ${part.against === 'stop' ? 'stop' : part.against === 'left end' ? 'centre − width / 2' : 'centre + width / 2 − stock X'}${alongX ? ` + ${mm(alongX)}` : ''}`,
        `Y = fixed jaw${fromJaw ? ` ${f.far ? '−' : '+'} ${mm(fromJaw)}` : ''}`,
        `h = bed + parallels${part.zero.z === 'top' ? ' + stock Z' : ''}`,
      ].join('; '),
      values: [
        { name: 'centre', value: mm(f.centre) },
        { name: 'width', value: mm(f.width) },
        { name: 'fixed jaw', value: mm(f.jaw) },
        { name: 'bed', value: mm(f.bed) },
        { name: 'parallels', value: mm(part.parallels) },
      ],
    },
  };
}
