import type { AssemblyOutline } from '@/core/assemblies';
import { sameTaper } from '@/core/cutters';
import { readOnce, type ReadOnce } from '@/crib/door';
import { jobLines, standingChoices, workAround, type JobLine, type JobView } from '@/crib/jobs';
import { manyMeasurements, maybeAssembly, type MeasurementRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOpenUsesOf, maybeOperation, type OpenUseSum } from '@/data/jobs';
import { manyMachines } from '@/data/machines';
import { standingCards, standingOn, standingOne, type AssemblyCard, type TiedTo } from './cards';
import { registersOn, type MachineRegisters } from './registers';

/** An assembly as it hangs on the rack: what is drawn of it, and the figure below its tip. */
export interface RackCard {
  tag: string;
  cutter: { code: string; words: string };
  stickoutMm: number;
  outline: AssemblyOutline;
  measured: { state: AssemblyCard['measured']['state']; lengthMm: number | null };
  life: { used: number | null; leftMinutes: number | null };
  /** Flank wear as a share of the limit; null without a reading. */
  wear: number | null;
  ties: Pick<TiedTo, 'operation' | 'job' | 't' | 'goodFor' | 'reachMm'>[];
}
export interface RackView {
  assemblies: RackCard[];
}

/** Drawn to a hundredth of a millimetre. */
const drawn = (points: AssemblyOutline['flute']) =>
  points.map((p) => ({ z: Math.round(p.z * 100) / 100, r: Math.round(p.r * 100) / 100 }));

const rackCard = (a: AssemblyCard): RackCard => ({
  tag: a.tag,
  cutter: { code: a.cutter.code, words: a.cutter.words },
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
  life: { used: a.life.used, leftMinutes: a.life.leftMinutes },
  wear: a.wear.latest && a.wear.latest.flankWearMm / a.wear.limitMm,
  ties: a.ties.map(({ operation, job, t, goodFor, reachMm }) => ({ operation, job, t, goodFor, reachMm })),
});

/** All assemblies that stand, by tag, as the rack draws them. */
export async function rackView(
  c: Connection,
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<RackView> {
  return { assemblies: (await once(standingCards)).map(rackCard) };
}

/** An assembly with everything its tag shows. */
export interface AssemblyView extends AssemblyCard {
  measurements: MeasurementRow[];
  /** Empty until measured and out of question: then there is nothing to enter in a machine. */
  registers: MachineRegisters[];
}

/** One assembly that stands; null where there is none of that tag. */
export async function assemblyView(c: Connection, tag: string, zone: string): Promise<AssemblyView | null> {
  const assembly = await maybeAssembly(c, tag.toUpperCase());
  if (!assembly || assembly.takenDownEntryId !== null) return null;
  const { card, row, cutter, operations } = await standingOne(c, assembly);
  const { measured } = card;
  const machines = measured.state === 'measured' ? await manyMachines(c) : [];
  return {
    ...card,
    measurements: await manyMeasurements(c, row.id),
    registers:
      measured.state === 'measured'
        ? machines
            .filter((m) => card.holder.taper !== null && sameTaper(m.taper, card.holder.taper) === true)
            .map((m) => registersOn(m, measured.measurement, cutter.DC, operations, zone))
        : [],
  };
}

/** What the machine's screen shows: an operation, the assemblies on its tools, minutes that belong to no cutter. */
export interface RunView {
  job: JobLine;
  assemblies: RackCard[];
  openUses: Pick<OpenUseSum, 't' | 'minutes'>[];
  /** Assemblies that may have run them; empty where none are open. */
  standing: JobView['standing'];
}

/** An operation at the machine; null where there is none of that number. */
export async function runView(c: Connection, operationId: number): Promise<RunView | null> {
  const operation = await maybeOperation(c, operationId);
  if (!operation) return null;
  const work = await workAround(c, [operation]);
  const [job] = jobLines(work);
  if (!job) return null;
  const openUses = await manyOpenUsesOf(c, operationId);
  return {
    job,
    assemblies: (await standingOn(c, work)).map(rackCard),
    openUses: openUses.map(({ t, minutes }) => ({ t, minutes })),
    standing: openUses.length ? await standingChoices(c) : [],
  };
}
