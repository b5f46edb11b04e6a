import { group } from 'd3';
import type { Judgement } from '@/core/because';
import { measuredBefore } from '@/core/holders';
import { held } from '@/core/sure';
import type { MeasuredState } from '@/crib/measuring';
import { judgedMarked } from '@/crib/stock';
import type { Connection } from '@/data/database';
import { manyHolderIn, manyMarkedById } from '@/data/holders';

/** What of a build has a mark of its own, from the spindle down (0 is the holder), and what speaks against it. */
export interface HoldersOn {
  marked: { placeInStack: number; mark: string }[];
  /** Empty: nothing that anybody said. */
  against: Judgement[];
}

/** How the marked holders of some builds stand, by build; a length measured before one fell is measured again. */
export async function holdersOn(
  c: Connection,
  assemblyIds: readonly number[],
): Promise<(assemblyId: number, measured: MeasuredState) => HoldersOn> {
  const rows = await manyHolderIn(c, assemblyIds);
  const ids = [...new Set(rows.map((x) => x.markedId))];
  const marked = await judgedMarked(c, ids.length ? await manyMarkedById(c, ids) : []);
  const [inBuild, byId] = [group(rows, (x) => x.assemblyId), new Map(marked.map((m) => [m.row.id, m]))];
  return (assemblyId, measured) => {
    const own = inBuild.get(assemblyId) ?? [];
    const at = measured.state === 'not measured' ? null : measured.measurement.happenedAt;
    return {
      marked: own.map(({ placeInStack, mark }) => ({ placeInStack, mark })),
      against: own.flatMap((x) => {
        const { row, against } = held(byId, x.markedId);
        const fell = measuredBefore(row.mark, at, row.droppedAt);
        return fell ? [...against, fell] : against;
      }),
    };
  };
}
