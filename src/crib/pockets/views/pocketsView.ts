import { type Grade, worstGrade } from '@/core/because';
import { registerText } from '@/core/measuring';
import { fewestChanges, type JobChanges, judgePocket, type KitState, kitState } from '@/core/pockets';
import type { POCKETS, Question } from '@/core/questions';
import { jobLines } from '@/crib/jobs';
import { type SisterOn, sistersOn, standsInFor } from '@/crib/rack';
import { workAround } from '@/crib/work';
import type { Connection } from '@/data/database';
import { manyOpenOperations, maybeReport } from '@/data/jobs';
import { type LoadRow, manyKept, manyLoads, type MagazineRow, maybeMagazine } from '@/data/pockets';
import { type MachineRow, maybeMachine } from '@/data/shop';
import { elsewhere, pulledFor, toBuildWith } from '../toBuild';
import { asTools, type InMachine, magazineOf, toolsIn, type UseHere, useHere } from '../inPockets';

/** An assembly as it is shown at a machine: what it is, and its numbers there. */
export interface ToolHere {
  tag: string;
  cutter: string;
  words: string;
  lengthMm: number;
  wideMm: number | null;
  weight: { kg: number; atLeast: boolean };
  /** As typed in on this machine; null: there is no figure to enter. */
  H: string | null;
  D: string | null;
  /** Whether it may run here; null: nothing speaks against it, and no job calls it. */
  use: UseHere | null;
  leftMinutes: number | null;
}

/** A pocket and what is in it. */
export interface PocketLine {
  pocket: number;
  tool:
    | (ToolHere &
        Pick<LoadRow, 't' | 'h' | 'd' | 'counterZero' | 'happenedAt' | 'who' | 'entryId'> & {
          /** Others under the same T. */
          sisters: string[];
          /** Weight, length and room. */
          pocket: { grade: Grade; why: string | null };
        })
    | null;
}

export interface KitOf {
  t: number;
  tag: string | null;
  words: string;
  state: KitState;
  /** Whether it may run, and why not. */
  grade: Grade;
  why: string | null;
  pocket: number | null;
  /** Where it is, where it is neither in this machine under its T nor on the rack; null: it is. */
  elsewhere: string | null;
}

export interface PocketsView {
  machine: Pick<MachineRow, 'code' | 'name' | 'taper' | 'hEqualsT' | 'units'>;
  magazine: MagazineRow | null;
  pockets: PocketLine[];
  /** Tied to open jobs of this machine and in none of its pockets. */
  waiting: ToolHere[];
  /** Open jobs of it by their start: how each T stands; where tools are swapped by hand, each stop of the program. */
  jobs: { job: string; operation: number; lines: KitOf[]; order: number[] }[];
  /** The fewest changes for those jobs, one after another. */
  changes: JobChanges[];
  /** Cutters kept under a T; `is`: what is in the machine under it now. */
  kept: { t: number; item: string; is: string | null; right: boolean }[];
}

