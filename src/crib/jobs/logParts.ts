import { defineVerb, field, found, Problem, toNumber, type Moment } from '@/crib/door';
import { standing } from '@/crib/assemblies';
import { manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  manyOpenUses,
  manyTiesAt,
  maybeOperation,
  maybeProgramAt,
  insertPartsLog,
  insertUse,
  insertUseAssignment,
} from '@/data/jobs';

export interface LoggedUse {
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

export const logParts = defineVerb({
  name: 'logParts',
  path: 'parts',
  summary: 'Log parts made on an operation: minutes in the cut go to the edge set on each T.',
  properties: { operation: { type: 'integer' }, parts: field.whole(1, 100_000) },
  required: ['operation', 'parts'],
  run: async (c, input, moment) => ({
    operation: input.operation,
    parts: toNumber(input.parts),
    uses: await bookParts(c, moment, input.operation, toNumber(input.parts)),
  }),
  says: (a) => (a.parts === 1 ? '1 part made' : `${a.parts} parts made`),
});

export const assignUse = defineVerb({
  name: 'assignUse',
  path: 'use-assignments',
  summary: 'Say which assembly ran the minutes of a T that had none tied: all of them that are open.',
  properties: { operation: { type: 'integer' }, t: field.whole(0, 9999), tag: field.words(20) },
  required: ['operation', 't', 'tag'],
  async run(c, input, moment) {
    const t = toNumber(input.t);
    const uses = await manyOpenUses(c, input.operation, t);
    found(uses[0] ?? null, 't', `T${t}`, 'open use');
    const assembly = await standing(c, moment, input.tag);
    await moment.leansOn(assembly.entryId);
    for (const use of uses) {
      await moment.leansOn(use.entryId);
      await insertUseAssignment(c, moment.entryId, { useId: use.id, edgeSetId: assembly.edgeSetId });
    }
    return {
      operation: input.operation,
      t,
      tag: assembly.tag,
      minutes: uses.reduce((sum, u) => sum + u.minutes, 0),
    };
  },
  says: (a) => `minutes given to ${a.tag}`,
});
