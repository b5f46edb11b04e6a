import { group } from 'd3';
import { type AssemblyOutline, assemblyOutline, expectedGaugeLength, judgeBuild } from '@/core/assemblies';
import type { Because, Figure, Judgement } from '@/core/because';
import { type CutterGeometry, regroundGeometry } from '@/core/cutters';
import { reachNeeded } from '@/core/jobs';
import { isWorn, wearLimit } from '@/core/life';
import { held, first } from '@/core/sure';
import { type CribItem, factText, loadItems, cutterOf, holderOf } from '@/crib/catalogue';
import { type ReadOnce, readOnce } from '@/crib/door';
import { openWork, type Work } from '@/crib/jobs';
import { type LifeBook, loadLifeBook, openBook } from '@/crib/life';
import { type MeasuredState, measuredState } from '@/crib/measuring';
import { type AssemblyRow, measuredNow, type MeasuredRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOperationsById, manyPrograms, manyTiesOfAssemblies, type OperationRow } from '@/data/jobs';
import { manyLatestWear, type WearRow } from '@/data/life';
import { presentSizes } from '@/data/stock';

export interface TiedTo {
  operation: number;
  job: string;
  part: string;
  machine: string;
  t: number;
  minutesPerPart: number;
  partsLeft: number;
  /** Parts the life left is good for; null: cannot say. */
  goodFor: number | null;
  reachMm: number | null;
}

/** An assembly that stands, as Today and its tag show it. */
export interface AssemblyCard {
  tag: string;
  mark: string;
  cutter: Pick<CribItem, 'code' | 'kind' | 'family' | 'words' | 'guesses'> & { DC: number };
  holder: Pick<CribItem, 'code' | 'words' | 'taper' | 'guesses'>;
  stickoutMm: number;
  stickoutEntered: string;
  expectedMm: number;
  outline: AssemblyOutline;
  judgements: Judgement[];
  measured: MeasuredState;
  life: {
    minutes: number;
    used: number | null;
    leftMinutes: number | null;
    fresh: boolean;
    material: string | null;
    because: Because | null;
  };
  wear: { latest: WearRow | null; limit: Figure; worn: boolean | null };
  /** Of operations with parts to make; where there is none, the one it was tied to last. */
  ties: TiedTo[];
  builtAt: Date;
  who: string;
  entryId: number;
}

/** A card with the rows it was made of, for what else is computed from them. */
interface Standing {
  card: AssemblyCard;
  row: AssemblyRow;
  cutter: CutterGeometry;
  operations: OperationRow[];
}

interface Around {
  items: Map<number, CribItem>;
  book: LifeBook;
  measured: Map<number, MeasuredRow>;
  wear: Map<number, WearRow>;
  /** Reground pieces as they are now. */
  sizes: Map<number, { dc: number; lcf: number }>;
  tiesOf: Map<number, Tied[]>;
}
interface Tied {
  operation: OperationRow;
  t: number;
  minutesPerPart: number;
  lowestFeedZ: number | null;
}

/** All assemblies that stand, by tag. */
export async function standingCards(
  c: Connection,
  today = '',
  once: ReadOnce = readOnce(c, today),
): Promise<AssemblyCard[]> {
  const work = await once(openWork);
  const rows = [...work.assemblies.values()].filter((a) => a.takenDownEntryId === null);
  const book = await once(openBook);
  return (await standingOf(c, rows, work.items, tiesOf(work), book))
    .map((s) => s.card)
    .sort((a, b) => byTag(a.tag, b.tag));
}
const byTag = (a: string, b: string) => a.localeCompare(b, 'en', { numeric: true });

/** One of them, with what it is tied to. */
export async function standingOne(c: Connection, row: AssemblyRow): Promise<Standing> {
  const items = await loadItems(c, [row.cutterItemId, row.holderItemId]);
  const book = await loadLifeBook(c, [row.cutterItemId], [row.edgeSetId]);
  return first(await standingOf(c, [row], new Map(items.map((i) => [i.id, i])), new Map(), book));
}

/** What stands on the tools of some work. */
export async function standingOn(c: Connection, work: Work): Promise<AssemblyCard[]> {
  const rows = [...work.assemblies.values()].filter((a) => a.takenDownEntryId === null);
  const book = await loadLifeBook(
    c,
    [...new Set(rows.map((r) => r.cutterItemId))],
    rows.map((r) => r.edgeSetId),
  );
  return (await standingOf(c, rows, work.items, tiesOf(work), book)).map((s) => s.card);
}

async function standingOf(
  c: Connection,
  rows: readonly AssemblyRow[],
  items: Around['items'],
  tied: Around['tiesOf'],
  book: LifeBook,
): Promise<Standing[]> {
  const ids = (of: (row: AssemblyRow) => number) => rows.map(of);
  const loose = rows.filter((r) => !tied.has(r.id)).map((r) => r.id);
  const wear = await manyLatestWear(
    c,
    ids((r) => r.edgeSetId),
  );
  const around: Around = {
    items,
    book,
    measured: await measuredNow(
      c,
      ids((r) => r.id),
    ),
    wear: new Map(wear.map((w) => [w.edgeSetId, w])),
    sizes: await presentSizes(
      c,
      ids((r) => r.pieceId),
    ),
    tiesOf: new Map([...tied, ...(loose.length ? await lastTiesOf(c, loose) : [])]),
  };
  return rows.map((row) => cardOf(row, around));
}

