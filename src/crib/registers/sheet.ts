import { registerText } from '@/core/measuring';
import {
  hasWear,
  isWear,
  type Numbers,
  type RegisterNumbers,
  registerNumbers,
  type SinceGiven,
  sinceGiven,
  sinceItsSetter,
  type WearDue,
} from '@/core/registers';
import type { Because } from '@/core/because';
import { held } from '@/core/sure';
import {
  type AssemblyCard,
  correctionsOn,
  type MachineRegisters,
  registersOn,
  standingAt,
  standsInFor,
  standingThese,
} from '@/crib/rack';
import { workAround } from '@/crib/work';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOpenOperations, type OperationRow } from '@/data/jobs';
import { type LoadRow, manyLoads } from '@/data/pockets';
import {
  type CorrectionRow,
  type GivenRow,
  manyCorrections,
  manyGivenLast,
  manyLastCorrected,
} from '@/data/registers';
import type { MachineRow } from '@/data/shop';
import { believed } from './believed';
import { elsewhere, lacksOf } from './lacks';
import { callsUnder, mustNotRun } from './mustNotRun';

/** A tool under a T of a machine: the registers its figures stand in, what they are to be, what the control was given last. */
export interface SheetLine {
  t: number;
  numbers: RegisterNumbers;
  /** Where it is loaded; null: it is tied to a job and not in a pocket. */
  pocket: number | null;
  /** null: nothing is tied to it any more. */
  tag: string | null;
  words: string | null;
  /** Open jobs that call it so. */
  jobs: string[];
  /** As typed in, in the machine's unit; null: there is none to enter. */
  h: string | null;
  d: string | null;
  /** null: the machine has none. */
  wear: { h: WearDue; d: WearDue | null } | null;
  /** Of a machine that measures its tools itself: H by the crib's own measurement, to compare; null: it does not, or it was not measured. */
  wouldBe: string | null;
  /** What the machine's own setter measures is read back and never given. */
  setThere: { h: boolean; d: boolean };
  /** Why there is no H, or no D, and what else is to be said of them. */
  lacks: string[];
  /** Of these: why the program would run it by another tool's length; null: it would not. */
  calledElsewhere: string | null;
  /** Why it must not run there; null: nothing known stops it. What no job calls there is judged by itself alone. */
  stop: string | null;
  because: Because | null;
  measuredAt: Date | null;
  given: GivenRow | null;
  since: { state: SinceGiven; words: string };
  /** Another line wants the same register, or the same T with another tool: they can't be in the control at once. */
  clashes: boolean;
}

/** A line with what it was made of. */
export interface SheetWith {
  line: SheetLine;
  card: AssemblyCard | null;
  row: AssemblyRow | null;
  /** Corrections that still count, by when they happened. */
  corrections: CorrectionRow[];
  /** What is in the control by all that is recorded; null: nothing is. */
  had: Numbers | null;
}

/** One tool under one T, with the operations that call it there. */
interface Wanted {
  t: number;
  numbers: RegisterNumbers;
  row: AssemblyRow;
  card: AssemblyCard | null;
  load: LoadRow | null;
  operations: OperationRow[];
  /** Where none calls it there: those it stands in for as a sister. */
  standsIn: AssemblyCard['ties'];
  corrections: CorrectionRow[];
  registers: MachineRegisters | null;
  /** Why the program would look elsewhere for it; null: it does not. */
  calledElsewhere: string | null;
  /** As if the machine had no setter of its own. */
  wouldBe: MachineRegisters | null;
}

/** The T of a machine's open operations and its pockets, and what else it was given; by T and H. */
export const sheetOf = async (c: Connection, machine: MachineRow, zone: string): Promise<SheetLine[]> =>
  (await sheetWithCards(c, machine, zone)).map((x) => x.line);

