import {
  type ChangeAt,
  changeAtOf,
  partsUntilChange,
  reachNeeded,
  speedOf,
  type UseBuild,
  type UseJudgement,
  type UseState,
} from '@/core/jobs';
import { type Measure, minutesUntilChange, type WornHere } from '@/core/life';
import { partsLeftOf } from '@/crib/assemblies';
import type { MeasuredState } from '@/crib/measuring';
import { judgePlanned, wornHereOf } from '@/crib/work';
import { type Asked, judgedUse } from './judgedUse';
import { type LifeLeft, lengthOn, saysNothing } from './stands';

export interface TiedTo {
  operation: number;
  job: string;
  part: string;
  machine: string;
  t: number;
  minutesPerPart: number;
  partsLeft: number;
  reachMm: number | null;
  /** Its wear is at the criterion there. */
  worn: boolean;
  /** Parts until its cutter is changed there; null: when a sign shows, or nobody can count them. */
  untilChange: number | null;
  /** Mean life of fresh edges there, or until they are changed; null: not known. */
  freshMinutes: number | null;
  /** Whether it may run there now. */
  use: UseJudgement;
}

/** An assembly as it stands, before it is known on which machine it is to run. */
export type Stands = UseBuild &
  Pick<UseState, 'build' | 'inserts' | 'offWrench' | 'holders' | 'heldBack'> & {
    measured: MeasuredState;
    /** What the lives of its cutter say of it on a T. */
    lifeOn: (asked: Asked) => LifeLeft;
    /** What its readings say, where wear was said of the T it runs on; null: as usual. */
    wearIf: (here: WornHere | null) => UseState['wear'];
    /** Its cutter as an item, which what is planned is held against. */
    item: { code: string; substrate: string | null };
    /** Parts its edges cut on an operation. */
    cutOn: (operationId: number) => number;
    /** How much of what is counted they cut, wherever; null: of some nobody knows. */
    cutIn: (measure: Measure) => number | null;
    /** Share of fresh ones that lasts some minutes in a material at a speed, rev/min; null: cannot say. */
    lasts: (materialId: number, rpm: number | null) => ((minutes: number) => number) | null;
  };

/** A T it is tied to, with whether it may run there now. `setAt`: when the machine's own setter last read it. */
export function tiedTo(asked: Asked, stands: Stands, setAt: Date | null): TiedTo {
  const { operation: o, t, tool } = asked;
  const here = wornHereOf(asked.change, o);
  const wear = stands.wearIf(here);
  const changeAt = changeAtOf(asked.change, tool);
  const measure = changeAt?.counted?.measure;
  const cutSoFar = { parts: stands.cutOn(o.id), amount: measure ? stands.cutIn(measure) : null };
  const life = lifeHere(asked, changeAt, stands, here);
  return {
    operation: o.id,
    job: o.job,
    part: o.part,
    machine: o.machine,
    t,
    minutesPerPart: (tool?.cutting_s ?? 0) / 60,
    partsLeft: partsLeftOf(o),
    reachMm: reachNeeded(o.highestBesideMm, tool?.lowest_feed_z_mm ?? null),
    worn: wear?.worn === true,
    untilChange: changeAt && partsUntilChange(changeAt, cutSoFar),
    freshMinutes: life.freshMinutes ?? null,
    use: judgedUse(asked, {
      ...stands,
      wear,
      life,
      cutSoFar,
      ...lengthOn(asked, stands.measured, setAt),
      planned: judgePlanned(asked.plan, { ...stands.item, shape: stands.cutter }),
    }),
  };
}

/**
 * Where it is changed after a number of parts, a fresh one cuts no longer than that in the mean. Where it is worn at another
 * wear than its lives were counted to, they say nothing of it.
 */
function lifeHere(
  asked: Asked,
  changeAt: ChangeAt | null,
  { lifeOn, lasts }: Stands,
  here: WornHere | null,
): UseState['life'] {
  const { operation, tool } = asked;
  const life = lifeOn(asked);
  if (here) return saysNothing(life);
  if (changeAt?.parts == null || !tool || !(tool.cutting_s > 0)) return life;
  const survival = lasts(operation.materialId, speedOf(tool));
  const until = minutesUntilChange(survival, (changeAt.parts * tool.cutting_s) / 60);
  const { freshMinutes } = life;
  return { ...life, freshMinutes: freshMinutes == null ? null : Math.min(freshMinutes, until) };
}
