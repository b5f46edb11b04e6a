import { group } from 'd3';
import { type AssemblyOutline, assemblyOutline, judgeBuild } from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import { type CutterGeometry, regroundGeometry } from '@/core/cutters';
import { judgeItself } from '@/core/jobs';
import { strictestHere, type WornHere } from '@/core/life';
import { held, first } from '@/core/sure';
import { buildOf, partsLeftOf, partsWith, putTogether } from '@/crib/assemblies';
import { type CribItem, cutterOf, factNumber, loadItems } from '@/crib/catalogue';
import { type ReadOnce, readOnce } from '@/crib/door';
import { openWork, type Work, wornHereOf } from '@/crib/work';
import { openBook } from '@/crib/life';
import { type LifeBook, loadLifeBook } from '@/crib/lives';
import { type MeasuredState, measuredState } from '@/crib/measuring';
import { type AssemblyRow, manyParts, measuredNow, type MeasuredRow, type PartRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import { manyPieceDoubts } from '@/data/breakage';
import { manyTightened } from '@/data/devices';
import { manySeatings, presentSizes, type Seating } from '@/data/stock';
import type { Asked } from './judgedUse';
import { type HoldersOn, holdersOn } from './holdersOn';
import { type LifeLeft, lifeOf, saysNothing } from './stands';
import { type Stands, tiedTo, type TiedTo } from './tiedTo';
import { lastTiesOf, tiesOf } from './tiesOf';
import { edgesRead, type EdgeWear, wearOf, wearState } from './wearOf';
import { bodiesOf, cutIn, cutOnOf, setThereBy } from './whereAsked';

export type { TiedTo } from './tiedTo';

/** An assembly that stands, as Today and its tag show it. */
export interface AssemblyCard {
  tag: string;
  mark: string;
  cutter: Pick<CribItem, 'code' | 'kind' | 'family' | 'substrate' | 'words' | 'guesses'> & { DC: number };
  /** `from`: the place it goes back to. */
  holder: Pick<CribItem, 'code' | 'words' | 'taper' | 'guesses'> & { from: string };
  /** Extensions and collets from the spindle down, then what stands beside. */
  parts: (Pick<CribItem, 'code' | 'kind' | 'words' | 'guesses'> & { setOut: number | null; from: string })[];
  stickoutMm: number;
  stickoutEntered: string;
  expectedMm: number;
  outline: AssemblyOutline;
  judgements: Judgement[];
  /** What is known of it by itself, whatever calls it; worn is what is worn for one of the T that still call it. */
  itself: ReturnType<typeof judgeItself>;
  measured: MeasuredState;
  life: LifeLeft;
  /** What its readings say, in the order of their time. */
  wear: EdgeWear;
  /** Of operations with parts to make; where there is none, the one it was tied to last. */
  ties: TiedTo[];
  /** The torque wrench it was tightened with last, and whether that was found off since; null: nobody wrote it. */
  tightened: { wrench: string; torque: number | null; doubted: boolean } | null;
  /** Its holder and what is between, of those with a mark of their own. */
  holders: HoldersOn;
  /** Why its cutter is held back; null: it is not. */
  heldBack: string | null;
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
  together: ReturnType<typeof putTogether>;
}

interface Around {
  items: Map<number, CribItem>;
  book: LifeBook;
  measured: Map<number, MeasuredRow>;
  wear: Awaited<ReturnType<typeof edgesRead>>;
  /** Reground pieces as they are now. */
  sizes: Map<number, { dc: number; lcf: number }>;
  /** Of bodies, by piece. */
  seatings: Map<number, Seating>;
  /** Of builds that have any on record. */
  parts: ReadonlyMap<number, PartRow[]>;
  tiesOf: Map<number, Asked[]>;
  /** When machines that measure their tools themselves last read them, by assembly and machine. */
  setThere: ReadonlyMap<string, Date>;
  /** What each was tightened with last, where somebody wrote it. */
  tightened: ReadonlyMap<number, Tightened>;
  /** Parts that edge sets cut on an operation, of those that are changed after a number of parts. */
  cutOn: ReadonlyMap<string, number>;
  /** Why cutters are held back, by piece. */
  heldBack: ReadonlyMap<number, string>;
  holdersOn: Awaited<ReturnType<typeof holdersOn>>;
}
type Tightened = Awaited<ReturnType<typeof manyTightened>>[number];

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
export const standingOne = async (c: Connection, row: AssemblyRow): Promise<Standing> =>
  first(await standingThese(c, [row]));

/** Some that stand, each with what it is tied to and the rows it was made of. */
export async function standingThese(c: Connection, rows: readonly AssemblyRow[]): Promise<Standing[]> {
  const cutters = [...new Set(rows.map((r) => r.cutterItemId))];
  const items = await loadItems(c, [...new Set([...cutters, ...rows.map((r) => r.holderItemId)])]);
  const book = await loadLifeBook(
    c,
    cutters,
    rows.map((r) => r.edgeSetId),
  );
  return standingOf(c, rows, new Map(items.map((i) => [i.id, i])), new Map(), book);
}

/** What stands on the tools of some work; by a book in which all of it stands, or else one that is read for it. */
export async function standingOn(c: Connection, work: Work, read?: LifeBook): Promise<AssemblyCard[]> {
  const rows = [...work.assemblies.values()].filter((a) => a.takenDownEntryId === null);
  const book =
    read ??
    (await loadLifeBook(
      c,
      [...new Set(rows.map((r) => r.cutterItemId))],
      rows.map((r) => r.edgeSetId),
    ));
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
  const parts = await manyParts(
    c,
    ids((r) => r.id),
  );
  const more = [...new Set(parts.map((p) => p.itemId))].filter((id) => !items.has(id));
  const tiesOf = new Map([...tied, ...(loose.length ? await lastTiesOf(c, loose) : [])]);
  const around: Around = {
    items: new Map([...items, ...(await loadItems(c, more)).map((i) => [i.id, i] as const)]),
    parts: group(parts, (p) => p.assemblyId),
    book,
    measured: await measuredNow(
      c,
      ids((r) => r.id),
    ),
    wear: await edgesRead(c, rows),
    sizes: await presentSizes(
      c,
      ids((r) => r.pieceId),
    ),
    seatings: new Map((await manySeatings(c, bodiesOf(rows, items))).map((s) => [s.pieceId, s])),
    tiesOf,
    setThere: await setThereBy(c, rows, tiesOf),
    tightened: new Map(
      (
        await manyTightened(
          c,
          ids((r) => r.id),
        )
      ).map((t) => [t.assemblyId, t]),
    ),
    cutOn: await cutOnOf(c, rows, tiesOf),
    heldBack: new Map(
      (
        await manyPieceDoubts(
          c,
          ids((r) => r.pieceId),
        )
      ).map((d) => [d.pieceId, d.why]),
    ),
    holdersOn: await holdersOn(
      c,
      ids((r) => r.id),
    ),
  };
  return rows.map((row) => cardOf(row, around));
}

function cardOf(row: AssemblyRow, around: Around): Standing {
  const cutter = held(around.items, row.cutterItemId);
  const holder = held(around.items, row.holderItemId);
  const present = regroundGeometry(cutterOf(cutter), around.sizes.get(row.pieceId) ?? null);
  const measured = measuredState(around.measured.get(row.id) ?? { newest: null, good: null });
  const parts = partsWith(around.parts.get(row.id) ?? [], around.items);
  const together = putTogether(cutter, present, holder, parts, row.stickoutMm);
  const { build, held: stack, expectedMm } = together;
  const ties = around.tiesOf.get(row.id) ?? [];
  const length = measured.state === 'not measured' ? expectedMm : measured.measurement.gaugeLengthMm;
  const cut = around.book.cut(row.edgeSetId);
  const wearIf = (here: WornHere | null) =>
    wearOf(around.wear(row.edgeSetId), present.DC, cut?.minutes ?? 0, cut?.holes ?? null, here);
  // It is to be good for each T that still calls it; on one T it is judged by what was said of that.
  const wear = wearIf(
    strictestHere(
      ties.filter((x) => partsLeftOf(x.operation) > 0).map((x) => wornHereOf(x.change, x.operation)),
      present.DC,
    ),
  );
  const life = lifeOf(row, around.book, ties[0] ?? null);
  const judgements = judgeBuild(build);
  const outline = assemblyOutline(present, stack.holder, row.stickoutMm, length);
  const seating = around.seatings.get(row.pieceId);
  const inserts = seating && { ...seating, seats: factNumber(cutter, 'CICT') };
  const tightened = around.tightened.get(row.id) ?? null;
  const heldBack = around.heldBack.get(row.pieceId) ?? null;
  const holders = around.holdersOn(row.id, measured);
  const state: Stands = {
    ...buildOf(row.tag, cutter, present, holder, row.stickoutMm, parts),
    build: judgements,
    measured,
    item: { code: cutter.code, substrate: cutter.substrate },
    inserts: inserts ?? null,
    wearIf: (here) => wearState(wearIf(here)),
    lifeOn: (asked) => lifeOf(row, around.book, asked),
    offWrench: tightened?.doubted ? tightened.wrench : null,
    holders: holders.against,
    heldBack,
    cutOn: (operationId) => around.cutOn.get(`${row.edgeSetId} ${operationId}`) ?? 0,
    cutIn: (measure) => cutIn(cut, measure),
    lasts: (materialId, rpm) => around.book.next(row.cutterItemId, materialId, rpm)?.survival ?? null,
  };
  const card: AssemblyCard = {
    tag: row.tag,
    mark: row.mark,
    cutter: {
      code: cutter.code,
      kind: cutter.kind,
      family: cutter.family,
      substrate: cutter.substrate,
      words: cutter.words,
      guesses: cutter.guesses,
      DC: present.DC,
    },
    holder: {
      code: holder.code,
      words: holder.words,
      taper: holder.taper,
      guesses: holder.guesses,
      from: row.holderPlace,
    },
    parts: parts.map(({ item: { code, kind, words, guesses }, setOut, row: { place } }) => ({
      ...{ code, kind, words, guesses },
      setOut,
      from: place,
    })),
    stickoutMm: row.stickoutMm,
    stickoutEntered: row.stickoutEntered,
    expectedMm,
    outline: { ...outline, assumed: [...stack.assumed, ...outline.assumed] },
    judgements,
    itself: judgeItself({ ...state, wear: wearState(wear) }),
    measured,
    life: wear.worn ? { ...life, leftMinutes: 0 } : wear.here ? saysNothing(life) : life,
    wear,
    ties: ties.map((asked) =>
      tiedTo(asked, state, around.setThere.get(`${row.id} ${asked.machine.id}`) ?? null),
    ),
    tightened: tightened && {
      wrench: tightened.wrench,
      torque: tightened.torque,
      doubted: tightened.doubted,
    },
    holders,
    heldBack,
    builtAt: row.builtAt,
    who: row.who,
    entryId: row.entryId,
  };
  return { card, row, cutter: cutterOf(cutter), operations: ties.map((t) => t.operation), together };
}
