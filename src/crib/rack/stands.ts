import type { Because } from '@/core/because';
import { speedOf, type UseState } from '@/core/jobs';
import type { ToolReport } from '@/core/programs';
import type { LifeBook } from '@/crib/lives';
import type { MeasuredState } from '@/crib/measuring';
import type { AssemblyRow } from '@/data/assemblies';
import type { OperationRow } from '@/data/jobs';
import type { Asked } from './judgedUse';
import { hOn } from './registers';

/** How much of its life an assembly's edges have left, and why. */
export interface LifeLeft {
  minutes: number;
  used: number | null;
  leftMinutes: number | null;
  fresh: boolean;
  /** Expected life of fresh edges in that material; null: not known. */
  freshMinutes: number | null;
  material: string | null;
  because: Because | null;
  /** Where it is worn at another wear than its lives were counted to, the share of the usual life it has used; left out: as usual. */
  usualUsed?: number | null;
}

/** What the length of an assembly is worth on one machine. */
export function lengthOn(
  { machine, operation, load }: Asked,
  measured: MeasuredState,
  /** When the machine's own setter last read it; null: it has none, or did not. */
  setAt: Date | null,
): Pick<
  UseState,
  | 'pocket'
  | 'setThere'
  | 'measured'
  | 'question'
  | 'deviceDoubt'
  | 'diameterMeasured'
  | 'gaugeLength'
  | 'runout'
  | 'registerNeeds'
  | 'figuresChanged'
> {
  const m = measured.state === 'not measured' ? null : measured.measurement;
  const H = m && hOn(machine, m, operation);
  return {
    pocket: load,
    ...(machine.ownSetter === null
      ? {}
      : { setThere: setAt !== null && setAt >= machine.lengthsSince ? 'read' : 'not read' }),
    measured: measured.state,
    question: measured.state === 'in question' ? (measured.measurement.questions[0]?.words ?? null) : null,
    deviceDoubt: m?.deviceDoubt ?? false,
    diameterMeasured: m?.diameterMm != null,
    gaugeLength: measured.state === 'measured' ? measured.measurement.gaugeLengthMm : null,
    runout: m?.runoutMm ?? null,
    registerNeeds: H && 'needs' in H ? H.needs : null,
    // A school that enters the length itself has no figure of the machine in it.
    figuresChanged: m !== null && machine.lengthSchool !== 'gauge' && m.happenedAt < machine.lengthsSince,
  };
}

/** What the lives of its cutter say of it on a T, worn or not; null: on none, as it was cut so far. */
export function lifeOf(
  row: AssemblyRow,
  book: LifeBook,
  asked: { operation: OperationRow; tool: Pick<ToolReport, 'lower_bound' | 'in_force'> | null } | null,
): LifeLeft {
  const operation = asked?.operation ?? null;
  const rpm = asked?.tool ? speedOf(asked.tool) : null;
  const cut = book.cut(row.edgeSetId);
  const minutes = cut?.minutes ?? 0;
  const used = book.used(row.edgeSetId);
  const oldest = book.oldest(row.edgeSetId);
  const materialId = operation?.materialId ?? cut?.uses.at(-1)?.materialId ?? null;
  const expectation = materialId === null ? null : book.expectation(row.cutterItemId, materialId, rpm);
  const expected = expectation?.minutes ?? null;
  return {
    minutes,
    used,
    fresh: row.fresh,
    freshMinutes: expected,
    material: operation?.material ?? null,
    leftMinutes: used === null || expected === null ? null : (1 - used) * expected,
    because: expectation && {
      words: expectation.because.words,
      formula: 'life left = expected life × (1 − share used)',
      values: [
        {
          name: 'expected life',
          value:
            expected === null
              ? `not known yet, at least ${(expectation.atLeast ?? 0).toFixed(1)} min`
              : `${expected.toFixed(1)} min`,
          source: expectation.basis,
        },
        { name: 'in the cut so far', value: `${minutes.toFixed(1)} min` },
        ...(oldest === null
          ? []
          : [{ name: 'its oldest edge, by which it is reckoned', value: `${oldest.toFixed(1)} min` }]),
        { name: 'share used', value: used === null ? 'cannot say' : `${Math.round(used * 100)} %` },
        ...expectation.because.values,
      ],
    },
  };
}

/** Where it runs it is worn at another wear than its lives were counted to: they say nothing of what is left. */
export const saysNothing = (life: LifeLeft): LifeLeft => ({
  ...life,
  usualUsed: life.used,
  used: null,
  leftMinutes: null,
  freshMinutes: null,
});
