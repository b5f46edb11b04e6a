import { DEFAULT_LADDER, type Rung } from '@/core/life';
import type { Connection } from '@/data/database';
import { maybeLadder } from '@/data/life';

/** The ladder the shop set last, or the usual one. */
export const ladderInForce = async (c: Connection): Promise<readonly Rung[]> =>
  (await maybeLadder(c))?.rungs ?? DEFAULT_LADDER;
