import { group } from 'd3';
import { cuttingSpeed } from '@/core/cutting';
import { cheapestAt, type CheapestSpeed, livesBySpeed, type LivesBySpeed } from '@/core/life';
import { type CribItem, factNumber } from '@/crib/catalogue';
import { lifeTime } from '@/crib/lives';
import type { Connection } from '@/data/database';
import { type LifeRow, manySpeedsOf } from '@/data/life';
import type { CostsHere } from '../costsHere';

/** Lives of a cutter in a material by cutting speed, at its DC. */
export interface BySpeed extends LivesBySpeed {
  /** mm the speeds are reckoned at. */
  DC: number;
  /** Where a part costs least, by what changes cost here; null: no law, or nobody said what a minute is. */
  cheapest: CheapestSpeed | null;
}

/** A life is of one speed where it cut this part of its minutes within a twentieth of it. */
const MOST = 0.9;
const ALIKE = 0.05;

/**
 * Lives of a cutter in a material by the cutting speed of the programs they were logged by. null: its DC is not known, or they
 * were all cut at one speed, which tells nothing of others.
 */
export async function speedView(
  c: Connection,
  item: CribItem,
  lives: readonly LifeRow[],
  edgeCents: number | null,
  { said }: CostsHere,
): Promise<BySpeed | null> {
  const DC = factNumber(item, 'DC');
  if (DC === null || !lives.length) return null;
  const speeds = group(
    await manySpeedsOf(
      c,
      lives.map((l) => l.edgeSetId),
    ),
    (s) => s.edgeSetId,
  );
  const bySpeed = livesBySpeed(
    lives.map((l) => {
      const s = oneSpeed(speeds.get(l.edgeSetId) ?? [], l.minutes);
      return { speed: s === null ? null : cuttingSpeed(s, DC), life: lifeTime(l.minutes, l.ended) };
    }),
  );
  if (bySpeed.groups.length < 2) return null;
  const costs =
    said && edgeCents !== null && edgeCents > 0 && said.minuteCents > 0
      ? { changeMinutes: said.changeMinutes, edge: edgeCents, minute: said.minuteCents }
      : null;
  return { ...bySpeed, DC, cheapest: bySpeed.law && costs ? cheapestAt(bySpeed.law, costs) : null };
}

/** The one speed of a life, rev/min; null: it was cut at several, or not all of it is known. */
function oneSpeed(of: readonly { s: number; minutes: number }[], minutes: number): number | null {
  const longest = of.toSorted((a, b) => b.minutes - a.minutes)[0];
  if (!longest) return null;
  const near = of.filter((x) => Math.abs(x.s / longest.s - 1) <= ALIKE);
  return near.reduce((sum, x) => sum + x.minutes, 0) >= MOST * minutes ? longest.s : null;
}
