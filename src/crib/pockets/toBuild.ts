import { cutterStep, type SheetStep } from '@/crib/assemblies';
import { loadItem } from '@/crib/catalogue';
import type { ToolLine } from '@/crib/jobs';
import { plannedOf } from '@/crib/work';
import { mustOf } from '@/core/assemblies';
import { cutterOf } from '@/crib/catalogue';
import { maybeAssembly } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { type KitMoveRow, manyKitMoves, manyToolPlans } from '@/data/jobs';

/** What a T is to be built with: what lies here of what is planned, or else of what stood on it before. */
export interface ToBuild {
  step: SheetStep;
  /** The build sheet that says the rest; null: none is planned. */
  sheet: string | null;
}

/** Cutters that a T without an assembly can be built with; null: nobody said what it is to be, and nothing stood on it. */
export async function buildOfTool(
  c: Connection,
  operationId: number,
  tool: Pick<ToolLine, 't' | 'wasTag' | 'plan'>,
  today: string,
): Promise<ToBuild | null> {
  const [planned] = tool.plan
    ? await plannedOf(
        c,
        (await manyToolPlans(c, [operationId])).filter((p) => p.t === tool.t),
      )
    : [];
  if (planned?.must)
    return {
      step: await cutterStep(
        c,
        { must: planned.must, item: planned.item, words: planned.words ?? '' },
        today,
      ),
      sheet: planned.row.sheetCode,
    };
  const was = tool.wasTag === null ? null : await maybeAssembly(c, tool.wasTag);
  if (!was) return null;
  const item = await loadItem(c, was.cutterItemId);
  const must = mustOf(cutterOf(item), item.substrate);
  return { step: await cutterStep(c, { must, item, words: item.words }, today), sheet: null };
}

/** How many of them there are; null: what it is to be is not known. */
export async function toBuildWith(
  c: Connection,
  operationId: number,
  tool: Pick<ToolLine, 't' | 'wasTag' | 'plan'>,
  today: string,
): Promise<number | null> {
  const build = await buildOfTool(c, operationId, tool, today);
  return build && build.step.sources.length + build.step.instead.length;
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
