import {
  holderStandsIn,
  type MustHave,
  PART_KINDS,
  partsStandIn,
  type SheetDesign,
  standsIn,
} from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import type { CutterGeometry, ItemKind } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import { first } from '@/core/sure';
import { type CribItem, partOf } from '@/crib/catalogue';
import { type TakenFor, takeSources, type TakeSource } from '@/crib/stock';
import { manyTakeableIds } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manySheetVersions, manyStandingFrom, maybeSheetNow } from '@/data/sheets';
import { fullSheets, type FullSheet } from '../sheetOf';
import { lineOf, type SheetLine } from './sheetsView';

/** One piece that a build of a sheet takes: the sheet's own, or what may stand in for it, each from where it lies. */
export interface SheetStep {
  what: 'cutter' | 'holder' | 'part';
  /** The item the sheet names; null: any that has what it must have. */
  code: string | null;
  words: string;
  /** How far an extension is set out, as entered; null: as its own figures say. */
  outEntered: string | null;
  outMm: number | null;
  sources: TakeSource[];
  /** What lies here and may stand in, with what differs; those that may not are not among them. */
  instead: { source: TakeSource; judgement: Judgement }[];
}

/** A build sheet with all its screen shows. */
export interface SheetView extends SheetLine {
  design: SheetDesign;
  leastEntered: string;
  mostEntered: string;
  gripEntered: string | null;
  /** N m. */
  torque: number | null;
  collar: boolean;
  steps: string | null;
  /** The cutter as an item, or what any must have. */
  names: { cutter: string | null; holder: string; parts: string[] };
  /** What it is drawn with. */
  shape: CutterGeometry;
  pieces: SheetStep[];
  versions: { version: number; happenedAt: Date; who: string; entryId: number }[];
  /** Assemblies that stand and were built from it, each with its version. */
  built: { tag: string; version: number }[];
}

/** More that lie here are not looked at for what may stand in. */
const LOOKED_AT = 60;

/** One build sheet as it is in force; null: there is none of that code. `material`: in which what is built from it is to cut. */
export async function sheetView(
  c: Connection,
  code: string,
  today: string,
  material: string | null = null,
): Promise<SheetView | null> {
  const row = await maybeSheetNow(c, code.toUpperCase());
  if (!row) return null;
  const sheet = first(await fullSheets(c, [row]));
  const versions = await manySheetVersions(c, row.code);
  return {
    ...lineOf(sheet),
    design: sheet.design,
    leastEntered: row.leastEntered,
    mostEntered: row.mostEntered,
    gripEntered: row.gripEntered,
    torque: row.torque,
    collar: row.collar,
    steps: row.steps,
    names: {
      cutter: sheet.cutter?.code ?? null,
      holder: sheet.holder.code,
      parts: sheet.parts.map((p) => p.item.code),
    },
    shape: sheet.shape,
    pieces: await piecesOf(c, sheet, today, material),
    versions: versions.map(({ version, happenedAt, who, entryId }) => ({
      version,
      happenedAt,
      who,
      entryId,
    })),
    built: await manyStandingFrom(c, row.code),
  };
}

/** What is asked for one step, and how what lies here is judged for it. */
interface Asked {
  what: SheetStep['what'];
  item: CribItem | null;
  out: { entered: string | null; mm: number | null };
  kinds: readonly ItemKind[];
  ranges: Parameters<typeof manyTakeableIds>[1]['ranges'];
  judge: (source: TakeSource) => Judgement | null;
}

const cutterAsked = (must: MustHave, item: CribItem | null): Asked => ({
  what: 'cutter',
  item,
  out: { entered: null, mm: null },
  kinds: ['cutter', 'body'],
  ranges: [
    {
      symbol: 'DC',
      min: must.DC - DEFAULTS.standsInMm,
      max: must.DC + DEFAULTS.standsInMm,
      minOpen: false,
      maxOpen: false,
    },
  ],
  judge: (s) =>
    s.cutter &&
    standsIn(
      must,
      { code: s.item, cutter: s.cutter, substrate: s.details.cutter?.SUBSTRATE ?? null },
      item?.code ?? null,
    ),
});

function asks({ design, cutter, holder, parts }: FullSheet): Asked[] {
  return [
    cutterAsked(design.must, cutter),
    {
      what: 'holder',
      item: holder,
      out: { entered: null, mm: null },
      kinds: ['holder'],
      ranges: [],
      judge: (s) =>
        s.holder &&
        s.details.holder &&
        holderStandsIn(design.holder, { details: s.details.holder, geometry: s.holder }),
    },
    ...parts.map((p): Asked => ({
      what: 'part',
      item: p.item,
      out: { entered: p.row.outEntered, mm: p.setOut },
      kinds: PART_KINDS.filter((k) => k === p.item.kind),
      ranges: [],
      judge: (s) =>
        s.part && first(partsStandIn([partOf(p.item, p.setOut)], [{ ...s.part, setOut: p.setOut }])),
    })),
  ];
}

const piecesOf = async (
  c: Connection,
  sheet: FullSheet,
  today: string,
  material: string | null,
): Promise<SheetStep[]> => {
  const pieces: SheetStep[] = [];
  const taken = { material, cutterId: sheet.cutter?.id ?? null };
  for (const asked of asks(sheet)) pieces.push(await stepOf(c, asked, lineOf(sheet).cutter, today, taken));
  return pieces;
};

/** A cutter that is wanted to cut a material, and what lies here of it or may stand in; `item`: the very one, else any that is all it must. */
export const cutterStep = (
  c: Connection,
  { must, item, words }: { must: MustHave; item: CribItem | null; words: string },
  today: string,
  material: string,
): Promise<SheetStep> => stepOf(c, cutterAsked(must, item), words, today, { material, cutterId: null });

/** `words`: what is said of it where no very item is named. */
async function stepOf(
  c: Connection,
  asked: Asked,
  words: string,
  today: string,
  taken: TakenFor,
): Promise<SheetStep> {
  const ids = await manyTakeableIds(
    c,
    { words: [], ranges: asked.ranges, kind: null },
    asked.kinds,
    LOOKED_AT,
  );
  const own = asked.item?.id ?? null;
  const all = await takeSources(
    c,
    [...(own === null ? [] : [own]), ...ids.filter((id) => id !== own)],
    today,
    taken,
  );
  const judged = all.flatMap((source) => {
    const judgement = asked.judge(source);
    return judgement && judgement.grade !== 'stop' ? [{ source, judgement }] : [];
  });
  // Where no very cutter is named, any that is all it asks is its own.
  const isOwn = ({ source, judgement }: SheetStep['instead'][number]) =>
    asked.item === null ? judgement.grade === 'good' : source.item === asked.item.code;
  return {
    what: asked.what,
    code: asked.item?.code ?? null,
    words: asked.item?.words ?? words,
    outEntered: asked.out.entered,
    outMm: asked.out.mm,
    // A reground one that is another size by now is none of the sheet's own any more.
    sources: judged.filter(isOwn).map((j) => j.source),
    instead: judged
      .filter((j) => !isOwn(j))
      .sort((a, b) => ORDER[a.judgement.grade] - ORDER[b.judgement.grade]),
  };
}

/** What differs in nothing stands first. */
const ORDER: Record<Judgement['grade'], number> = { good: 0, question: 1, 'not judged': 2, stop: 3 };
