import { group } from 'd3';
import { held } from '@/core/sure';
import { recipesHere } from '@/crib/cutting';
import { askedOf, type Work } from '@/crib/work';
import type { Connection } from '@/data/database';
import { manyOperationsById, manyTiesOfAssemblies } from '@/data/jobs';
import type { LoadedRow } from '@/data/pockets';
import type { Asked } from './judgedUse';

/** Each T of the work's operations, by the assembly tied to it. */
export function tiesOf(work: Omit<Work, 'assemblies' | 'items'>): Map<number, Asked[]> {
  const operations = new Map(work.operations.map((o) => [o.id, o]));
  const passes = new Map(work.passes.map((p) => [`${p.operationId} ${p.t}`, p]));
  const changes = new Map(work.changes.map((x) => [`${x.operationId} ${x.t}`, x]));
  const plans = new Map(work.plans.map((p) => [`${p.row.operationId} ${p.row.t}`, p]));
  const tied = work.ties.flatMap((tie) => {
    const operation = operations.get(tie.operationId);
    if (!operation || tie.assemblyId === null) return [];
    const program = work.programs.get(operation.id) ?? null;
    const plan = plans.get(`${operation.id} ${tie.t}`) ?? null;
    const asked: Asked = {
      operation,
      machine: held(work.machines, operation.machineId),
      program,
      t: tie.t,
      tool: program?.tools.find((x) => x.t === tie.t) ?? null,
      pass: passes.get(`${operation.id} ${tie.t}`) ?? null,
      plan,
      load: loadUnder(work.loads.get(tie.assemblyId), operation.machineId, tie.t),
      change: changes.get(`${operation.id} ${tie.t}`) ?? null,
      recipes: recipesHere(work.recipes, operation.material, plan?.row.recipeId ?? null),
    };
    return [{ assembly: tie.assemblyId, asked }];
  });
  return new Map([...group(tied, (t) => t.assembly)].map(([id, list]) => [id, list.map((t) => t.asked)]));
}

/** Where it stands under that T of that machine; null: elsewhere, or in no pocket. */
const loadUnder = (load: LoadedRow | undefined, machineId: number, t: number): LoadedRow | null =>
  load?.machineId === machineId && load.t === t ? load : null;

/** Ties of assemblies by themselves: of open operations, and where none calls them, the last one. */
export async function lastTiesOf(
  c: Connection,
  assemblyIds: readonly number[],
): Promise<Map<number, Asked[]>> {
  const ties = await manyTiesOfAssemblies(c, assemblyIds);
  if (!ties.length) return new Map();
  const operations = await manyOperationsById(c, [...new Set(ties.map((t) => t.operationId))]);
  return tiesOf(await askedOf(c, operations, ties));
}
