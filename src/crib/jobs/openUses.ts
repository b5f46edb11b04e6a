import { group } from 'd3';
import type { Connection } from '@/data/database';
import { manyOpenUses } from '@/data/jobs';

/** Minutes of each T of an operation that no assembly was tied to. */
export async function openUsesOf(
  c: Connection,
  operationId: number,
): Promise<{ t: number; minutes: number }[]> {
  const uses = (await manyOpenUses(c)).filter((u) => u.operation_id === operationId);
  return [...group(uses, (u) => u.t)].map(([t, list]) => ({
    t,
    minutes: list.reduce((sum, u) => sum + u.minutes, 0),
  }));
}
