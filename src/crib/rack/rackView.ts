import { assemblyOutline, expectedGaugeLength, judgeBuild, type AssemblyOutline } from '@/core/assemblies';
import type { Because, Judgement } from '@/core/because';
import { regroundGeometry, sameTaper } from '@/core/cutters';
import { presentSizes } from '@/data/stock';
import { reachNeeded } from '@/core/jobs';
import { wearLimit } from '@/core/life';
import {
  diameterRegister,
  lengthRegister,
  LENGTH_SCHOOLS,
  workOffset,
  type Register,
} from '@/core/measuring';
import type { LengthUnit } from '@/core/units';
import { factText, loadItems, type CribItem } from '@/crib/cutters';
import { loadLifeBook, type LifeBook } from '@/crib/life';
import { measuredState, type MeasuredState } from '@/crib/measuring';
import {
  manyMeasurements,
  manyStandingAssemblies,
  type AssemblyRow,
  type MeasurementRow,
} from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOperations, manyPrograms, manyTies, type OperationRow } from '@/data/jobs';
import { manyWearReadings, type WearRow } from '@/data/life';
import { manyMachines, type MachineRow } from '@/data/machines';

export interface MachineRegisters {
  machine: string;
  units: LengthUnit;
  school: string;
  H: Register;
  D: Register;
  workOffset: Register;
  /** Which part zero was used, where the school needs one. */
  partZeroOf: string | null;
  because: Because;
}

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

/** An assembly as the rack, its tag, Today and the prints show it. */
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
  measurements: MeasurementRow[];
  /** Empty until measured and out of question: then there is nothing to enter in a machine. */
  registers: MachineRegisters[];
  life: {
    minutes: number;
    used: number | null;
    leftMinutes: number | null;
    fresh: boolean;
    material: string | null;
    because: Because | null;
  };
  wear: { latest: WearRow | null; limitMm: number };
  ties: TiedTo[];
  builtAt: Date;
  who: string;
  entryId: number;
}

export interface RackView {
  assemblies: AssemblyCard[];
  machines: { code: string; name: string }[];
}

interface Around {
  items: Map<number, CribItem>;
  book: LifeBook;
  machines: MachineRow[];
  measurements: MeasurementRow[];
  wear: WearRow[];
  /** Reground pieces as they are now. */
  sizes: Map<number, { dc: number; lcf: number }>;
  tiesOf: Map<
    number,
    { operation: OperationRow; t: number; minutesPerPart: number; lowestFeedZ: number | null }[]
  >;
}

/** All assemblies that stand, by tag. */
export async function rackView(c: Connection): Promise<RackView> {
  const rows = await manyStandingAssemblies(c);
  const around = await loadAround(c, rows);
  return {
    assemblies: rows.map((row) => card(row, around)),
    machines: around.machines.map(({ code, name }) => ({ code, name })),
  };
}

async function loadAround(c: Connection, rows: readonly AssemblyRow[]): Promise<Around> {
  const operations = new Map((await manyOperations(c)).map((o) => [o.id, o]));
  const programs = new Map((await manyPrograms(c)).map((p) => [p.operation_id, p.report]));
  const tiesOf: Around['tiesOf'] = new Map();
  for (const tie of await manyTies(c)) {
    const operation = operations.get(tie.operation_id);
    const tool = programs.get(tie.operation_id)?.tools.find((x) => x.t === tie.t);
    if (tie.assembly_id === null || !operation) continue;
    const list = tiesOf.get(tie.assembly_id) ?? [];
    tiesOf.set(tie.assembly_id, list);
    list.push({
      operation,
      t: tie.t,
      minutesPerPart: (tool?.cutting_s ?? 0) / 60,
      lowestFeedZ: tool?.lowest_feed_z_mm ?? null,
    });
  }
  const ids = [...new Set(rows.flatMap((r) => [r.cutter_item_id, r.holder_item_id]))];
  return {
    items: new Map((await loadItems(c, ids)).map((i) => [i.id, i])),
    book: await loadLifeBook(
      c,
      rows.map((r) => r.cutter_item_id),
    ),
    machines: await manyMachines(c),
    measurements: await manyMeasurements(
      c,
      rows.map((r) => r.id),
    ),
    wear: await manyWearReadings(c),
    sizes: await presentSizes(
      c,
      rows.map((r) => r.piece_id),
    ),
    tiesOf,
  };
}

