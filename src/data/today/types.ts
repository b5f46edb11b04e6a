/** What people say of a line of the worklist. */
export const WORK_WORDS = ['done', 'put off', 'given'] as const;
export type WorkWord = (typeof WORK_WORDS)[number];

export interface WorkWordRow {
  entryId: number;
  line: string;
  word: WorkWord;
  /** ISO day until which it is out of sight; null: it was given to somebody. */
  until: string | null;
  /** To whom it was given; null: to nobody any more, or it was not given. */
  person: string | null;
  reason: string | null;
  who: string;
  happenedAt: Date;
}
