import { group } from 'd3';
import { speedOf, type UseJudgement } from '@/core/jobs';
import {
  MOST_UNWATCHED_PARTS,
  type UnwatchedChance,
  type UnwatchedRun,
  unwatchedRun,
  type UnwatchedTool,
} from '@/core/life';
import { type A_RUN_ALONE, ALONE_CHANCES, type Question } from '@/core/questions';
import { first } from '@/core/sure';
import { partsLeftOf } from '@/crib/assemblies';
import { Problem } from '@/crib/door';
import type { LifeBook } from '@/crib/lives';
import { type AssemblyCard, type SisterOn, standingAt } from '@/crib/rack';
import { workAround } from '@/crib/work';
import type { AssemblyRow } from '@/data/assemblies';
import { manySupplies } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { maybeOperation, type OperationRow } from '@/data/jobs';
import { type Amiss, amissIn } from '../amissIn';
import { jobLines, type ToolLine } from '../jobLines';

/** A tool of a run that is left alone, with its chance and what to do before leaving. */
export interface AloneLine extends UnwatchedChance {
  /** What is tied to it; null: nothing is. */
  tag: string | null;
  words: string | null;
  /** Minutes in the cut that the run asks of it. */
  minutes: number;
  /** Share of its life that is gone; null: cannot say. */
  used: number | null;
  worn: boolean;
  /** Something of its program was not understood: it cuts at least so long, and lasts with that chance at most. */
  atLeast: boolean;
  /** It counts as worn here at another wear than its lives were counted to: they say nothing of it. */
  otherWear: boolean;
  /** Its sisters in the machine, in the order of their pockets; `counted`: the machine's counter goes on to them after so many parts. */
  sisters: { tag: string; pocket: number; worn: boolean; use: Pick<UseJudgement, 'grade' | 'why'> }[];
  counted: number | null;
  /** Whether it may run there at all. */
  use: Pick<UseJudgement, 'grade' | 'why'>;
}

/** Whether an operation may run alone for some parts. */
export interface UnwatchedView extends Omit<UnwatchedRun, 'tools'> {
  operation: number;
  job: string;
  part: string;
  machine: string;
  partsLeft: number;
  parts: number;
  /** The chance that is wanted for all edges together. */
  wanted: number;
  /** Minutes in the cut of all its tools; rapids and changes come on top. */
  cutMinutes: number;
  lines: AloneLine[];
  /** What speaks against it beside how long its edges last, stops first: what must not run, and what nobody has said. */
  against: Amiss[];
}

/** An operation that is to run with nobody there; null where there is none of that number. */
export async function unwatchedView(
  c: Connection,
  asked: Question<typeof A_RUN_ALONE>,
): Promise<UnwatchedView | null> {
  const operation = await maybeOperation(c, asked.operation ?? 0);
  if (!operation) return null;
  const partsLeft = partsLeftOf(operation);
  if (asked.parts !== undefined && !(asked.parts >= 1 && asked.parts <= MOST_UNWATCHED_PARTS))
    throw new Problem('INVALID_INPUT', `parts: ${asked.parts} is not a run of 1 to ${MOST_UNWATCHED_PARTS}`, {
      field: 'parts',
      value: String(asked.parts),
      limit: `1 to ${MOST_UNWATCHED_PARTS}`,
      wayOut: 'Ask for the parts until somebody looks again.',
    });
  const wanted = Number(asked.chance ?? ALONE_CHANCES[1]);
  const work = await workAround(c, [operation]);
  const { cards: standing, sisters: beside, rows, book } = await standingAt(c, work);
  const cards = new Map(standing.map((card) => [card.tag, card]));
  const job = first(jobLines(work, standing));
  const sisters = group(beside, (s) => s.t);
  const items = [...new Set(rows.map((r) => r.cutterItemId))];
  const prices = new Map((await manySupplies(c, items)).map((s) => [s.itemId, s.priceCents]));
  const found = job.tools.map((line) => {
    const card = line.tag === null ? null : (cards.get(line.tag) ?? null);
    const row = rows.find((r) => r.tag === line.tag) ?? null;
    return {
      line,
      card,
      tool: toolOf(line, card, row, operation, book, prices, sisters.get(line.t) ?? []),
    };
  });
  const all = found.map((f) => f.tool);
  // Where nobody says how many, as many as go while the edges stay in.
  const goes = unwatchedRun(all, 1, wanted).goesFor;
  const parts = asked.parts ?? Math.max(1, Math.min(goes.asItStands || goes.fresh, partsLeft));
  const { tools, ...run } = unwatchedRun(all, parts, wanted);
  return {
    ...run,
    // What is cut for longer than is known is not promised.
    reached: run.reached && !job.tools.some((line) => line.tool.lower_bound),
    ...{ operation: operation.id, job: operation.job, part: operation.part, machine: operation.machine },
    ...{ partsLeft, parts, wanted },
    against: [
      ...(await amissIn(c, operation, work, job.tools, beside)),
      ...found.flatMap(({ line, tool }) => speaksAgainst(line, tool.worn)),
    ].toSorted((a, b) => Number(b.grade === 'stop') - Number(a.grade === 'stop')),
    cutMinutes: parts * all.reduce((sum, tool) => sum + tool.minutesPerPart, 0),
    lines: found.map(({ line, card, tool }, i) => ({
      ...(tools[i] ?? { t: line.t, chance: null, fresh: null, change: false }),
      tag: card?.tag ?? null,
      words: line.words,
      minutes: parts * tool.minutesPerPart,
      atLeast: line.tool.lower_bound,
      use: { grade: line.use.grade, why: line.use.why },
      used: card?.life.used ?? null,
      worn: tool.worn,
      otherWear: isOtherWear(line),
      sisters: (sisters.get(line.t) ?? []).map((s) => ({
        ...{ tag: s.load.tag, pocket: s.load.pocket, worn: s.on.worn },
        use: { grade: s.on.use.grade, why: s.on.use.why },
      })),
      counted: tool.counted?.until ?? null,
    })),
  };
}

