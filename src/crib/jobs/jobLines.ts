import { type Grade, worstGrade } from '@/core/because';
import {
  changeAtOf,
  type AskedHere,
  type CycleMinutes,
  type Leaves,
  reachNeeded,
  type UseJudgement,
  type UseMachine,
} from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import { held } from '@/core/sure';
import { hereOf, machineOf, partsLeftOf, readOtherwiseOn } from '@/crib/assemblies';
import { type RecipesAround, recipesHere } from '@/crib/cutting';
import { type ReadOnce, readOnce } from '@/crib/door';
import { type AssemblyCard, judgedUse, standingCards } from '@/crib/rack';
import { openWork, type Planned, type Work } from '@/crib/work';
import type { Connection } from '@/data/database';
import type { ChangeRuleRow, OperationRow, PassDepthRow, TieRow } from '@/data/jobs';
import type { SheetMust } from '@/data/sheets';
import { cycleOf } from './cycleOf';

/** What a T is planned to be. */
export interface PlannedLine {
  does: string | null;
  /** What it is to be, in a few words; null: nobody said. */
  words: string | null;
  /** The item or the build sheet it names. */
  item: string | null;
  sheet: string | null;
  /** Figures any cutter must have, mm. */
  must: SheetMust | null;
  /** What it leaves on the part for another. */
  leaves: Leaves;
  /** The recipe it is to run by; null: none is named. */
  recipe: string | null;
  entryId: number;
  who: string;
}

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
  /** When its cutter is changed, and how many parts each does until then; null: nobody said. */
  change: (Omit<ChangeRuleRow, 'operationId' | 't' | 'happenedAt'> & { each: number | null }) | null;
  /** Parts until then; null: it runs until a sign shows, or nothing is tied to it. */
  untilChange: number | null;
  reachMm: number | null;
  /** What it is planned to be, and to do; null: nobody said. */
  plan: PlannedLine | null;
  /** What is known of it beside its program. */
  here: AskedHere;
  /** Whether what is tied to it may run, and why not. */
  use: UseJudgement;
}

/** An operation with its program's tools, each judged for its use there. */
export interface JobLine {
  operation: OperationRow;
  machine: UseMachine;
  program: {
    entryId: number;
    name: string;
    since: Date;
    who: string;
    toolChanges: number;
    /** What of it was read otherwise than its machine is taken for now. */
    otherwise: { figures: string[]; motion: boolean };
    /** The job it was stored for, where this one took it over. */
    takenFrom: string | null;
  } | null;
  tools: ToolLine[];
  /** Tools that may run. */
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
): Promise<JobLine[]> => jobLines(await once(openWork), await once(standingCards));

interface Around extends Omit<Work, 'ties' | 'passes' | 'plans' | 'changes'> {
  changes: Map<string, ChangeRuleRow>;
  plans: Map<string, Planned>;
  ties: Map<string, TieRow>;
  passes: Map<string, PassDepthRow>;
  cards: Map<string, AssemblyCard>;
}
const keyOf = (x: { operationId: number; t: number }) => `${x.operationId} ${x.t}`;

/** Operations, each T with what stands on it: `cards` are of all that is tied and stands. */
export function jobLines(work: Work, cards: readonly AssemblyCard[]): JobLine[] {
  const around: Around = {
    ...work,
    ties: new Map(work.ties.map((t) => [keyOf(t), t])),
    changes: new Map(work.changes.map((x) => [keyOf(x), x])),
    passes: new Map(work.passes.map((p) => [keyOf(p), p])),
    plans: new Map(work.plans.map((p) => [keyOf(p.row), p])),
    cards: new Map(cards.map((card) => [card.tag, card])),
  };
  return work.operations.map((o) => jobLine(o, around));
}

function jobLine(o: OperationRow, around: Around): JobLine {
  const machine = held(around.machines, o.machineId);
  const program = around.programs.get(o.id);
  const tools = (program?.tools ?? []).map((tool) => toolLine(o, tool, around));
  return {
    operation: o,
    machine: machineOf(machine),
    program: program
      ? {
          entryId: program.entryId,
          name: program.name,
          since: program.happenedAt,
          who: program.who,
          toolChanges: program.toolChanges,
          otherwise: readOtherwiseOn(program, machine),
          takenFrom: program.takenFrom,
        }
      : null,
    tools,
    ready: tools.filter((t) => t.use.grade === 'good').length,
    partsLeft: partsLeftOf(o),
    cycle: cycleOf(program, machine),
    grade: worstGrade(tools.map((t) => t.use)),
  };
}

function toolLine(o: OperationRow, tool: ToolReport, around: Around): ToolLine {
  const key = keyOf({ operationId: o.id, t: tool.t });
  const machine = held(around.machines, o.machineId);
  const tied = around.assemblies.get(around.ties.get(key)?.assemblyId ?? -1);
  const card = tied && tied.takenDownEntryId === null ? held(around.cards, tied.tag) : null;
  const pass = around.passes.get(key) ?? null;
  const change = around.changes.get(key) ?? null;
  const changeAt = changeAtOf(change, tool);
  const plan = around.plans.get(key) ?? null;
  const recipes = recipesHere(around.recipes, o.material, plan?.row.recipeId ?? null);
  const wasTag = card ? null : (tied?.tag ?? null);
  const on = card?.ties.find((x) => x.operation === o.id && x.t === tool.t);
  return {
    t: tool.t,
    tool,
    minutesPerPart: tool.cutting_s / 60,
    tag: card?.tag ?? null,
    words: card?.cutter.words ?? null,
    wasTag,
    passDepth: pass?.depthEntered ?? null,
    change: change && { ...ruleOf(change), each: changeAt?.parts ?? null },
    untilChange: on?.untilChange ?? null,
    reachMm: reachNeeded(o.highestBesideMm, tool.lowest_feed_z_mm),
    plan: plan && plannedLine(plan, around.recipes),
    here: hereOf(o, pass, recipes?.named ? recipes : null, changeAt),
    use:
      on?.use ??
      judgedUse(
        {
          operation: o,
          machine,
          program: around.programs.get(o.id) ?? null,
          t: tool.t,
          tool,
          pass,
          ...{ change, plan, recipes, load: null },
        },
        null,
        wasTag,
      ),
  };
}

/** What was said of when a T is changed, as screens show it. */
const ruleOf = ({ operationId: _o, t: _t, happenedAt: _at, ...rule }: ChangeRuleRow) => rule;

/** What is planned, as screens show it. */
export const plannedLine = ({ row, words, item }: Planned, recipes: RecipesAround): PlannedLine => ({
  does: row.does,
  words,
  item: row.itemId === null ? null : (item?.code ?? null),
  sheet: row.sheetCode,
  must: row.must,
  recipe: row.recipeId === null ? null : (recipes.named.get(row.recipeId)?.code ?? null),
  leaves: { side: row.leavesSideMm, floor: row.leavesFloorMm },
  entryId: row.entryId,
  who: row.who,
});
