import { mustOf } from '@/core/assemblies';
import { cutterStep, type SheetStep } from '@/crib/assemblies';
import { cutterOf, loadItem } from '@/crib/catalogue';
import type { ToolLine } from '@/crib/jobs';
import type { TakeSource } from '@/crib/stock';
import { awayIn, plannedOf } from '@/crib/work';
import { maybeAssembly } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { type KitMoveRow, manyKitMoves, manyToolPlans } from '@/data/jobs';
import type { LoadedRow } from '@/data/pockets';

/** What a T is to be built with: what lies here of what is planned, or else of what stood on it before. */
export interface ToBuild {
  step: SheetStep;
  /** The build sheet that says the rest; null: none is planned. */
  sheet: string | null;
}

/** Cutters that a T without an assembly can be built with; null: nobody said what it is to be, and nothing stood on it. */
export async function buildOfTool(
  c: Connection,
  operation: { id: number; material: string },
  tool: Pick<ToolLine, 't' | 'wasTag' | 'plan'>,
  today: string,
): Promise<ToBuild | null> {
  const [planned] = tool.plan
    ? await plannedOf(
        c,
        (await manyToolPlans(c, [operation.id])).filter((p) => p.t === tool.t),
      )
    : [];
  if (planned?.must)
    return {
      step: await cutterStep(
        c,
        { must: planned.must, item: planned.item, words: planned.words ?? '' },
        today,
        operation.material,
      ),
      sheet: planned.row.sheetCode,
    };
  const was = tool.wasTag === null ? null : await maybeAssembly(c, tool.wasTag);
  if (!was) return null;
  const item = await loadItem(c, was.cutterItemId);
  const must = mustOf(cutterOf(item), item.substrate);
  const step = await cutterStep(c, { must, item, words: item.words }, today, operation.material);
  return { step, sheet: null };
}

/** What of a step may be taken for a job: its own first, then what may stand in, with why; not what is set aside for others. */
export const takeableFor = (
  { sources, instead }: SheetStep,
  job: string,
): { source: TakeSource; instead: string | null }[] =>
  [
    ...sources.map((source) => ({ source, instead: null })),
    ...instead.map(({ source, judgement }) => ({ source, instead: judgement.words })),
  ].filter(({ source: s }) => !s.keptFor.length || s.keptFor.includes(job));

/** How many there are to build a T of an operation with; null: what it is to be is not known. */
export async function toBuildWith(
  c: Connection,
  operation: { id: number; job: string; material: string },
  tool: Pick<ToolLine, 't' | 'wasTag' | 'plan'>,
  today: string,
): Promise<number | null> {
  const build = await buildOfTool(c, operation, tool, today);
  return build && takeableFor(build.step, operation.job).length;
}

/**
 * Where an assembly is that is neither in its machine under its T nor on the rack: in another machine, under another T, or
 * pulled for another job; null: it is here, or hangs on the rack. `load`: the pocket it is in, wherever; `move`: for whom it is
 * off the rack.
 */
export function elsewhere(
  load: LoadedRow | undefined,
  move: KitMoveRow | undefined,
  operation: { id: number; machineId: number },
  t: number,
): string | null {
  if (load) return awayIn(load, operation, t);
  return move && move.operationId !== operation.id ? `pulled for another job by ${move.who}` : null;
}

/** Those of some assemblies that are off the rack, with for whom. */
export const pulledFor = async (
  c: Connection,
  assemblyIds: readonly number[],
): Promise<Map<number, KitMoveRow>> =>
  new Map(
    (assemblyIds.length ? await manyKitMoves(c, assemblyIds) : [])
      .filter((m) => m.isPulled)
      .map((m) => [m.assemblyId, m]),
  );
