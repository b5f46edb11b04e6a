import { cuttingSpeed, turnsFor } from '@/core/cutting';
import {
  cheapestAt,
  type CheapestSpeed,
  type LifeExpectation,
  livesBySpeed,
  type LivesBySpeed,
  type NextLife,
  type SpeedGroup,
} from '@/core/life';
import { type CribItem, factNumber } from '@/crib/catalogue';
import { keptFor, type LifeBook, lifeTime } from '@/crib/lives';
import type { LifeRow } from '@/data/life';
import type { CostsHere } from '../costsHere';

/** Lives of a cutter in a material by cutting speed, at its DC. */
export interface BySpeed extends Omit<LivesBySpeed, 'groups'> {
  /** Each with what is reckoned with there, by every screen that knows its T's speed; null: cannot say. */
  groups: (SpeedGroup & {
    expectation: LifeExpectation | null;
    next: Pick<NextLife, 'from' | 'to' | 'chance'> | null;
  })[];
  /** mm the speeds are reckoned at. */
  DC: number;
  /** Where a part costs least, by what changes cost here; null: no law, or nobody said what a minute is. */
  cheapest: CheapestSpeed | null;
}

const atSpeeds = keptFor((lives: readonly LifeRow[], DC: number) =>
  livesBySpeed(
    lives.map((l) => ({
      speed: l.rpm === null ? null : cuttingSpeed(l.rpm, DC),
      life: lifeTime(l.minutes, l.ended),
    })),
  ),
);

/**
 * Lives of a cutter in a material by the cutting speed of the programs they were logged by. null: its DC is not known, or they
 * were all cut at one speed, which tells nothing of others.
 */
export function speedView(
  item: CribItem,
  materialId: number,
  lives: readonly LifeRow[],
  book: LifeBook,
  edgeCents: number | null,
  { said }: CostsHere,
): BySpeed | null {
  const DC = factNumber(item, 'DC');
  if (DC === null || !lives.length) return null;
  const bySpeed = atSpeeds(lives, DC);
  if (bySpeed.groups.length < 2) return null;
  const costs =
    said && edgeCents !== null && edgeCents > 0 && said.minuteCents > 0
      ? { changeMinutes: said.changeMinutes, edge: edgeCents, minute: said.minuteCents }
      : null;
  const groups = bySpeed.groups.map((g) => {
    // Between its slowest and its fastest: of all of them.
    const rpm = turnsFor(Math.sqrt(g.from * g.to), DC);
    const next = book.next(item.id, materialId, rpm);
    return {
      ...g,
      expectation: book.expectation(item.id, materialId, rpm),
      next: next && { from: next.from, to: next.to, chance: next.chance },
    };
  });
  return { ...bySpeed, groups, DC, cheapest: bySpeed.law && costs ? cheapestAt(bySpeed.law, costs) : null };
}
