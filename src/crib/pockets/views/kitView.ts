import { group } from 'd3';
import { type EdgeClaim, kitState, shareEdge } from '@/core/pockets';
import type { A_JOB, Question } from '@/core/questions';
import { first, held } from '@/core/sure';
import { cutterStep, partsLeftOf, sheetView } from '@/crib/assemblies';
import { recipeChoices } from '@/crib/cutting';
import { jobLines, plannedLine, type ToolLine } from '@/crib/jobs';
import { standingOn, standingThese } from '@/crib/rack';
import { type Planned, turnsOn, type Work, workAround } from '@/crib/work';
import { manyStandingAssemblies } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyOperationsById, manyOperationsOfJob, manyPrograms, manyTiesOfAssemblies } from '@/data/jobs';
import { manyReservations } from '@/data/stock';
import type { KitPiece, KitTool } from '../kitTool';
import { type PullLine, pullList } from '../pullList';
import { buildOfTool, elsewhere, pulledFor, takeableFor } from '../toBuild';

export interface KitView {
  job: string;
  part: string;
  operation: number;
  number: number;
  machine: string;
  due: string;
  partsLeft: number;
  hasProgram: boolean;
  operations: { number: number; machine: string }[];
  tools: KitTool[];
  /** Recipes in what it cuts that a T may be planned to run by, the most trusted first. */
  recipes: { code: string; words: string }[];
  pull: PullLine[];
  /** What is off the rack for it: to be put back once it is made. */
  out: { tag: string; words: string; cart: string | null; who: string }[];
}

/** A job's operation by its number, as jobs show it; null: no such job. */
export async function kitView(
  c: Connection,
  { number, op }: Question<typeof A_JOB>,
  today: string,
): Promise<KitView | null> {
  const operations = await manyOperationsOfJob(c, number ?? '');
  const operation =
    operations.find((o) => o.number === op) ?? operations.find((o) => partsLeftOf(o) > 0) ?? operations[0];
  if (!operation) return null;
  const work = await workAround(c, [operation]);
  const cards = await standingOn(c, work);
  const [line] = jobLines(work, cards);
  if (!line) return null;
  const byTag = new Map(cards.map((card) => [card.tag, card]));
  const ids = new Map([...work.assemblies.values()].map((a) => [a.tag, a.id]));
  const pulled = await pulledFor(c, [...ids.values()]);
  const claims = await claimsOn(c, [...ids.values()]);
  const turns = await turnsOn(c, work, operation);
  const tools: KitTool[] = [];
  for (const tool of [...line.tools.map((t) => ({ ...t, called: true })), ...notCalled(work, line.tools)]) {
    const card = tool.tag === null ? null : held(byTag, tool.tag);
    const id = ids.get(tool.tag ?? '') ?? -1;
    const [move, load] = [pulled.get(id), work.loads.get(id)];
    const here = load?.machineId === operation.machineId ? load : null;
    const away = elsewhere(load, move, operation, tool.t);
    const build = tool.tag === null ? await buildOfTool(c, operation, tool, today) : null;
    const pieces = build ? piecesOf(build.step, 'cutter', line.operation.job) : [];
    const rest = build?.sheet ? await restOf(c, build.sheet, line.operation, today) : null;
    const planned = work.plans.find((p) => p.row.t === tool.t) ?? null;
    tools.push({
      ...{ t: tool.t, plan: tool.plan, named: tool.tool?.name ?? null, called: tool.called },
      ...{ tag: tool.tag, words: tool.words },
      state: kitState({
        ...{ tag: tool.tag, use: tool.use, t: tool.t, partsLeft: line.partsLeft },
        measured: card?.measured.state ?? null,
        loadedAs: here?.t ?? null,
        pulled: move?.operationId === operation.id,
        elsewhere: away !== null,
        toBuildWith: build && pieces.length,
      }),
      grade: tool.use.grade,
      why: tool.use.grade === 'good' ? null : tool.use.why,
      worn: card?.ties.find((x) => x.operation === operation.id && x.t === tool.t)?.worn ?? false,
      pocket: here?.pocket ?? null,
      pulled: move && move.operationId === operation.id ? { who: move.who, cart: move.cart } : null,
      elsewhere: away,
      shared: card
        ? shareEdge(card.life.leftMinutes, claims.get(ids.get(card.tag) ?? -1) ?? [], operation.job)
        : null,
      standing: tool.tag === null ? await standingFor(c, planned) : [],
      pieces: [...pieces, ...(rest?.pieces ?? [])],
      turns: (turns.get(tool.t) ?? []).filter(
        ({ words }) => ![...pieces, ...(rest?.pieces ?? [])].some((p) => p.caution?.includes(words)),
      ),
      aside: pieces[0] ? await asideFor(c, pieces[0].item, operation.job) : 0,
      lacking: [
        ...(build && !pieces.length ? [build.step.code ?? build.step.words] : []),
        ...(rest?.lacking ?? []),
      ],
      sheet: build?.sheet ?? null,
    });
  }
  return {
    ...{ job: operation.job, part: operation.part, operation: operation.id, number: operation.number },
    ...{ machine: operation.machine, due: operation.due, partsLeft: line.partsLeft },
    hasProgram: line.program !== null,
    operations: operations.map((o) => ({ number: o.number, machine: o.machine })),
    tools,
    recipes: await recipeChoices(c, operation.materialId, operation.machine),
    pull: pullList(tools),
    out: tools.flatMap((t) =>
      t.tag !== null && t.pulled
        ? [{ tag: t.tag, words: t.words ?? '', cart: t.pulled.cart, who: t.pulled.who }]
        : [],
    ),
  };
}

