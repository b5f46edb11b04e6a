import { type CribItem, loadItems } from '@/crib/catalogue';
import { type AssemblyRow, manyAssembliesById, manyStandingAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  type ChangeRuleRow,
  manyChangeRules,
  manyOpenOperations,
  manyOpenOperationsWith,
  manyPassDepths,
  manyPrograms,
  manyTies,
  manyToolPlans,
  type OperationRow,
  type PassDepthRow,
  type ProgramRow,
  type TieRow,
} from '@/data/jobs';
import { type LoadedRow, manyLoaded } from '@/data/pockets';
import { type MachineRow, manyMachines } from '@/data/shop';
import { type Planned, plannedOf } from './planned';
import { type RecipesAround, recipesAround } from '@/crib/cutting';

/** Operations with what their tools are judged by. */
export interface Work {
  operations: readonly OperationRow[];
  machines: Map<number, MachineRow>;
  programs: Map<number, ProgramRow>;
  ties: TieRow[];
  passes: PassDepthRow[];
  /** What each T is planned to be. */
  plans: Planned[];
  /** Where what is tied is loaded now. */
  loads: Map<number, LoadedRow>;
  /** When the cutter of each T is changed, where somebody said. */
  changes: ChangeRuleRow[];
  /** How their cutters are run. */
  recipes: RecipesAround;
  /** What is tied, taken down or not, and what else stands. */
  assemblies: Map<number, AssemblyRow>;
  /** Cutters of all of these, and holders of those that stand. */
  items: Map<number, CribItem>;
}

/**
 * Operations with parts to make and everything that stands: read once for the rack, the jobs, Today and buying, which
 * all judge by it.
 */
export const openWork = async (c: Connection): Promise<Work> =>
  workAround(c, await manyOpenOperations(c), await manyStandingAssemblies(c));

/** Of the open work, the operations that some cutters are tied to. */
export const workWith = async (c: Connection, cutterItemIds: readonly number[]): Promise<Work> =>
  workAround(c, await manyOpenOperationsWith(c, cutterItemIds));

/** Some operations with what is around them. */
export async function workAround(
  c: Connection,
  operations: readonly OperationRow[],
  standing: readonly AssemblyRow[] = [],
): Promise<Work> {
  const ids = operations.map((o) => o.id);
  const ties = await manyTies(c, ids);
  const assemblies = new Map(standing.map((a) => [a.id, a]));
  const missing = [...new Set(ties.flatMap((t) => t.assemblyId ?? []))].filter((id) => !assemblies.has(id));
  for (const a of missing.length ? await manyAssembliesById(c, missing) : []) assemblies.set(a.id, a);
  const itemIds = [...assemblies.values()].flatMap((a) =>
    a.takenDownEntryId === null ? [a.cutterItemId, a.holderItemId] : [a.cutterItemId],
  );
  return {
    ...(await askedOf(c, operations, ties)),
    assemblies,
    items: new Map((await loadItems(c, [...new Set(itemIds)])).map((i) => [i.id, i])),
  };
}

/** Some operations and ties of theirs, with what their programs and planners ask of each T. */
export async function askedOf(
  c: Connection,
  operations: readonly OperationRow[],
  ties: TieRow[],
): Promise<Omit<Work, 'assemblies' | 'items'>> {
  const ids = operations.map((o) => o.id);
  const rows = await manyToolPlans(c, ids);
  const tied = [...new Set(ties.flatMap((t) => t.assemblyId ?? []))];
  return {
    operations,
    machines: new Map((await manyMachines(c)).map((m) => [m.id, m])),
    programs: new Map((await manyPrograms(c, ids)).map((p) => [p.operationId, p])),
    ties,
    passes: await manyPassDepths(c, ids),
    plans: await plannedOf(c, rows),
    loads: await loadsOf(c, tied),
    changes: await manyChangeRules(c, ids),
    recipes: await recipesAround(
      c,
      rows.flatMap((r) => r.recipeId ?? []),
      tied,
      operations.map((o) => o.materialId),
    ),
  };
}

/** Where some assemblies are loaded now, by assembly. */
export const loadsOf = async (c: Connection, assemblyIds: readonly number[]) =>
  new Map((await manyLoaded(c, assemblyIds)).map((l) => [l.assemblyId, l]));
