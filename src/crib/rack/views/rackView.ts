import type { AssemblyOutline } from '@/core/assemblies';
import { type Grade, worstGrade } from '@/core/because';
import type { UseJudgement } from '@/core/jobs';
import { type ReadOnce, readOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import { type AssemblyCard, standingCards, type TiedTo } from '../cards';

/** An assembly as it hangs on the rack: what is drawn of it, and the figure below its tip. */
export interface RackCard {
  tag: string;
  cutter: { code: string; words: string };
  holder: { code: string; taper: string | null };
  stickoutMm: number;
  outline: AssemblyOutline;
  measured: { state: AssemblyCard['measured']['state']; lengthMm: number | null };
  /** Minutes in the cut so far; share of its life used, and what is left, where that is known. */
  life: { minutes: number; used: number | null; leftMinutes: number | null };
  /** Flank wear as a share of the limit; null without a reading. */
  wear: number | null;
  /** What was judged of the build itself, at its worst. */
  build: Grade;
  ties: RackTie[];
}
/** A T it is tied to, with the answer whether it may run there, and why not. */
export interface RackTie extends Pick<TiedTo, 'operation' | 'job' | 'machine' | 't' | 'reachMm'> {
  use: Pick<UseJudgement, 'grade' | 'why' | 'goodFor'>;
}
export interface RackView {
  assemblies: RackCard[];
}

/** Drawn to a hundredth of a millimetre. */
const drawn = (points: AssemblyOutline['flute']) =>
  points.map((p) => ({ z: Math.round(p.z * 100) / 100, r: Math.round(p.r * 100) / 100 }));

export const rackCard = (a: AssemblyCard): RackCard => ({
  tag: a.tag,
  cutter: { code: a.cutter.code, words: a.cutter.words },
  holder: { code: a.holder.code, taper: a.holder.taper },
  stickoutMm: a.stickoutMm,
  outline: {
    ...a.outline,
    holder: drawn(a.outline.holder),
    shank: drawn(a.outline.shank),
    flute: drawn(a.outline.flute),
  },
  measured: {
    state: a.measured.state,
    lengthMm: a.measured.state === 'not measured' ? null : a.measured.measurement.gaugeLengthMm,
  },
  life: { minutes: a.life.minutes, used: a.life.used, leftMinutes: a.life.leftMinutes },
  wear: a.wear.latest && a.wear.latest.flankWearMm / a.wear.limit.value,
  build: worstGrade(a.judgements),
  ties: a.ties.map(({ operation, job, machine, t, reachMm, use: { grade, why, goodFor } }) => ({
    operation,
    job,
    machine,
    t,
    reachMm,
    use: { grade, why, goodFor },
  })),
});

/** All assemblies that stand, by tag, as the rack draws them. */
export async function rackView(
  c: Connection,
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<RackView> {
  return { assemblies: (await once(standingCards)).map(rackCard) };
}
