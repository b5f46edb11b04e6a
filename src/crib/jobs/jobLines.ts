import { cycleMinutes, checkToolLine, reachNeeded, type CycleMinutes } from '@/core/jobs';
import { worstGrade, type Grade, type Judgement } from '@/core/because';
import type { ToolReport } from '@/core/programs';
import { readOnce, type ReadOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import type { OperationRow, PassDepthRow, TieRow } from '@/data/jobs';
import type { MachineRow } from '@/data/machines';
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
const keyOf = (x: { operation_id: number; t: number }) => `${x.operation_id} ${x.t}`;

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
  const machine = around.machines.get(o.machine_id)!;
  const program = around.programs.get(o.id);
  const tools = (program?.tools ?? []).map((tool) => toolLine(o, tool, machine, around));
  const sum = (of: (t: ToolReport) => number) => tools.reduce((total, t) => total + of(t.tool), 0);
  return {
    operation: o,
    program: program
      ? {
          entryId: program.entry_id,
          name: program.name,
          since: program.happened_at,
          who: program.who,
          toolChanges: program.tool_changes,
        }
      : null,
    tools,
    ready: tools.filter((t) => t.tag).length,
    partsLeft: Math.max(0, o.quantity - o.parts_made),
    cycle: program
      ? cycleMinutes(
          sum((t) => t.cutting_s),
          sum((t) => t.rapid_mm),
          program.tool_changes,
          { rapidMmMin: machine.rapid_mm_min, toolChangeS: machine.tool_change_s },
        )
      : null,
    grade: worstGrade(tools.flatMap((t) => t.judgements)),
  };
}

function toolLine(o: OperationRow, tool: ToolReport, machine: MachineRow, around: Around): ToolLine {
  const key = keyOf({ operation_id: o.id, t: tool.t });
  const tied = around.assemblies.get(around.ties.get(key)?.assembly_id ?? -1);
  const on = tied && tied.taken_down_entry_id === null ? tied : undefined;
  const pass = around.passes.get(key);
  const cutter = on && around.items.get(on.cutter_item_id);
  const holder = on && around.items.get(on.holder_item_id);
  return {
    t: tool.t,
    tool,
    minutesPerPart: tool.cutting_s / 60,
    tag: on?.tag ?? null,
    words: cutter?.words ?? null,
    wasTag: on ? null : (tied?.tag ?? null),
    passDepth: pass?.depth_entered ?? null,
    reachMm: reachNeeded(o.highest_beside_mm, tool.lowest_feed_z_mm),
    judgements: checkToolLine({
      t: tool.t,
      h: tool.h,
      spindle: tool.spindle,
      feeds: tool.feeds.map((f) => f.f * (f.unit === 'inch/min' ? 25.4 : 1)),
      lowestFeedZ: tool.lowest_feed_z_mm,
      highestBeside: o.highest_beside_mm,
      passDepth: pass?.depth_mm ?? null,
      hEqualsT: machine.h_equals_t,
      machineRpmMax: machine.rpm_max,
      machineFeedMax: machine.feed_max_mm_min,
      assembly: on
        ? {
            tag: on.tag,
            stickout: on.stickout_mm,
            LCF: cutter?.cutter?.LCF ?? null,
            holderRpmMax: holder?.holder?.RPM_MAX ?? null,
          }
        : null,
    }),
  };
}
