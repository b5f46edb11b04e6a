import type { Figure } from '@/core/because';
import { type ChangeCosts, changeCosts, type CostsSaid, type LossesSeen } from '@/core/life';
import { LIMITS } from '@/core/limits';
import type { Connection } from '@/data/database';
import { losses, maybeChangeCosts } from '@/data/life';

/** What a change and a failure of a cutter cost here. */
export interface CostsHere {
  /** As it was said last; null: nobody said. */
  said: CostsSaid | null;
  /** null: what an edge costs is not known, or nobody said what a minute is. */
  costs: Figure<ChangeCosts> | null;
}

/** What it costs by what the shop said and by what its latest failures lost, for an edge of so many cents; null: not known. */
export async function costsHere(c: Connection, edgeCents: number | null): Promise<CostsHere> {
  const said = await maybeChangeCosts(c);
  return { said, costs: changeCosts(edgeCents, said, said ? await lossesSeen(c) : NOTHING_SEEN) };
}

const NOTHING_SEEN: LossesSeen = { minutes: null, parts: null };

async function lossesSeen(c: Connection): Promise<LossesSeen> {
  const { minutesOf, minutes, partsOf, parts } = await losses(c, LIMITS.breakages.most);
  return {
    minutes: minutes === null ? null : { failures: minutesOf, mean: minutes },
    parts: parts === null ? null : { failures: partsOf, mean: parts },
  };
}