/** Each T of the work's operations, by the assembly tied to it. */
function tiesOf(work: Pick<Work, 'operations' | 'ties' | 'programs'>): Around['tiesOf'] {
  const operations = new Map(work.operations.map((o) => [o.id, o]));
  const tied = work.ties.flatMap((tie) => {
    const operation = operations.get(tie.operationId);
    const tool = work.programs.get(tie.operationId)?.tools.find((x) => x.t === tie.t);
    if (!operation || tie.assemblyId === null) return [];
    return [
      {
        assembly: tie.assemblyId,
        operation,
        t: tie.t,
        minutesPerPart: (tool?.cutting_s ?? 0) / 60,
        lowestFeedZ: tool?.lowest_feed_z_mm ?? null,
      },
    ];
  });
  return group(tied, (t) => t.assembly);
}

/** Ties of assemblies by themselves: of open operations, and where none calls them, the last one. */
async function lastTiesOf(c: Connection, assemblyIds: readonly number[]): Promise<Around['tiesOf']> {
  const ties = await manyTiesOfAssemblies(c, assemblyIds);
  if (!ties.length) return new Map();
  const operations = await manyOperationsById(c, [...new Set(ties.map((t) => t.operationId))]);
  const programs = await manyPrograms(
    c,
    operations.map((o) => o.id),
  );
  return tiesOf({
    operations,
    ties,
    programs: new Map(programs.map((p) => [p.operationId, p])),
  });
}

function cardOf(row: AssemblyRow, around: Around): Standing {
  const cutter = held(around.items, row.cutterItemId);
  const holder = held(around.items, row.holderItemId);
  const present = regroundGeometry(cutterOf(cutter), around.sizes.get(row.pieceId) ?? null);
  const measured = measuredState(around.measured.get(row.id) ?? { newest: null, good: null });
  const expectedMm = expectedGaugeLength(holderOf(holder).LF, row.stickoutMm);
  const ties = around.tiesOf.get(row.id) ?? [];
  const life = lifeOf(row, around.book, ties[0]?.operation ?? null);
  const length = measured.state === 'not measured' ? expectedMm : measured.measurement.gaugeLengthMm;
  const wear = around.wear.get(row.edgeSetId) ?? null;
  const card: AssemblyCard = {
    tag: row.tag,
    mark: row.mark,
    cutter: {
      code: cutter.code,
      kind: cutter.kind,
      family: cutter.family,
      words: cutter.words,
      guesses: cutter.guesses,
      DC: present.DC,
    },
    holder: { code: holder.code, words: holder.words, taper: holder.taper, guesses: holder.guesses },
    stickoutMm: row.stickoutMm,
    stickoutEntered: row.stickoutEntered,
    expectedMm,
    outline: assemblyOutline(present, holderOf(holder), row.stickoutMm, length),
    judgements: judgeBuild({
      cutter: present,
      holder: holderOf(holder),
      stickout: row.stickoutMm,
      shank: { form: factText(cutter, 'SHANK'), takes: factText(holder, 'SHANKS') },
    }),
    measured,
    life,
    wear: {
      latest: wear,
      limit: wearLimit(present.DC),
      worn: isWorn(wear?.flankWearMm ?? null, present.DC),
    },
    ties: ties.map((t) => tiedTo(t, life.leftMinutes)),
    builtAt: row.builtAt,
    who: row.who,
    entryId: row.entryId,
  };
  return { card, row, cutter: cutterOf(cutter), operations: ties.map((t) => t.operation) };
}

const tiedTo = (
  { operation: o, t, minutesPerPart, lowestFeedZ }: Tied,
  leftMinutes: number | null,
): TiedTo => ({
  operation: o.id,
  job: o.job,
  part: o.part,
  machine: o.machine,
  t,
  minutesPerPart,
  partsLeft: Math.max(0, o.quantity - o.partsMade),
  goodFor:
    leftMinutes === null || minutesPerPart <= 0
      ? null
      : Math.floor(Math.max(0, leftMinutes) / minutesPerPart + 1e-9),
  reachMm: reachNeeded(o.highestBesideMm, lowestFeedZ),
});

function lifeOf(row: AssemblyRow, book: LifeBook, operation: OperationRow | null): AssemblyCard['life'] {
  const cut = book.cut(row.edgeSetId);
  const minutes = cut?.minutes ?? 0;
  const used = book.used(row.edgeSetId);
  const materialId = operation?.materialId ?? cut?.uses.at(-1)?.materialId ?? null;
  const expectation = materialId === null ? null : book.expectation(row.cutterItemId, materialId);
  return {
    minutes,
    used,
    fresh: row.fresh,
    material: operation?.material ?? null,
    leftMinutes: used === null || !expectation ? null : (1 - used) * expectation.minutes,
    because: expectation && {
      words: expectation.because.words,
      formula: 'life left = expected life × (1 − share used)',
      values: [
        { name: 'expected life', value: `${expectation.minutes.toFixed(1)} min`, source: expectation.basis },
        { name: 'in the cut so far', value: `${minutes.toFixed(1)} min` },
        { name: 'share used', value: used === null ? 'cannot say' : `${Math.round(used * 100)} %` },
        ...expectation.because.values,
      ],
    },
  };
}
