import { Problem } from '@/crib/door';
import type { OperationRow } from '@/data/jobs';

/**
 * Refuses what is said of an operation's machine for a time before it was moved there: it ran on another one then.
 * Example: moved to M2 on Tuesday, a part timed on Monday -> REFUSED, enter it on the day it was on M2.
 */
export function onItsMachine(operation: OperationRow, happenedAt: Date): void {
  if (!operation.movedAt || happenedAt >= operation.movedAt) return;
  throw new Problem(
    'REFUSED',
    `${operation.job} was on another machine then: it came to ${operation.machine} later`,
    {
      field: 'happenedAt',
      value: happenedAt.toISOString(),
      limit: `not before ${operation.movedAt.toISOString()}`,
      wayOut: `What it did before counts for the other machine; enter what ${operation.machine} does.`,
    },
  );
}
