import { addDays } from '@/core/units';
import { type ReadOnce, readOnce, type Verb } from '@/crib/door';
import { type HistoryLine, historyView } from '@/crib/ledger';
import { awaitedBack } from '@/crib/places';
import { todayView, type WorkKind, type WorkLine } from '@/crib/today';
import type { Connection } from '@/data/database';
import { lastEntry, lastEntryBefore } from '@/data/ledger';
import { type HandOverRow, manyHandOvers, manyPartsBetween } from '@/data/shift';

/** What whoever takes over must know, in the order in which it is read. */
export const SHIFT_HEAPS: readonly (readonly [name: string, kinds: readonly WorkKind[]])[] = [
  ['Must not run', ['stop', 'wear']],
  ['In question', ['in question']],
  ['Held', ['held']],
  ['Nearly out', ['life']],
  ['Ran out, and waited for', ['order', 'delivery late']],
  ['Away', ['late back']],
  ['To build and to measure', ['build', 'measure', 'which tool']],
];

export interface ShiftView {
  /** The one that was taken over last: what follows is since then; null: none was, and it is since the day before. */
  since: HandOverRow | null;
  /** Handed over, and nobody took it over yet; null: none waits. */
  waiting: HandOverRow | null;
  /** Parts made, by operation. */
  made: { operationId: number; job: string; part: string; machine: string; parts: number }[];
  /** More operations were worked on than are shown: those that were logged last are. */
  moreMade: boolean;
  /** What was changed, the latest first; `more`: there is more than is shown. */
  done: Pick<HistoryLine, 'id' | 'words' | 'who' | 'happenedAt' | 'note'>[];
  more: boolean;
  heaps: { name: string; lines: Pick<WorkLine, 'todo' | 'why' | 'href' | 'machine' | 'by'>[] }[];
  /** Lent, and to be back later: whom, what and by which day. */
  lent: { person: string; what: string; due: string | null }[];
}

/** So much of the ledger is looked through, and so much of what was done is shown. */
const PAGE = 400;
const SHOWN = 60;
/** What says nothing to whoever takes over, or is summed above. */
const LEFT_OUT = [
  'logParts',
  'sayOfWork',
  'recordCycle',
  'recordWear',
  'saveView',
  'handOver',
  'takeOver',
  'checkPart',
  'enterCount',
];

/** What was done since the shift was taken over last, and what stands: what is handed over. */
export async function shiftView(
  c: Connection,
  today: string,
  verbs: readonly Verb[],
  once: ReadOnce = readOnce(c, today),
): Promise<ShiftView> {
  const overs = await manyHandOvers(c, 20);
  const [latest] = overs;
  const waiting = latest && latest.takenBy === null ? latest : null;
  const since = overs.find((h) => h.takenBy !== null) ?? null;
  // Where nobody ever took over, nobody asks what was made in all the years; what waits since days is of the days it was written in.
  const day = waiting ? waiting.happenedAt.toISOString().slice(0, 10) : today;
  const after = since?.entryId ?? (await lastEntryBefore(c, new Date(`${addDays(day, -1)}T00:00:00Z`)));
  const upTo = waiting?.entryId ?? (await lastEntry(c));
  // One page of the ledger is looked through; a shift seldom writes more, and what is below it is said to be there.
  const page = await historyView(c, verbs, PAGE, upTo + 1);
  const below = page.length === PAGE && (page.at(-1)?.id ?? 0) > after + 1;
  const lines = page.filter(
    (l) => l.id > after && l.counters === null && l.counteredBy === null && !LEFT_OUT.includes(l.kind),
  );
  const made = await manyPartsBetween(c, after, upTo, SHOWN + 1);
  const { lines: work } = await once(todayView);
  const { loans } = await awaitedBack(c, today);
  return {
    since,
    waiting,
    made: made.slice(0, SHOWN),
    moreMade: made.length > SHOWN,
    done: lines
      .slice(0, SHOWN)
      .map(({ id, words, who, happenedAt, note }) => ({ id, words, who, happenedAt, note })),
    more: lines.length > SHOWN || below,
    heaps: SHIFT_HEAPS.flatMap(([name, kinds]) => {
      const of = work.filter((l) => kinds.includes(l.kind));
      return of.length
        ? [
            {
              name,
              lines: of.map(({ todo, why, href, machine, by }) => ({ todo, why, href, machine, by })),
            },
          ]
        : [];
    }),
    lent: loans
      .filter((l) => l.daysLate <= 0)
      .map((l) => ({ person: l.person, what: `${l.out} × ${l.piece ?? l.item}`, due: l.due })),
  };
}
