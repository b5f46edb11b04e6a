import { found, type Moment, Problem } from '@/crib/door';
import { manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertPartsLog, insertUse, manyTiesAt, maybeOperation, maybeProgramAt } from '@/data/jobs';

interface LoggedUse {
  t: number;
  minutes: number;
  /** null: no assembly was tied to this T then; somebody must say which. */
  tag: string | null;
}

/**
 * Books parts made: parts x minutes per part, as the program stood then, to the edge set that was on each T then.
 * A T without an assembly keeps its minutes open, for Today to ask.
 */
export async function bookParts(
  c: Connection,
  moment: Moment,
  operationId: number,
  parts: number,
): Promise<LoggedUse[]> {
  const operation = found(await maybeOperation(c, operationId), 'operation', operationId, 'operation');
  const program = await maybeProgramAt(c, operation.id, moment.happenedAt);
  if (!program)
    throw new Problem('REFUSED', `${operation.job} had no program at that time`, {
      field: 'operation',
      value: operation.id,
      wayOut: 'Paste its program first; then log the parts.',
    });
  await moment.leansOn(operation.entryId);
  await moment.leansOn(program.entryId);
  const logId = await insertPartsLog(c, moment.entryId, {
    operationId: operation.id,
    programId: program.entryId,
    parts,
  });
  const ties = await manyTiesAt(c, operation.id, moment.happenedAt);
  const tiedIds = ties.flatMap((t) => t.assemblyId ?? []);
  const assemblies = new Map((await manyAssembliesById(c, tiedIds)).map((a) => [a.id, a]));
  const uses: LoggedUse[] = [];
  for (const tool of program.tools) {
    if (tool.cutting_s <= 0 && !tool.lower_bound) continue;
    const tie = ties.find((x) => x.t === tool.t);
    const tied = tie?.assemblyId ? assemblies.get(tie.assemblyId) : undefined;
    // A tag that had been taken down by then was not in the machine any more; at the same moment the earlier entry came first.
    const on = tied && (tied.takenDownAt === null || tied.takenDownAt > moment.happenedAt) ? tied : undefined;
    if (on) await moment.leansOn(on.entryId);
    const minutes = (parts * tool.cutting_s) / 60;
    await insertUse(c, moment.entryId, {
      partsLogId: logId,
      t: tool.t,
      edgeSetId: on?.edgeSetId ?? null,
      minutes,
      lowerBound: tool.lower_bound,
    });
    uses.push({ t: tool.t, minutes, tag: on?.tag ?? null });
  }
  return uses;
}
