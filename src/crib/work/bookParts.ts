import { cutByParts, questionParts } from '@/core/jobs';
import { mustBeClear } from '@/crib/breakage';
import { found, type Moment, Problem } from '@/crib/door';
import { foretell } from '@/crib/lives';
import { manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  insertPartsLog,
  insertUses,
  manyPartsLogs,
  manyTiesAt,
  maybeOperation,
  maybeProgramAt,
  type OperationRow,
  type ProgramRow,
} from '@/data/jobs';

interface LoggedUse {
  t: number;
  minutes: number;
  /** null: no assembly was tied to this T then; somebody must say which. */
  tag: string | null;
}

/**
 * Books parts made: parts x minutes per part, as the program stood then, to the edge set that was on each T then.
 * A T without an assembly keeps its minutes open, for Today to ask. A count that can hardly be is asked about first,
 * unless it is `confirmed`. Refused while fragments of a cutter that broke there are not accounted for.
 */
export async function bookParts(
  c: Connection,
  moment: Moment,
  operationId: number,
  parts: number,
  { confirmed = false, lot }: { confirmed?: boolean; lot?: string } = {},
): Promise<LoggedUse[]> {
  const operation = found(await maybeOperation(c, operationId), 'operation', operationId, 'operation');
  const program = await maybeProgramAt(c, operation.id, moment.happenedAt);
  if (!program)
    throw new Problem('REFUSED', `${operation.job} had no program at that time`, {
      field: 'operation',
      value: operation.id,
      wayOut: 'Paste its program first; then log the parts.',
    });
  await mustBeClear(c, moment, operation.id, null, 'operation');
  if (!confirmed) await askAbout(c, moment, operation, program, parts);
  moment.leansOn(operation.entryId);
  moment.leansOn(program.entryId);
  const logId = await insertPartsLog(c, moment.entryId, {
    operationId: operation.id,
    programId: program.entryId,
    parts,
    materialLot: lot?.trim() || null,
  });
  const ties = await manyTiesAt(c, operation.id, moment.happenedAt);
  const tiedIds = ties.flatMap((t) => t.assemblyId ?? []);
  const assemblies = new Map((await manyAssembliesById(c, tiedIds)).map((a) => [a.id, a]));
  const uses = program.tools
    .filter((tool) => tool.cutting_s > 0 || tool.lower_bound)
    .map((tool) => {
      const tie = ties.find((x) => x.t === tool.t);
      const tied = tie?.assemblyId ? assemblies.get(tie.assemblyId) : undefined;
      // A tag that had been taken down by then was not in the machine any more; at the same moment the earlier entry came first.
      const on = tied && (tied.takenDownAt === null || tied.takenDownAt > moment.happenedAt) ? tied : null;
      if (on) moment.leansOn(on.entryId);
      return { tool, on, cut: cutByParts(tool, parts) };
    });
  await foretell(
    c,
    moment,
    uses.flatMap(({ on, cut }) => (on && cut.minutes > 0 ? { edgeSetId: on.edgeSetId, rpm: cut.rpm } : [])),
    operation.materialId,
  );
  await insertUses(
    c,
    moment.entryId,
    logId,
    uses.map(({ tool, on, cut }) => ({
      t: tool.t,
      edgeSetId: on?.edgeSetId ?? null,
      ...cut,
      lowerBound: tool.lower_bound,
    })),
  );
  return uses.map(({ tool, on, cut }) => ({ t: tool.t, minutes: cut.minutes, tag: on?.tag ?? null }));
}

/** Refuses a count that is more than what is left, or than the time since the last log allows, with the way to confirm it. */
async function askAbout(
  c: Connection,
  moment: Moment,
  operation: OperationRow,
  program: ProgramRow,
  parts: number,
): Promise<void> {
  const [log] = await manyPartsLogs(c, operation.id, 1);
  const since = log ? (moment.happenedAt.getTime() - log.happenedAt.getTime()) / 60_000 : null;
  const why = questionParts({
    parts,
    partsLeft: Math.max(0, operation.quantity - operation.partsMade),
    minutesPerPart: program.tools.reduce((sum, tool) => sum + tool.cutting_s, 0) / 60,
    // A log that is entered for an earlier time, or at the same moment, says nothing of how long it took.
    minutesSince: since !== null && since > 0 ? since : null,
  });
  if (why.length)
    throw new Problem('REFUSED', why.join('; '), {
      field: 'confirmed',
      value: parts,
      limit: 'a count that can be, or one that is confirmed',
      wayOut: 'Count again. If it is right all the same, say so.',
    });
}
