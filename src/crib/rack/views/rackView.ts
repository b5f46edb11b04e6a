import { answersTo, type AssemblyOutline } from '@/core/assemblies';
import type { UseJudgement } from '@/core/jobs';
import type { Question, RACK } from '@/core/questions';
import { type ReadOnce, readOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import { workAround } from '@/crib/work';
import { manyOpenOperations } from '@/data/jobs';
import { manyLoads } from '@/data/pockets';
import { maybeMachine } from '@/data/shop';
import { manyAssembliesById } from '@/data/assemblies';
import { type AssemblyCard, standingCards, standingOn, standingThese, type TiedTo } from '../cards';

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
  /** Wear of flank or corner as a share of its criterion, the larger; null without a reading. */
  wear: number | null;
  /** Where along the flute it is worn, mm from the tip, as read last; null: nobody said. */
  zone: { fromMm: number; toMm: number } | null;
  /** What is known of it by itself, whatever calls it: one that is tied to nothing is marked by this. */
  itself: Pick<UseJudgement, 'grade' | 'why'>;
  ties: RackTie[];
}
/** A T it is tied to, with the answer whether it may run there, and why not. */
export interface RackTie extends Pick<TiedTo, 'operation' | 'job' | 'machine' | 't' | 'reachMm'> {
  use: Pick<UseJudgement, 'grade' | 'why' | 'goodFor'>;
}
export interface RackView {
  assemblies: RackCard[];
  /** How many answer, and whether they are more than came. */
  total: number;
  more: boolean;
  /** Tapers of all that stand, or of the machine’s: those that can be asked for. */
  tapers: string[];
}

/** So many hang legibly on one page; what is asked for narrows them. */
const HUNG = 500;

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
  wear: wearShare(a.wear),
  zone: a.wear.zone,
  itself: { grade: a.itself.grade, why: a.itself.why },
  ties: a.ties.map(({ operation, job, machine, t, reachMm, use: { grade, why, goodFor } }) => ({
    operation,
    job,
    machine,
    t,
    reachMm,
    use: { grade, why, goodFor },
  })),
});

const wearShare = ({
  flankMm,
  limitMm,
  cornerMm,
  cornerLimitMm,
  wornAt,
}: AssemblyCard['wear']): number | null =>
  wornAt === 'gauge'
    ? 1
    : flankMm === null && cornerMm === null
      ? null
      : Math.max((flankMm ?? 0) / limitMm, (cornerMm ?? 0) / cornerLimitMm);

/** All assemblies that stand, by tag. */
const allCards = async (
  c: Connection,
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<RackCard[]> => (await once(standingCards)).map(rackCard);

/**
 * Assemblies that stand and answer to what is asked, by tag, as the rack draws them. Those of one machine, tied to its open jobs or in its pockets, are read by
 * themselves, however many stand.
 */
export async function rackView(
  c: Connection,
  asked: Question<typeof RACK> = {},
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<RackView> {
  const { find = '', machine = null, taper = null } = asked;
  const all = machine === null ? await once(allCards) : await cardsOf(c, machine);
  const found = all.filter((card) => answersTo(card, { find, taper }));
  const tapers = [...new Set(all.flatMap((card) => card.holder.taper ?? []))].sort();
  return { assemblies: found.slice(0, HUNG), total: found.length, more: found.length > HUNG, tapers };
}

/** What is tied to the open work of one machine, and what else is in its pockets. */
async function cardsOf(c: Connection, machineCode: string): Promise<RackCard[]> {
  const machine = await maybeMachine(c, machineCode);
  if (!machine) return [];
  const open = (await manyOpenOperations(c)).filter((o) => o.machineId === machine.id);
  const tied = await standingOn(c, await workAround(c, open));
  const tags = new Set(tied.map((card) => card.tag));
  const loose = (await manyLoads(c, machine.id)).filter((l) => !tags.has(l.tag)).map((l) => l.assemblyId);
  const rows = loose.length ? await manyAssembliesById(c, loose) : [];
  const loaded = rows.length ? (await standingThese(c, rows)).map((x) => x.card) : [];
  return [...tied, ...loaded]
    .map(rackCard)
    .sort((a, b) => a.tag.localeCompare(b.tag, 'en', { numeric: true }));
}
