import { CYCLE_RUNS, type CycleFactor, cycleFactor, type CycleMinutes, cycleMinutes } from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import type { Connection } from '@/data/database';
import { type CycleRunRow, manyCycleRuns, type ProgramRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';

/** What a program says of a part's time, with its machine's own figures; null: there is no program. */
export function cycleOf(program: ProgramRow | undefined, machine: MachineRow): CycleMinutes | null {
  if (!program) return null;
  const sum = (of: (tool: ToolReport) => number) =>
    program.tools.reduce((total, tool) => total + of(tool), 0);
  return cycleMinutes(
    sum((tool) => tool.cutting_s),
    sum((tool) => tool.rapid_known_mm),
    program.toolChanges,
    { rapidMmMin: machine.rapidMmMin, toolChangeS: machine.toolChangeS },
  );
}

/** How much longer each of some machines takes than is reckoned, with the timed parts that say so. */
export async function cycleFactors(
  c: Connection,
  machineIds: readonly number[],
): Promise<Map<number, { factor: CycleFactor; runs: CycleRunRow[] }>> {
  const rows = machineIds.length ? await manyCycleRuns(c, machineIds, CYCLE_RUNS) : [];
  return new Map(
    machineIds.flatMap((id) => {
      const runs = rows.filter((r) => r.machineId === id);
      const factor = cycleFactor(
        runs.map((r) => ({
          ...{ minutes: r.minutes, reckoned: r.reckoned },
          of: `${r.job}, timed by ${r.who}`,
        })),
      );
      return factor ? [[id, { factor, runs }] as const] : [];
    }),
  );
}