/** The same, each line with the assembly that stands on it. */
export async function sheetWithCards(c: Connection, machine: MachineRow, zone: string): Promise<SheetWith[]> {
  // Asked by machine the database would look through all operations that ever were; of the open ones there are few.
  const open = (await manyOpenOperations(c)).filter((o) => o.machineId === machine.id);
  const work = await workAround(c, open);
  const { cards: standing, sisters } = await standingAt(c, work);
  const cards = new Map(standing.map((card) => [card.tag, card]));
  const rows = new Map(work.assemblies);
  const loads = await manyLoads(c, machine.id);
  const more = loads.map((l) => l.assemblyId).filter((id) => !rows.has(id));
  for (const { row, card } of more.length ? await standingThese(c, await manyAssembliesById(c, more)) : []) {
    rows.set(row.id, row);
    cards.set(row.tag, card);
  }
  const operations = new Map(work.operations.map((o) => [o.id, o]));
  const tied = work.ties.flatMap((tie) =>
    tie.assemblyId === null ? [] : [{ ...tie, assemblyId: tie.assemblyId }],
  );
  const corrections = await manyCorrections(c, [
    ...new Set([...tied.map((t) => t.assemblyId), ...loads.map((l) => l.assemblyId)]),
  ]);
  const given = new Map((await manyGivenLast(c, machine.id)).map((g) => [g.number, g]));
  const wanted = new Map<string, Wanted>();
  const add = (t: number, assemblyId: number, load: LoadRow | null, operation: OperationRow | null) => {
    const row = held(rows, assemblyId);
    const card = cards.get(row.tag) ?? null;
    const tool = operation && work.programs.get(operation.id)?.tools.find((x) => x.t === t);
    const numbers = registerNumbers(
      t,
      tool ?? { h: [], d: [] },
      machine.hEqualsT,
      load && { h: load.h ?? load.t, d: load.d ?? load.h ?? load.t },
    );
    const measurement = card?.measured.state === 'measured' ? card.measured.measurement : null;
    // A length in question ends what was corrected before it as any other does.
    const newest = card && card.measured.state !== 'not measured' ? card.measured.measurement : null;
    const still = correctionsOn(machine, row, newest, corrections);
    const on = (m: MachineRow) =>
      card && measurement
        ? registersOn(m, measurement, card.cutter.DC, operation ? [operation] : [], zone, still)
        : null;
    const registers = on(machine);
    // Touched off on the part, each job has an H of its own.
    const key = `${t} ${numbers.h} ${row.tag} ${registers?.ofJob ?? ''}`;
    const known = wanted.get(key);
    if (known) known.operations.push(...(operation ? [operation] : []));
    else
      wanted.set(key, {
        ...{ t, numbers, row, card, load, registers },
        calledElsewhere: load && tool ? elsewhere(load, tool.h, loads) : null,
        operations: operation ? [operation] : [],
        standsIn: operation || !card ? [] : standsInFor(card, machine.code, sisters),
        corrections: still,
        wouldBe: machine.ownSetter === null ? null : on({ ...machine, ownSetter: null }),
      });
  };
  for (const tie of tied) {
    const load = loads.find((l) => l.assemblyId === tie.assemblyId && l.t === tie.t) ?? null;
    add(tie.t, tie.assemblyId, load, held(operations, tie.operationId));
  }
  // What is in a pocket has its registers, whether a job calls it or not.
  for (const load of loads)
    if (!tied.some((tie) => tie.assemblyId === load.assemblyId && tie.t === load.t))
      add(load.t, load.assemblyId, load, null);
  const last = await manyLastCorrected(c, machine.id, [
    ...new Set([...wanted.values()].flatMap((w) => [w.numbers.h, w.numbers.d])),
  ]);
  const lines = [...wanted.values()].map((w): SheetWith => {
    const before = given.get(w.numbers.h) ?? null;
    // A machine that works in another unit since has none of the figures it was given.
    const had = believed(
      before?.unit === machine.units ? before : null,
      last.filter((x) => x.unit === machine.units),
      w.numbers,
    );
    return {
      line: lineOf(w, machine, before, had),
      ...{ card: w.card, row: w.row, corrections: w.corrections, had },
    };
  });
  const known = new Set(lines.map(({ line }) => line.numbers.h));
  const gone = [...given.values()]
    .filter((g) => !known.has(g.number))
    .map((g) => ({ line: goneLine(g), card: null, row: null, corrections: [], had: g }));
  const all = lines.map(({ line }) => line);
  const judged = lines.map((x) => ({ ...x, line: { ...x.line, clashes: clashesWith(x.line, all) } }));
  return [...judged, ...gone].sort((a, b) => a.line.t - b.line.t || a.line.numbers.h - b.line.numbers.h);
}

