import { buildFigures, type BuildFigures } from '@/core/assemblies';
import { group } from 'd3';
import { type CutterGeometry, familySpec, sameTaper } from '@/core/cutters';
import { chipsAtMost } from '@/core/cutting';
import type { UseJudgement } from '@/core/jobs';
import { type Measure, measureOf } from '@/core/life';
import { recipeOf } from '@/crib/cutting';
import { type TurnAt, turnsAt } from '@/crib/lives';
import { gradesFor } from '@/crib/secondlife';
import { manyMeasurements, maybeAssembly, type MeasurementRow } from '@/data/assemblies';
import { manyRecipesById } from '@/data/cutting';
import type { Connection } from '@/data/database';
import {
  type CutLogRow,
  type CutSumRow,
  manyCutLogs,
  manyCutSums,
  manyEdgePictures,
  manyWaysOf,
} from '@/data/life';
import { manyLoads, maybeLoadOf } from '@/data/pockets';
import { manyCorrections } from '@/data/registers';
import { maybeBuiltFrom, maybeSheetNow } from '@/data/sheets';
import { manyMachines, manyMaterials } from '@/data/shop';
import { manyGoodSeats, maybeMounted, maybePiece, type Mounted } from '@/data/stock';
import { type AssemblyCard, standingOne, type TiedTo } from '../cards';
import { standsInAt } from '../sisters';
import { correctionsOn, type MachineRegisters, registersOn } from '../registers';

/** An assembly with everything its tag shows. */
export interface AssemblyView extends AssemblyCard {
  measurements: MeasurementRow[];
  /** Empty until measured and out of question: then there is nothing to enter in a machine. */
  registers: MachineRegisters[];
  /** Pictures of its edge, the latest twelve, by the minutes it had cut by then, the fewest first. */
  pictures: { entryId: number; shows: string; happenedAt: Date; minutes: number }[];
  /** What its edge has cut on each T, the latest twelve, chips at most (null: not known), and what its family counts a life in. */
  cut: {
    measure: Measure;
    on: (CutSumRow & { chipsMm3: number | null })[];
    logs: CutLogRow[];
    /** In which it may have cut. */
    materials: { code: string; name: string }[];
  };
  /** What it weighs, how fast it may turn, how far its tip gives way. */
  figures: BuildFigures;
  /** What its cutter may be graded as when it is taken down. */
  grades: string[];
  /** Inserts in a body, and the numbers of the seats that hold one; null: none, or it is no body. */
  inserts: (Pick<Mounted, 'item' | 'quantity' | 'edgesLeft' | 'seats'> & { numbers: number[] }) | null;
  /** Where it is loaded now, with the others under its T there; null: in no machine. */
  loaded: {
    machine: string;
    pocket: number;
    t: number;
    sisters: string[];
    /** Where no open job ties it to that T there: what it stands in for, and whether it may. */
    standsIn: (Pick<TiedTo, 'operation' | 'job' | 't'> & { use: Pick<UseJudgement, 'grade' | 'why'> })[];
  } | null;
  /** What trials that go on in what it cuts say of the next edge like its own. */
  turns: TurnAt[];
  /** The sheet it was built from, and the version that stands now; null: from none. */
  builtFrom: { code: string; version: number; now: number | null } | null;
}

const CUT_SHOWN = 12;

/** One assembly that stands; null where there is none of that tag. */
export async function assemblyView(c: Connection, tag: string, zone: string): Promise<AssemblyView | null> {
  const assembly = await maybeAssembly(c, tag.toUpperCase());
  if (!assembly || assembly.takenDownEntryId !== null) return null;
  const { card, row, cutter, operations, together } = await standingOne(c, assembly);
  const { measured } = card;
  const from = await maybeBuiltFrom(c, row.id);
  const mounted = card.cutter.kind === 'body' ? await maybeMounted(c, row.pieceId) : null;
  const goodSeats = mounted ? await manyGoodSeats(c, row.pieceId) : [];
  const load = await maybeLoadOf(c, row.id);
  const corrections = await manyCorrections(c, [row.id]);
  const machines = measured.state === 'measured' ? await manyMachines(c) : [];
  return {
    ...card,
    measurements: await manyMeasurements(c, row.id),
    pictures: (await manyEdgePictures(c, row.pieceId, row.edgeSetId)).toReversed(),
    cut: {
      measure: measureOf(card.cutter.family && familySpec(card.cutter.family)),
      on: await withChips(c, row.edgeSetId, await manyCutSums(c, row.edgeSetId, CUT_SHOWN), cutter),
      logs: await manyCutLogs(c, row.edgeSetId, CUT_SHOWN),
      materials: (await manyMaterials(c)).filter((m) => m.inUse).map(({ code, name }) => ({ code, name })),
    },
    figures: buildFigures(together.build),
    grades: await gradesFor(c, row.cutterItemId, await maybePiece(c, row.mark)),
    inserts: mounted && {
      item: mounted.item,
      quantity: mounted.quantity,
      edgesLeft: mounted.edgesLeft,
      seats: mounted.seats,
      numbers: goodSeats,
    },
    loaded: load && {
      ...{ machine: load.machine, pocket: load.pocket, t: load.t },
      sisters: (await manyLoads(c, load.machineId)).flatMap((l) =>
        l.t === load.t && l.assemblyId !== row.id ? [l.tag] : [],
      ),
      standsIn: (await standsInAt(c, card, load)).map((s) => ({
        ...{ operation: s.operation, job: s.job, t: s.t },
        use: { grade: s.use.grade, why: s.use.why },
      })),
    },
    turns:
      card.life.material === null
        ? []
        : ((await turnsAt(c, [row.cutterItemId], card.life.material)).get(row.cutterItemId) ?? []),
    builtFrom: from && {
      code: from.code,
      version: from.version,
      now: (await maybeSheetNow(c, from.code))?.version ?? null,
    },
    registers:
      measured.state === 'measured'
        ? machines
            .filter((m) => {
              const goes = card.holder.taper === null ? null : sameTaper(m.taper, card.holder.taper);
              // Where the words leave it open, what it is tied to says where it is meant to go.
              return goes ?? card.ties.some((t) => t.machine === m.code);
            })
            .map((m) =>
              registersOn(
                m,
                measured.measurement,
                cutter.DC,
                operations,
                zone,
                correctionsOn(m, row, measured.measurement, corrections),
              ),
            )
        : [],
  };
}

/** What was cut on each T, with the chips of it. */
async function withChips(
  c: Connection,
  edgeSetId: number,
  sums: readonly CutSumRow[],
  cutter: CutterGeometry,
): Promise<AssemblyView['cut']['on']> {
  const ways = group(await manyWaysOf(c, edgeSetId), (w) => `${w.operationId} ${w.t}`);
  const ids = [...ways.values()].flat().flatMap((w) => w.recipeId ?? []);
  const recipes = new Map((await manyRecipesById(c, [...new Set(ids)])).map((r) => [r.id, recipeOf(r)]));
  const drill = cutter.family === 'drill' ? { DC: cutter.DC } : null;
  return sums.map((sum) => ({
    ...sum,
    chipsMm3: chipsAtMost(
      // What was said beside the logs is of no T, and nobody said how deep.
      (ways.get(`${sum.operationId} ${sum.t}`) ?? []).map((w) => ({
        mm: w.cutMm,
        recipe: recipes.get(w.recipeId ?? -1) ?? null,
      })),
      drill,
    ),
  }));
}