function card(row: AssemblyRow, around: Around): AssemblyCard {
  const cutter = around.items.get(row.cutter_item_id)!;
  const holder = around.items.get(row.holder_item_id)!;
  const present = regroundGeometry(cutter.cutter!, around.sizes.get(row.piece_id) ?? null);
  const measurements = around.measurements.filter((m) => m.assembly_id === row.id);
  const measured = measuredState(measurements);
  const expectedMm = expectedGaugeLength(holder.holder!.LF, row.stickout_mm);
  const ties = around.tiesOf.get(row.id) ?? [];
  const life = lifeOf(row, around.book, ties[0]?.operation ?? null);
  const length = measured.state === 'not measured' ? expectedMm : measured.measurement.gauge_length_mm;
  return {
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
    stickoutMm: row.stickout_mm,
    stickoutEntered: row.stickout_entered,
    expectedMm,
    outline: assemblyOutline(present, holder.holder!, row.stickout_mm, length),
    judgements: judgeBuild({
      cutter: present,
      holder: holder.holder!,
      stickout: row.stickout_mm,
      shank: { form: factText(cutter, 'SHANK'), takes: factText(holder, 'SHANKS') },
    }),
    measured,
    measurements,
    registers:
      measured.state === 'measured'
        ? around.machines
            .filter((m) => holder.taper !== null && sameTaper(m.taper, holder.taper) === true)
            .map((m) =>
              registersOn(
                m,
                measured.measurement,
                cutter.cutter!.DC,
                ties.map((t) => t.operation),
              ),
            )
        : [],
    life,
    wear: {
      latest: around.wear.find((w) => w.edge_set_id === row.edge_set_id) ?? null,
      limitMm: wearLimit(present.DC),
    },
    ties: ties.map(({ operation: o, t, minutesPerPart, lowestFeedZ }) => ({
      operation: o.id,
      job: o.job,
      part: o.part,
      machine: o.machine,
      t,
      minutesPerPart,
      partsLeft: Math.max(0, o.quantity - o.parts_made),
      goodFor:
        life.leftMinutes === null || minutesPerPart <= 0
          ? null
          : Math.floor(Math.max(0, life.leftMinutes) / minutesPerPart + 1e-9),
      reachMm: reachNeeded(o.highest_beside_mm, lowestFeedZ),
    })),
    builtAt: row.built_at,
    who: row.who,
    entryId: row.entry_id,
  };
}

function lifeOf(row: AssemblyRow, book: LifeBook, operation: OperationRow | null): AssemblyCard['life'] {
  const life = book.byEdgeSet.get(row.edge_set_id)!;
  const used = book.used(row.edge_set_id);
  const materialId = operation?.material_id ?? life.uses.at(-1)?.material_id ?? null;
  const expectation = materialId === null ? null : book.expectation(row.cutter_item_id, materialId);
  return {
    minutes: life.minutes,
    used,
    fresh: row.fresh,
    material: operation?.material ?? null,
    leftMinutes: used === null || !expectation ? null : (1 - used) * expectation.minutes,
    because: expectation && {
      words: expectation.because.words,
      formula: 'life left = expected life × (1 − share used)',
      values: [
        { name: 'expected life', value: `${expectation.minutes.toFixed(1)} min`, source: expectation.basis },
        { name: 'in the cut so far', value: `${life.minutes.toFixed(1)} min` },
        { name: 'share used', value: used === null ? 'cannot say' : `${Math.round(used * 100)} %` },
        ...expectation.because.values,
      ],
    },
  };
}

/** One measurement, this machine's registers. */
export function registersOn(
  m: MachineRow,
  measurement: MeasurementRow,
  DC: number,
  operations: readonly OperationRow[],
): MachineRegisters {
  const lengths = { school: m.length_school, K: m.k_mm, K0: m.k0_mm, Lm: m.master_length_mm };
  const operation = operations.find((o) => o.machine === m.code && o.part_zero_mm !== null);
  const h = operation?.part_zero_mm ?? null;
  const L = measurement.gauge_length_mm;
  const D = measurement.diameter_mm;
  return {
    machine: m.code,
    units: m.units,
    school: LENGTH_SCHOOLS[m.length_school],
    H: lengthRegister(lengths, L, h),
    D: D === null ? { needs: 'a measured diameter' } : diameterRegister(m.diameter_school, D, DC),
    workOffset: workOffset(lengths, h),
    partZeroOf: operation?.job ?? null,
    because: {
      words: `${m.code} works with ${LENGTH_SCHOOLS[m.length_school]}.`,
      formula: {
        gauge: 'H = L',
        datum: 'H = L − K',
        'common-stand': 'H = L − K0',
        master: 'H = L − Lm',
        'touched-off': 'H = h + L − K',
      }[m.length_school],
      values: [
        { name: 'L', value: `${L.toFixed(3)} mm`, source: `measured by ${measurement.who}` },
        {
          name: 'K',
          value: `${m.k_mm.toFixed(3)} mm`,
          source: `${m.code} since ${m.figures_since.toISOString().slice(0, 10)}`,
        },
        ...(m.k0_mm === null ? [] : [{ name: 'K0', value: `${m.k0_mm.toFixed(3)} mm` }]),
        ...(m.master_length_mm === null
          ? []
          : [{ name: 'Lm', value: `${m.master_length_mm.toFixed(3)} mm` }]),
        ...(h === null ? [] : [{ name: 'h', value: `${h.toFixed(3)} mm`, source: operation!.job }]),
      ],
    },
  };
}
