import { registerText } from '@/core/measuring';
import { type Numbers, type SinceGiven, sinceGiven } from '@/core/registers';
import type { Because } from '@/core/because';
import { held } from '@/core/sure';
import { type AssemblyCard, type MachineRegisters, registersOn, standingOn } from '@/crib/rack';
import { workAround } from '@/crib/work';
import type { Connection } from '@/data/database';
import { manyOpenOperations, type OperationRow } from '@/data/jobs';
import { type GivenRow, manyGivenLast } from '@/data/registers';
import type { MachineRow } from '@/data/shop';

/** A T of a machine: what is tied to it, its numbers now, and what the control was given last. */
export interface SheetLine {
  t: number;
  /** null: nothing is tied to it any more. */
  tag: string | null;
  words: string | null;
  /** Open jobs that call it so. */
  jobs: string[];
  /** As typed in, in the machine's unit; null: there is none to enter. */
  h: string | null;
  d: string | null;
  /** Why there is no H, or no D. */
  lacks: string[];
  because: Because | null;
  measuredAt: Date | null;
  given: GivenRow | null;
  since: { state: SinceGiven; words: string };
  /** Another job has another tool, or another H, under the same T: they can't be in the control at once. */
  clashes: boolean;
}

/** One tool under one T, with the operations that call it there. */
interface Wanted {
  t: number;
  card: AssemblyCard | null;
  tag: string;
  operations: OperationRow[];
  registers: MachineRegisters | null;
}

/** The T of a machine's open operations, and what else it was given; by T, the first due before the rest. */
export const sheetOf = async (c: Connection, machine: MachineRow, zone: string): Promise<SheetLine[]> =>
  (await sheetWithCards(c, machine, zone)).map((x) => x.line);

/** The same, each line with the assembly that stands on it. */
export async function sheetWithCards(
  c: Connection,
  machine: MachineRow,
  zone: string,
): Promise<{ line: SheetLine; card: AssemblyCard | null }[]> {
  // Asked by machine the database would look through all operations that ever were; of the open ones there are few.
  const open = (await manyOpenOperations(c)).filter((o) => o.machineId === machine.id);
  const work = await workAround(c, open);
  const cards = new Map((await standingOn(c, work)).map((card) => [card.tag, card]));
  const given = new Map((await manyGivenLast(c, machine.id)).map((g) => [g.t, g]));
  const operations = new Map(work.operations.map((o) => [o.id, o]));
  const wanted = new Map<string, Wanted>();
  for (const tie of work.ties) {
    if (tie.assemblyId === null) continue;
    const operation = held(operations, tie.operationId);
    const { tag } = held(work.assemblies, tie.assemblyId);
    const card = cards.get(tag) ?? null;
    const registers = card && registersFor(machine, card, operation, zone);
    // Touched off on the part, each job has an H of its own.
    const key = `${tie.t} ${tag} ${registers?.ofJob ?? ''}`;
    const known = wanted.get(key);
    if (known) known.operations.push(operation);
    else wanted.set(key, { t: tie.t, card, tag, operations: [operation], registers });
  }
  const lines = [...wanted.values()].map((w) => ({
    line: lineOf(w, machine, given.get(w.t) ?? null),
    card: w.card,
  }));
  const counts = new Map<number, number>();
  for (const { line } of lines) counts.set(line.t, (counts.get(line.t) ?? 0) + 1);
  const gone = [...given.values()]
    .filter((g) => !counts.has(g.t))
    .map((g) => ({ line: goneLine(g), card: null }));
  return [
    ...lines.map(({ line, card }) => ({ line: { ...line, clashes: (counts.get(line.t) ?? 0) > 1 }, card })),
    ...gone,
  ].sort((a, b) => a.line.t - b.line.t);
}

/** null: not measured, in question, or of another taper. */
function registersFor(machine: MachineRow, card: AssemblyCard, o: OperationRow, zone: string) {
  if (card.measured.state !== 'measured') return null;
  return registersOn(machine, card.measured.measurement, card.cutter.DC, [o], zone);
}

function lineOf(w: Wanted, machine: MachineRow, given: GivenRow | null): SheetLine {
  const H = w.registers && registerText(w.registers.H, machine.units);
  const D = w.registers && registerText(w.registers.D, machine.units);
  const now: Numbers = { tag: w.tag, h: H, d: D };
  // A machine that works in another unit since has none of the figures it was given.
  const before = given?.unit === machine.units ? given : null;
  return {
    t: w.t,
    tag: w.card ? w.tag : null,
    words: w.card?.cutter.words ?? null,
    jobs: [...new Set(w.operations.map((o) => o.job))],
    h: H,
    d: D,
    lacks: lacksOf(w),
    because: w.registers?.because ?? null,
    measuredAt:
      w.card && w.card.measured.state !== 'not measured' ? w.card.measured.measurement.happenedAt : null,
    given,
    since: sinceGiven(w.card ? now : null, before) ?? {
      state: 'cannot say',
      words: `${w.tag} was taken down`,
    },
    clashes: false,
  };
}

function lacksOf({ card, tag, registers }: Wanted): string[] {
  if (!card) return [`${tag} was taken down`];
  if (card.measured.state === 'not measured') return ['not measured'];
  if (card.measured.state === 'in question') return ['its length is in question'];
  const { device, deviceDoubt } = card.measured.measurement;
  return [
    // Whoever runs it is asked the same (core/jobs/use/registers.ts).
    ...(deviceDoubt ? [`measured with ${device}, which was off at its check: measure again`] : []),
    ...(registers && 'needs' in registers.H ? [`H needs ${registers.H.needs}`] : []),
    ...(registers && 'needs' in registers.D ? [`D needs ${registers.D.needs}`] : []),
  ];
}

const goneLine = (given: GivenRow): SheetLine => ({
  t: given.t,
  tag: null,
  words: null,
  jobs: [],
  h: null,
  d: null,
  lacks: [],
  because: null,
  measuredAt: null,
  given,
  since: sinceGiven(null, given) ?? { state: 'gone', words: 'nothing is tied to it' },
  clashes: false,
});
