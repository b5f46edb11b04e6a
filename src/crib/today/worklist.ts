import type { Because } from '@/core/because';
import { isOne } from '@/core/names';
import { PRIORITIES, type Priority } from '@/data/jobs';
import type { WorkWord, WorkWordRow } from '@/data/today';

/** What waits, what can hurt or mislead first: in this order where day and machine are the same. */
export const WORK_KINDS = [
  'stop',
  'wear',
  'in question',
  'held',
  'life',
  'delivery late',
  'order',
  'build',
  'measure',
  'which tool',
  'late back',
  'certificate',
  'holder',
  'count',
  'grade',
  'cause',
] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** What can hurt somebody or show a wrong number: it stays in sight until it is dealt with, whoever says what. */
const MUST_NOT_WAIT: readonly WorkKind[] = ['stop', 'wear', 'in question', 'held'];
export const mayWait = (kind: WorkKind): boolean => !MUST_NOT_WAIT.includes(kind);

/** One line of the worklist: what to do, why, and where. */
export interface WorkLine {
  /** Its kind, and what it says of which thing. */
  key: string;
  kind: WorkKind;
  /** What to do, in the words of the hatch. */
  todo: string;
  /** The cutter it is about, in words; null: none is. */
  cutter: string | null;
  /** The machine that waits for it; null: none does. */
  machine: string | null;
  why: string;
  because: Because | null;
  href: string;
  /** The day it is wanted by, ISO; null: none. */
  by: string | null;
  /** Whether its job goes before others of its day. */
  goes: Priority;
  /** Whether it may be put off: what can hurt or mislead may not. */
  mayWait: boolean;
  /** Who was asked to do it; null: nobody. */
  given: string | null;
  /** What was said last of when it is done: it came back since, or lies among what is put off; null: nothing. */
  said: {
    word: WorkWord;
    who: string;
    at: Date;
    until: string;
    reason: string | null;
    entryId: number;
  } | null;
}

export const keyOf = (line: Pick<WorkLine, 'kind' | 'href' | 'todo'>): string =>
  `${line.kind}: ${line.todo} ${line.href}`;

/** The kind of a line by its key; null: it is no line's. */
export function kindOf(key: string): WorkKind | null {
  const kind = key.slice(0, Math.max(0, key.indexOf(': ')));
  return isOne(WORK_KINDS, kind) ? kind : null;
}

/** What must not wait first; then by day, those without one last; of a day as its jobs go; then by machine; then by kind. */
export const inOrder = (lines: readonly WorkLine[]): WorkLine[] =>
  lines.toSorted(
    (a, b) =>
      Number(mayWait(a.kind)) - Number(mayWait(b.kind)) ||
      (a.by ?? '9').localeCompare(b.by ?? '9') ||
      PRIORITIES.indexOf(a.goes) - PRIORITIES.indexOf(b.goes) ||
      (a.machine ?? '').localeCompare(b.machine ?? '') ||
      WORK_KINDS.indexOf(a.kind) - WORK_KINDS.indexOf(b.kind) ||
      a.todo.localeCompare(b.todo),
  );

/** Lines with what was said of each, and those that are out of sight today by that apart. */
export function withWords(
  lines: readonly WorkLine[],
  words: readonly WorkWordRow[],
  today: string,
): { lines: WorkLine[]; later: WorkLine[] } {
  const given = new Map(words.filter((w) => w.word === 'given').map((w) => [w.line, w]));
  const said = new Map(words.filter((w) => w.word !== 'given').map((w) => [w.line, w]));
  const all = lines.map((l): WorkLine => {
    const w = mayWait(l.kind) ? said.get(l.key) : undefined;
    return {
      ...l,
      given: given.get(l.key)?.person ?? null,
      said:
        w === undefined || w.until === null
          ? null
          : {
              word: w.word,
              who: w.who,
              at: w.happenedAt,
              reason: w.reason,
              until: w.until,
              entryId: w.entryId,
            },
    };
  });
  const away = (l: WorkLine) => l.said !== null && l.said.until > today;
  return { lines: all.filter((l) => !away(l)), later: all.filter(away) };
}