/** Whether another line wants a register of this one's, or its T without being its sister in another pocket. */
export const clashesWith = (line: SheetLine, all: readonly SheetLine[]): boolean =>
  all.some(
    (x) =>
      x !== line &&
      (x.numbers.h === line.numbers.h ||
        (x.tag !== line.tag &&
          ((x.numbers.d === line.numbers.d && x.d !== null && line.d !== null) ||
            (x.t === line.t && (x.pocket === null || line.pocket === null))))),
  );

function lineOf(w: Wanted, machine: MachineRow, given: GivenRow | null, had: Numbers | null): SheetLine {
  const text = (register: MachineRegisters['H'] | undefined) =>
    register ? registerText(register, machine) : null;
  const { tag } = w.row;
  const calls = w.operations.length ? callsUnder(w.card?.ties ?? [], w.t, w.operations) : w.standsIn;
  const [h, d, wouldBe] = [text(w.registers?.H), text(w.registers?.D), text(w.wouldBe?.H)];
  const wear = wearOf(w, machine, had);
  const now: Numbers = { tag, h, d, hWear: wear?.h.due ?? null, dWear: wear?.d?.due ?? null };
  const since =
    machine.ownSetter === null
      ? sinceGiven(w.card ? now : null, had)
      : sinceItsSetter(
          w.card ? { tag, wouldBe, unit: machine.units, figures: machine.lengthsSince } : null,
          had && given ? { ...had, happenedAt: given.happenedAt } : null,
        );
  return {
    t: w.t,
    numbers: w.numbers,
    pocket: w.load?.pocket ?? null,
    tag: w.card ? tag : null,
    words: w.card?.cutter.words ?? null,
    jobs: [...new Set(w.operations.map((o) => o.job))],
    ...{ h, d, wear, wouldBe },
    setThere: { h: machine.ownSetter !== null, d: machine.ownSetter === 'length and diameter' },
    lacks: lacksOf(w, machine),
    calledElsewhere: w.calledElsewhere,
    stop: w.card && mustNotRun(w.card.itself, calls),
    because: w.registers?.because ?? null,
    measuredAt:
      w.card && w.card.measured.state !== 'not measured' ? w.card.measured.measurement.happenedAt : null,
    given,
    since: since ?? { state: 'cannot say', words: `${tag} was taken down` },
    clashes: false,
  };
}

function wearOf(w: Wanted, machine: MachineRow, had: Numbers | null): SheetLine['wear'] {
  if (hasWear(machine) !== true || !w.registers) return null;
  const { wear } = w.registers.corrected;
  const due = (mm: number) => registerText({ value: mm }, machine) ?? '';
  return {
    h: { due: due(wear.H), had: had?.hWear ?? null },
    // Where D is the difference to the programmed size it stands in the wear register itself.
    d: isWear(machine.diameterSchool) ? null : { due: due(wear.D), had: had?.dWear ?? null },
  };
}

const goneLine = (given: GivenRow): SheetLine => ({
  t: given.t,
  numbers: { h: given.number, d: given.number },
  pocket: null,
  tag: null,
  words: null,
  jobs: [],
  h: null,
  d: null,
  wear: null,
  wouldBe: null,
  setThere: { h: false, d: false },
  lacks: [],
  calledElsewhere: null,
  stop: null,
  because: null,
  measuredAt: null,
  given,
  since: sinceGiven(null, given) ?? { state: 'gone', words: 'nothing is tied to it' },
  clashes: false,
});
