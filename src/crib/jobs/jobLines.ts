import { type Grade, type Judgement, worstGrade } from '@/core/because';
import { checkToolLine, type CycleMinutes, cycleMinutes, reachNeeded } from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import { held } from '@/core/sure';
import { type ReadOnce, readOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import type { OperationRow, PassDepthRow, TieRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';
import { openWork, type Work } from './openWork';

export interface ToolLine {
  t: number;
  tool: ToolReport;
  minutesPerPart: number;
  /** The assembly tied to it that still stands. */
  tag: string | null;
  words: string | null;
  /** Tied once, but taken down since. */
  wasTag: string | null;
  passDepth: string | null;
  reachMm: number | null;
  judgements: Judgement[];
}

/** An operation with its program's tools, each checked against the assembly tied to it. */
export interface JobLine {
  operation: OperationRow;
  program: { entryId: number; name: string; since: Date; who: string; toolChanges: number } | null;
  tools: ToolLine[];
  ready: number;
  partsLeft: number;
  cycle: CycleMinutes | null;
  grade: Grade;
}

/** Operations with parts still to make, by due day. */
export const openJobs = async (
  c: Connection,
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<JobLine[]> => jobLines(await once(openWork));

interface Around extends Omit<Work, 'ties' | 'passes'> {
  ties: Map<string, TieRow>;
  passes: Map<string, PassDepthRow>;
}
const keyOf = (x: { operationId: number; t: number }) => `${x.operationId} ${x.t}`;

/** Operations, each T judged by what is around it. */
export function jobLines(work: Work): JobLine[] {
  const around: Around = {
    ...work,
    ties: new Map(work.ties.map((t) => [keyOf(t), t])),
    passes: new Map(work.passes.map((p) => [keyOf(p), p])),
  };
  return work.operations.map((o) => jobLine(o, around));
}

function jobLine(o: OperationRow, around: Around): JobLine {
  const machine = held(around.machines, o.machineId);
  const program = around.programs.get(o.id);
  const tools = (program?.tools ?? []).map((tool) => toolLine(o, tool, machine, around));
  const sum = (of: (t: ToolReport) => number) => tools.reduce((total, t) => total + of(t.tool), 0);
  return {
    operation: o,
    program: program
      ? {
          entryId: program.entryId,
          name: program.name,
          since: program.happenedAt,
          who: program.who,
          toolChanges: program.toolChanges,
        }
      : null,
    tools,
    ready: tools.filter((t) => t.tag).length,
    partsLeft: Math.max(0, o.quantity - o.partsMade),
    cycle: program
      ? cycleMinutes(
          sum((t) => t.cutting_s),
          sum((t) => t.rapid_mm),
          program.toolChanges,
          { rapidMmMin: machine.rapidMmMin, toolChangeS: machine.toolChangeS },
        )
      : null,
    grade: worstGrade(tools.flatMap((t) => t.judgements)),
  };
}

function toolLine(o: OperationRow, tool: ToolReport, machine: MachineRow, around: Around): ToolLine {
  const key = keyOf({ operationId: o.id, t: tool.t });
  const tied = around.assemblies.get(around.ties.get(key)?.assemblyId ?? -1);
  const on = tied && tied.takenDownEntryId === null ? tied : undefined;
  const pass = around.passes.get(key);
  const cutter = on && around.items.get(on.cutterItemId);
  const holder = on && around.items.get(on.holderItemId);
  return {
    t: tool.t,
    tool,
    minutesPerPart: tool.cutting_s / 60,
    tag: on?.tag ?? null,
    words: cutter?.words ?? null,
    wasTag: on ? null : (tied?.tag ?? null),
    passDepth: pass?.depthEntered ?? null,
    reachMm: reachNeeded(o.highestBesideMm, tool.lowest_feed_z_mm),
    judgements: checkToolLine({
      t: tool.t,
      h: tool.h,
      spindle: tool.spindle,
      feeds: tool.feeds.map((f) => f.f * (f.unit === 'inch/min' ? 25.4 : 1)),
      lowestFeedZ: tool.lowest_feed_z_mm,
      highestBeside: o.highestBesideMm,
      passDepth: pass?.depthMm ?? null,
      hEqualsT: machine.hEqualsT,
      machineRpmMax: machine.rpmMax,
      machineFeedMax: machine.feedMaxMmMin,
      assembly: on
        ? {
            tag: on.tag,
            stickout: on.stickoutMm,
            LCF: cutter?.cutter?.LCF ?? null,
            holderRpmMax: holder?.holder?.RPM_MAX ?? null,
          }
        : null,
    }),
  };
}
