import {
  changeAtOf,
  asksOf,
  judgeUse,
  notCalled,
  type RecipesHere,
  type UseBuild,
  type UseJudgement,
  type UseState,
} from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import { hereOf, machineOf, partsLeftOf, readOtherwiseOn } from '@/crib/assemblies';
import type { Planned } from '@/crib/work';
import type { ChangeRuleRow, OperationRow, PassDepthRow, ProgramRow } from '@/data/jobs';
import type { LoadedRow } from '@/data/pockets';
import type { MachineRow } from '@/data/shop';

/** A T of an operation: what its program and its planner say of it. */
export interface Asked {
  operation: OperationRow;
  machine: MachineRow;
  /** The program in force; null: there is none. */
  program: ProgramRow | null;
  t: number;
  /** null: the program in force does not call it. */
  tool: ToolReport | null;
  pass: PassDepthRow | null;
  /** The pocket it stands in there under this T; null: it does not. */
  load: LoadedRow | null;
  /** When its cutter is changed; null: nobody said, or when a sign shows. */
  change: ChangeRuleRow | null;
  plan: Planned | null;
  /** How its cutter is run in what is cut. */
  recipes: RecipesHere | null;
}

/** The answer for a T: what stands on it, or nothing; `was`: what was taken down from it. */
export const judgedUse = (
  { operation, machine, program, t, tool, pass, recipes, change }: Asked,
  assembly: (UseBuild & UseState) | null,
  was: string | null = null,
): UseJudgement =>
  tool === null
    ? notCalled(t)
    : judgeUse({
        asks: asksOf(tool, program ? readOtherwiseOn(program, machine).figures : []),
        here: hereOf(operation, pass, recipes, changeAtOf(change, tool)),
        machine: machineOf(machine),
        partsLeft: partsLeftOf(operation),
        assembly,
        was,
      });
