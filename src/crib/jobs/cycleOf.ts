import { CYCLE_RUNS, type CycleFactor, cycleFactor, type CycleMinutes, cycleMinutes } from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import type { Connection } from '@/data/database';
import { readOtherwiseOn } from '@/crib/assemblies';
import { type CycleRunRow, manyCycleRuns, type ProgramRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';

/** What a program says of a part's time, with its machine's own figures; null: there is no program. */
export function cycleOf(program: ProgramRow | undefined, machine: MachineRow): CycleMinutes | null {
  if (!program) return null;
  const sum = (of: (tool: ToolReport) => number) =>
    program.tools.reduce((total, tool) => total + of(tool), 0);
  const { tools } = program;
  // What its pieces take is of the machine as it was when it was read.
  const isRun = !readOtherwiseOn(program, machine).motion && tools.every((tool) => tool.run_s);
  const isTimed = tools.every((tool) => tool.run_s?.rapid != null);
  return cycleMinutes(
    sum((tool) => tool.cutting_s),
    sum((tool) => tool.rapid_known_mm),
    program.toolChanges,
    { rapidMmMin: machine.rapidMmMin, toolChangeS: machine.toolChangeS },
    {
      standingS: sum((tool) => tool.dwell_s),
      run:
        isRun && tools.length > 0
          ? {
              feed: sum((tool) => tool.run_s?.feed ?? 0),
              rapid: isTimed ? sum((tool) => tool.run_s?.rapid ?? 0) : null,
            }
          : null,
    },
  );
}

/** Parts that were timed at a machine, and how much longer it takes than is reckoned by those that count still; null: none does. */
export interface TimedParts {
  factor: CycleFactor | null;
  runs: CycleRunRow[];
}

/** How much longer each of some machines takes than is reckoned, with the timed parts that say so. */
export async function cycleFactors(
  c: Connection,
  machineIds: readonly number[],
): Promise<Map<number, TimedParts>> {
  const rows = machineIds.length ? await manyCycleRuns(c, machineIds, CYCLE_RUNS) : [];
  return new Map(
    machineIds.flatMap((id) => {
      const runs = rows.filter((r) => r.machineId === id);
      const factor = cycleFactor(
        runs
          .filter((r) => r.counts)
          .map((r) => ({
            ...{ minutes: r.minutes, reckoned: r.reckoned },
            of: `${r.job}, timed by ${r.who}`,
          })),
      );
      return runs.length ? [[id, { factor, runs }] as const] : [];
    }),
  );
}
