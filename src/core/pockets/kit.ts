import type { UseJudgement } from '../jobs';

/** How a T of a job stands at its machine, from what is done to what is missing. */
export const KIT_STATES = [
  'loaded and good',
  'loaded, life too short',
  'loaded, to look at',
  'pulled, ready',
  'pulled, to look at',
  'in the crib, ready',
  'in the crib, to look at',
  'elsewhere',
  'to measure',
  'to build',
  'missing',
] as const;
export type KitState = (typeof KIT_STATES)[number];

/** Heaps of a kit, what must be seen to first on top: what is to be done, and which states are in it. Each state is in one. */
export const KIT_HEAPS: readonly (readonly [todo: string, states: readonly KitState[]])[] = [
  ['To buy, or to wait for', ['missing']],
  ['To build', ['to build']],
  ['To measure', ['to measure']],
  [
    'To look at',
    ['loaded, to look at', 'loaded, life too short', 'pulled, to look at', 'in the crib, to look at'],
  ],
  ['Elsewhere, to be fetched', ['elsewhere']],
  ['On the rack, to be pulled', ['in the crib, ready']],
  ['Pulled', ['pulled, ready']],
  ['In the machine', ['loaded and good']],
];

/** What is known of a T of a job. */
export interface KitLine {
  /** The assembly that is tied to it and stands. */
  tag: string | null;
  /** Whether it may run there now. */
  use: Pick<UseJudgement, 'grade' | 'judgements' | 'goodFor'>;
  /** Parts that are still to be cut of its job. */
  partsLeft: number;
  measured: 'measured' | 'in question' | 'not measured' | null;
  /** It is off the rack for this job, on a cart or in somebody's hands; left out: it is not. */
  pulled?: boolean;
  /** Under which T it is in the machine; null: it is not in it. */
  loadedAs: number | null;
  /** It is in another machine, or off the rack for another job; left out: it is not. */
  elsewhere?: boolean;
  t: number;
  /** Cutters of its kind that could be built with; null: what it was is not known. */
  toBuildWith: number | null;
}

/** Judgements of what is left of an edge. */
const OF_THE_EDGE = ['LIFE', 'WEAR'];

/**
 * How one T of a job stands: in the machine, in the crib, to be measured, built or bought. Whether it may run is the
 * answer of judgeUse. In the machine under another T it is not here: the machine would take another tool for this one.
 * Example: tied and good, but in no pocket: in the crib, ready.
 */
export function kitState({
  tag,
  use,
  partsLeft,
  measured,
  pulled,
  loadedAs,
  elsewhere,
  t,
  toBuildWith,
}: KitLine): KitState {
  if (tag === null) return toBuildWith === 0 ? 'missing' : 'to build';
  if (measured !== 'measured') return 'to measure';
  const isIn = loadedAs === t;
  if (!isIn && (elsewhere || loadedAs !== null)) return 'elsewhere';
  const against = use.judgements.filter((j) => !j.aside && j.grade !== 'good');
  if (use.grade === 'good' || !against.length)
    return isIn ? 'loaded and good' : pulled ? 'pulled, ready' : 'in the crib, ready';
  if (!isIn) return pulled ? 'pulled, to look at' : 'in the crib, to look at';
  // What nobody can say of its edge is looked at; so is one that is to be changed soon, but not before the job's last part.
  const tooShort = use.goodFor !== null && use.goodFor < partsLeft;
  return tooShort && against.every((j) => OF_THE_EDGE.includes(j.code))
    ? 'loaded, life too short'
    : 'loaded, to look at';
}

/**
 * Why a tool is not carried to the machine: it must not run as any T of the job that it is tied to; null: it may go.
 * Common practice: what is known to be worn or wrong is not put on the cart, where the next one takes it for good.
 * Example: worn for T3 and tied to nothing else: 'Flank wear 0.35 of 0.30 mm'; a stop as T3, but good as T8: null.
 */
export function staysOnRack(
  uses: readonly (Pick<UseJudgement, 'grade'> & { t: number; why: string | null })[],
): string | null {
  const [one] = uses;
  if (!one || uses.some((use) => use.grade !== 'stop')) return null;
  return one.why ?? `it must not run as T${one.t}`;
}