/** How much is left of an edge is what the chance is of: it is not said twice. */
const OF_THE_EDGE = ['LIFE', 'CHANGE'];

/** The worst that a T is judged by beside what is left of its edge. */
function speaksAgainst({ t, use }: ToolLine, worn: boolean): Amiss[] {
  const said = use.judgements.filter(
    (j) => !j.aside && !OF_THE_EDGE.includes(j.code) && !(worn && j.code === 'WEAR'),
  );
  for (const grade of ['stop', 'question'] as const) {
    const [worst] = said.filter((j) => j.grade === grade);
    if (worst) return [{ t, grade, words: worst.words }];
  }
  return [];
}

const isOtherWear = ({ change }: ToolLine): boolean =>
  change !== null && (change.flankMm !== null || change.cornerMm !== null);

/** Of an edge, what decides how long it goes on in this material at a speed, wherever it was cut away. */
function edgeOf(
  card: AssemblyCard,
  row: Pick<AssemblyRow, 'cutterItemId' | 'edgeSetId'>,
  { materialId }: Pick<OperationRow, 'materialId'>,
  rpm: number | null,
  book: LifeBook,
) {
  const cut = book.cut(row.edgeSetId);
  const { used } = card.life;
  const mean = book.expectation(row.cutterItemId, materialId, rpm)?.minutes ?? null;
  // Cut in this material alone and at no other speed, its minutes are known whatever is expected of it.
  const alone = (u: { materialId: number; rpm: number | null }) =>
    u.materialId === materialId && (u.rpm === null || rpm === null || u.rpm === rpm);
  const here = cut?.fresh && cut.uses.every(alone) ? cut.minutes : null;
  return { used, mean, usedMinutes: here ?? (used === null || mean === null ? null : used * mean) };
}

/** What is known of a tool and its sisters: the lives of its cutter in this material, and how much of one is gone. */
function toolOf(
  line: ToolLine,
  card: AssemblyCard | null,
  row: AssemblyRow | null,
  operation: OperationRow,
  book: LifeBook,
  prices: ReadonlyMap<number, number | null>,
  sisters: readonly SisterOn[],
): UnwatchedTool {
  const rpm = speedOf(line.tool);
  const edge = card && row ? edgeOf(card, row, operation, rpm, book) : null;
  const { used, mean } = edge ?? { used: null, mean: null };
  const next = row === null ? null : book.next(row.cutterItemId, operation.materialId, rpm);
  const on = card?.ties.find((x) => x.operation === operation.id && x.t === line.t);
  const price = row === null ? null : (prices.get(row.cutterItemId) ?? null);
  const left = used === null ? null : Math.max(0, 1 - used);
  const fresh = line.change?.each ?? null;
  return {
    t: line.t,
    // Where it is worn at another wear than its lives were counted to, they say nothing of it.
    survival: isOtherWear(line) ? null : (next?.survival ?? null),
    usedMinutes: edge?.usedMinutes ?? null,
    worn: on?.worn === true,
    minutesPerPart: line.minutesPerPart,
    leftMinutes: left === null || mean === null ? null : left * mean,
    leftCost: left === null || price === null ? null : (left * price) / 100,
    // The machine goes on to a sister by its counter: where nothing is counted, it never does.
    ...(fresh !== null && on && on.untilChange !== null && sisters.length
      ? {
          counted: {
            ...{ until: on.untilChange, fresh },
            sisters: sisters.map((s) => ({
              usedMinutes: edgeOf(s.card, s.row, operation, rpm, book).usedMinutes,
              // Of one that nobody can count no part is promised.
              until: s.on.untilChange ?? 0,
              // The counter goes on to one that must not run there all the same: no part is good by it.
              worn: s.on.worn || s.on.use.grade === 'stop',
            })),
          },
        }
      : {}),
  };
}