/** A machine's magazine with what is in it, what its jobs want, and the fewest changes; null: no such machine. */
export async function pocketsView(
  c: Connection,
  asked: Question<typeof POCKETS>,
  today: string,
  zone: string,
): Promise<PocketsView | null> {
  const machine = await maybeMachine(c, asked.machine ?? '');
  if (!machine) return null;
  const magazine = await maybeMagazine(c, machine.id);
  const loads = await manyLoads(c, machine.id);
  const open = (await manyOpenOperations(c)).filter((o) => o.machineId === machine.id);
  const work = await workAround(c, open);
  const tied = work.ties.flatMap((t) => t.assemblyId ?? []);
  const tools = await asTools(c, [...loads.map((l) => l.assemblyId), ...tied], machine, zone);
  const lines = jobLines(
    work,
    [...tools.values()].map((x) => x.card),
  );
  const byTag = new Map([...tools.values()].map((x) => [x.row.tag, x]));
  const inPocket = new Map(loads.map((l) => [l.tag, l]));
  const kept = await manyKept(c, machine.id);
  const pulled = await pulledFor(
    c,
    [...tools.values()].map((x) => x.row.id),
  );
  const isKept = (l: LoadRow) =>
    kept.some((k) => k.t === l.t && k.itemId === tools.get(l.assemblyId)?.row.cutterItemId);
  const sisters = await sistersOn(c, work);
  const here = (x: InMachine) => toolHere(x, machine, sisters);
  const jobs: PocketsView['jobs'] = [];
  for (const line of lines) {
    const kit: KitOf[] = [];
    for (const tool of line.tools) {
      const load = tool.tag === null ? undefined : inPocket.get(tool.tag);
      const id = byTag.get(tool.tag ?? '')?.row.id ?? -1;
      const move = pulled.get(id);
      const away = elsewhere(work.loads.get(id), move, line.operation, tool.t);
      const measured = tool.tag === null ? null : (byTag.get(tool.tag)?.card.measured.state ?? null);
      kit.push({
        t: tool.t,
        tag: tool.tag,
        words: tool.words ?? tool.tool.name ?? '',
        state: kitState({
          ...{ tag: tool.tag, use: tool.use, measured, t: tool.t, partsLeft: line.partsLeft },
          loadedAs: load?.t ?? null,
          pulled: move?.operationId === line.operation.id,
          elsewhere: away !== null,
          toBuildWith: tool.tag === null ? await toBuildWith(c, line.operation, tool, today) : null,
        }),
        grade: tool.use.grade,
        why: tool.use.grade === 'good' ? null : tool.use.why,
        pocket: load?.pocket ?? null,
        elsewhere: away,
      });
    }
    jobs.push({
      job: line.operation.job,
      operation: line.operation.id,
      lines: kit,
      // Only where somebody stands at each stop: a T that is called twice is swapped in twice.
      order:
        magazine?.kind === 'by hand' && line.program
          ? ((await maybeReport(c, line.program.entryId))?.report.tool_sequence ?? [])
          : [],
    });
  }
  return {
    machine: {
      ...{ code: machine.code, name: machine.name, taper: machine.taper },
      ...{ hEqualsT: machine.hEqualsT, units: machine.units },
    },
    magazine,
    pockets: magazine ? pocketLines(magazine, loads, tools, here) : [],
    waiting: [...new Set(tied)].flatMap((id) => {
      const x = tools.get(id);
      return x && !inPocket.has(x.row.tag) ? [here(x)] : [];
    }),
    jobs,
    changes: fewestChanges(
      magazine?.pockets ?? 0,
      loads.map(({ pocket, t, tag }) => ({ pocket, t, tag })),
      jobs.map(({ job, lines: kit }) => ({
        job,
        needs: kit.flatMap(({ t, tag }) => (tag === null ? [] : [{ t, tag }])),
      })),
      new Set(loads.filter(isKept).map((l) => l.tag)),
    ),
    kept: kept.map((k) => {
      const load = loads.find((l) => l.t === k.t);
      return { t: k.t, item: k.code, is: load?.tag ?? null, right: load !== undefined && isKept(load) };
    }),
  };
}

function toolHere(
  { card, tool, registers }: InMachine,
  machine: MachineRow,
  sisters: readonly SisterOn[],
): ToolHere {
  return {
    tag: card.tag,
    cutter: card.cutter.code,
    words: card.cutter.words,
    lengthMm: tool.length,
    wideMm: tool.wide,
    weight: tool.weight,
    H: registers && registerText(registers.H, machine),
    D: registers && registerText(registers.D, machine),
    use: useHere(card, machine, standsInFor(card, machine.code, sisters)),
    leftMinutes: card.life.leftMinutes,
  };
}

function pocketLines(
  row: MagazineRow,
  loads: readonly LoadRow[],
  tools: ReadonlyMap<number, InMachine>,
  here: (x: InMachine) => ToolHere,
): PocketLine[] {
  const all = toolsIn(loads, tools);
  return Array.from({ length: row.pockets }, (_, i): PocketLine => {
    const pocket = i + 1;
    const load = loads.find((l) => l.pocket === pocket);
    const x = load && tools.get(load.assemblyId);
    if (!load || !x) return { pocket, tool: null };
    const judgements = judgePocket(magazineOf(row), pocket, x.tool, all);
    const grade = worstGrade(judgements);
    const { t, h, d, counterZero, happenedAt, who, entryId } = load;
    return {
      pocket,
      tool: {
        ...here(x),
        ...{ t, h, d, counterZero, happenedAt, who, entryId },
        sisters: loads.filter((l) => l !== load && l.t === t).map((l) => l.tag),
        pocket: { grade, why: judgements.find((j) => j.grade === grade && grade !== 'good')?.words ?? null },
      },
    };
  });
}