type Line = Pick<ToolLine, 't' | 'plan' | 'tag' | 'wasTag' | 'words'> & {
  tool: ToolLine['tool'] | null;
  use: Pick<ToolLine['use'], 'grade' | 'judgements' | 'goodFor' | 'why'>;
  called: boolean;
};

/** Planned, and not called by the program that is in force, or there is none yet. */
const notCalled = ({ plans, recipes }: Work, tools: readonly ToolLine[]): Line[] =>
  plans
    .filter((p) => !tools.some((t) => t.t === p.row.t))
    .map((p) => ({
      ...{
        t: p.row.t,
        plan: plannedLine(p, recipes),
        tag: null,
        wasTag: null,
        words: null,
        tool: null,
        called: false,
      },
      use: {
        ...{ grade: 'not judged', judgements: [], goodFor: null },
        why: tools.length ? 'the program does not call it' : null,
      },
    }));

/** How many of an item are set aside for a job. */
async function asideFor(c: Connection, code: string, job: string): Promise<number> {
  const item = await maybeItem(c, code);
  const rows = item ? await manyReservations(c, [item.id]) : [];
  return rows.find((r) => r.job === job)?.quantity ?? 0;
}

/** The place a source lies at, out of what a build is begun with. */
const placeOf = (take: string) => / at (\S+?)(,|$)/.exec(take)?.[1] ?? '';

function piecesOf(
  step: Awaited<ReturnType<typeof cutterStep>>,
  what: KitPiece['what'],
  job: string,
): KitPiece[] {
  return takeableFor(step, job).map(({ source: s, instead }) => ({
    what,
    item: s.item,
    words: s.words,
    from: s.value,
    take: s.take,
    place: placeOf(s.take),
    caution: [instead, s.caution].filter((w) => w !== null).join('; ') || null,
  }));
}

/** Holder and parts of a build sheet, each from where it lies, and those that lie nowhere. */
async function restOf(
  c: Connection,
  code: string,
  { job, material }: { job: string; material: string },
  today: string,
): Promise<{ pieces: KitPiece[]; lacking: string[] }> {
  const sheet = await sheetView(c, code, today, material);
  const pieces: KitPiece[] = [];
  const lacking: string[] = [];
  for (const step of sheet?.pieces ?? []) {
    if (step.what === 'cutter') continue;
    const [from] = piecesOf(step, step.what, job);
    if (from) pieces.push(from);
    else lacking.push(step.code ?? step.words);
  }
  return { pieces, lacking };
}

/** What open operations count on some assemblies, each with its minutes in the cut, by assembly. */
async function claimsOn(c: Connection, assemblyIds: readonly number[]): Promise<Map<number, EdgeClaim[]>> {
  const ties = assemblyIds.length ? await manyTiesOfAssemblies(c, assemblyIds) : [];
  const ids = [...new Set(ties.map((t) => t.operationId))];
  const open = new Map(
    (await manyOperationsById(c, ids)).filter((o) => partsLeftOf(o) > 0).map((o) => [o.id, o]),
  );
  const programs = new Map((await manyPrograms(c, ids)).map((p) => [p.operationId, p]));
  const claims = ties.flatMap((tie) => {
    const o = open.get(tie.operationId);
    if (!o) return [];
    const tool = programs.get(o.id)?.tools.find((x) => x.t === tie.t);
    const minutes = tool ? (partsLeftOf(o) * tool.cutting_s) / 60 : null;
    return [{ assemblyId: tie.assemblyId, job: o.job, due: o.due, minutes }];
  });
  // A job that cuts with it on two T is one that counts on it.
  return new Map(
    [...group(claims, (x) => x.assemblyId)].map(([id, of]) => [
      id,
      [...group(of, (x) => x.job)].map(([job, list]) => ({
        job,
        due: first(list).due,
        minutes: list.some((x) => x.minutes === null) ? null : list.reduce((n, x) => n + (x.minutes ?? 0), 0),
      })),
    ]),
  );
}

/** Assemblies that stand with the very cutter that is planned, which nothing open counts on and nothing speaks against. */
async function standingFor(c: Connection, planned: Planned | null): Promise<string[]> {
  const item = planned?.item;
  if (!item) return [];
  const rows = (await manyStandingAssemblies(c)).filter((a) => a.cutterItemId === item.id);
  const claims = await claimsOn(
    c,
    rows.map((r) => r.id),
  );
  const free = rows.filter((r) => !claims.has(r.id));
  const cards = free.length ? await standingThese(c, free) : [];
  return cards.flatMap(({ card }) => (card.itself.grade === 'stop' ? [] : [card.tag]));
}
