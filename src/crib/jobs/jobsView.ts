import { cycleMinutes, checkToolLine, reachNeeded, type CycleMinutes } from '@/core/jobs';
import { worstGrade, type Grade, type Judgement } from '@/core/because';
import type { ProgramReport, ToolReport } from '@/core/programs';
import { loadItems } from '@/crib/cutters';
import { manyAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  manyOperations,
  manyPartsLogs,
  manyPassDepths,
  manyPrograms,
  manyTies,
  type OperationRow,
  type PartsLogRow,
} from '@/data/jobs';
import { manyMachines } from '@/data/machines';

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

export interface JobLine {
  operation: OperationRow;
  program: { entryId: number; name: string; since: Date; who: string; report: ProgramReport } | null;
  tools: ToolLine[];
  ready: number;
  partsLeft: number;
  cycle: CycleMinutes | null;
  grade: Grade;
  logs: PartsLogRow[];
}

export interface JobsView {
  jobs: JobLine[];
}

/** Jobs by due day, each T checked against the assembly tied to it. */
export async function jobsView(c: Connection): Promise<JobsView> {
  const assemblies = new Map((await manyAssemblies(c)).map((a) => [a.id, a]));
  const standing = [...assemblies.values()].filter((a) => a.taken_down_entry_id === null);
  const ids = [...new Set(standing.flatMap((a) => [a.cutter_item_id, a.holder_item_id]))];
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const machines = new Map((await manyMachines(c)).map((m) => [m.id, m]));
  const programs = new Map((await manyPrograms(c)).map((p) => [p.operation_id, p]));
  const ties = await manyTies(c);
  const passes = await manyPassDepths(c);
  const jobs: JobLine[] = [];
  for (const o of await manyOperations(c)) {
    const machine = machines.get(o.machine_id)!;
    const program = programs.get(o.id);
    const tools = (program?.report.tools ?? []).map((tool): ToolLine => {
      const tied = assemblies.get(
        ties.find((x) => x.operation_id === o.id && x.t === tool.t)?.assembly_id ?? -1,
      );
      const on = tied && tied.taken_down_entry_id === null ? tied : undefined;
      const pass = passes.find((p) => p.operation_id === o.id && p.t === tool.t);
      const cutter = on && items.get(on.cutter_item_id);
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
                LCF: cutter!.cutter!.LCF,
                holderRpmMax: items.get(on.holder_item_id)!.holder!.RPM_MAX,
              }
            : null,
        }),
      };
    });
    const sum = (of: (t: ToolReport) => number) => tools.reduce((total, t) => total + of(t.tool), 0);
    jobs.push({
      operation: o,
      program: program
        ? {
            entryId: program.entry_id,
            name: program.name,
            since: program.happened_at,
            who: program.who,
            report: program.report,
          }
        : null,
      tools,
      ready: tools.filter((t) => t.tag).length,
      partsLeft: Math.max(0, o.quantity - o.parts_made),
      cycle: program
        ? cycleMinutes(
            sum((t) => t.cutting_s),
            sum((t) => t.rapid_mm),
            program.report.tool_changes,
            { rapidMmMin: machine.rapid_mm_min, toolChangeS: machine.tool_change_s },
          )
        : null,
      grade: worstGrade(tools.flatMap((t) => t.judgements)),
      logs: await manyPartsLogs(c, o.id),
    });
  }
  return { jobs };
}
