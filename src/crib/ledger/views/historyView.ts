import type { Verb } from '@/crib/door';
import type { Connection } from '@/data/database';
import { manyEntries, manyFormAnswers } from '@/data/ledger';

export interface HistoryLine {
  id: number;
  kind: string;
  words: string;
  who: string;
  happenedAt: Date;
  note: string | null;
  counters: number | null;
  counteredBy: number | null;
}

/** The ledger, newest first, each entry in the words of the verb that wrote it. */
export async function historyView(
  c: Connection,
  verbs: readonly Verb[],
  limit = 200,
  before: number | null = null,
): Promise<HistoryLine[]> {
  const entries = await manyEntries(c, limit, before);
  const answers = new Map(
    (
      await manyFormAnswers(
        c,
        entries.map((e) => e.formId),
      )
    ).map((a) => [a.formId, a.answer]),
  );
  return entries.map((e) => ({
    id: e.id,
    kind: e.kind,
    words: verbs.find((v) => v.name === e.kind)?.says(answers.get(e.formId) ?? {}) ?? e.kind,
    who: e.who,
    happenedAt: e.happenedAt,
    note: e.note,
    counters: e.counters,
    counteredBy: e.counteredBy,
  }));
}
