import type { Verb } from '@/crib/door';
import type { Connection } from '@/data/database';
import { manyEntries, manyFormAnswers } from '@/data/ledger';
import { manySigned } from '@/data/people';

export interface HistoryLine {
  id: number;
  kind: string;
  words: string;
  who: string;
  /** Who entered it for them; by which key of a program; who confirmed it. null: nobody else. */
  signedBy: string | null;
  keyName: string | null;
  second: string | null;
  happenedAt: Date;
  note: string | null;
  counters: number | null;
  counteredBy: number | null;
  /** What it did is not taken back: by its verb, since it was, or since it takes back itself. */
  stays: boolean;
}

const neverTakenBack = (verb: Verb | undefined): boolean =>
  verb?.countering !== undefined && 'never' in verb.countering;

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
  const signed = new Map(
    (
      await manySigned(
        c,
        entries.map((e) => e.id),
      )
    ).map((s) => [s.entryId, s]),
  );
  const byName = new Map(verbs.map((v) => [v.name, v]));
  return entries.map((e) => ({
    id: e.id,
    kind: e.kind,
    words: byName.get(e.kind)?.says(answers.get(e.formId) ?? {}) ?? e.kind,
    who: e.who,
    signedBy: signed.get(e.id)?.signedBy ?? null,
    keyName: signed.get(e.id)?.keyName ?? null,
    second: signed.get(e.id)?.second ?? null,
    happenedAt: e.happenedAt,
    note: e.note,
    counters: e.counters,
    counteredBy: e.counteredBy,
    stays: e.counters !== null || e.counteredBy !== null || neverTakenBack(byName.get(e.kind)),
  }));
}
