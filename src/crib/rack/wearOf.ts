import { group } from 'd3';
import type { Figure } from '@/core/because';
import type { UseState } from '@/core/jobs';
import {
  cornerLimit,
  wearLimit,
  type WearOutlook,
  wearOutlook,
  type WearReading,
  type WornHere,
} from '@/core/life';
import type { Connection } from '@/data/database';
import { manyWearReadings, manyWornBeforeTurn, type WearRow, type WornRow } from '@/data/life';

/** What the readings of an edge set say, and the readings in the order of their time. */
export type EdgeWear = WearOutlook & {
  limit: Figure;
  cornerAt: Figure;
  /** What was said of the T it runs on; null: it is worn as usual. */
  here: WornHere | null;
  readings: WearRow[];
};

/** What was read of an edge set. */
interface EdgeRead {
  /** In the order of their time. */
  readings: WearRow[];
  /** Read last of the set that some of its edges were in before, where others were turned alone; null: nothing. */
  before: WornRow | null;
}

/** The same of some of them, by the edge set. */
export async function edgesRead(
  c: Connection,
  edges: readonly { edgeSetId: number; fresh: boolean }[],
): Promise<(edgeSetId: number) => EdgeRead> {
  const ids = (of: typeof edges) => of.map((e) => e.edgeSetId);
  const rows = group(await manyWearReadings(c, ids(edges)), (w) => w.edgeSetId);
  const turned = ids(edges.filter((e) => !e.fresh));
  const before = new Map(
    (turned.length ? await manyWornBeforeTurn(c, turned) : []).map((w) => [w.edgeSetId, w]),
  );
  return (id) => ({ readings: rows.get(id) ?? [], before: before.get(id) ?? null });
}

/** Of an edge set of a diameter that has cut so many minutes and made so many holes; null: not known. */
export const wearOf = (
  { readings, before }: EdgeRead,
  DC: number,
  minutes: number,
  holes: number | null,
  here: WornHere | null,
): EdgeWear => ({
  ...wearOutlook(readings.map(wearReading), DC, minutes, holes, here, before),
  ...{ limit: wearLimit(DC, here), cornerAt: cornerLimit(DC, here) },
  ...{ here, readings },
});

/** The same as the judgement of a use asks for it; null: nobody read the edge, and nothing is asked of it. */
export const wearState = (wear: EdgeWear): UseState['wear'] =>
  wear.readings.length || wear.asks !== null
    ? {
        ...{ reading: wear.flankMm, limit: wear.limitMm, worn: wear.worn === true },
        ...{ limitOf: wear.here?.flank?.of ?? null, left: wear.left, asks: wear.asks, gauge: wear.gauge },
        corner: wear.cornerMm === null ? null : { reading: wear.cornerMm, limit: wear.cornerLimitMm },
      }
    : null;

const wearReading = (w: WearRow): WearReading => ({
  minutes: w.minutes,
  flankMm: w.flankWearMm,
  cornerMm: w.cornerMm,
  gauge: w.gauge,
  holes: w.holes,
  hole:
    w.holeMm === null || w.holeLeastMm === null || w.holeMostMm === null
      ? null
      : { sizeMm: w.holeMm, least: w.holeLeastMm, most: w.holeMostMm },
  chips: w.chips,
  zone: w.zoneFromMm === null || w.zoneToMm === null ? null : { fromMm: w.zoneFromMm, toMm: w.zoneToMm },
  runoutMm: w.runoutMm,
  driftMm: w.driftMm,
  signs: w.signs,
});
