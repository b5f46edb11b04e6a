import { judgeBySheet } from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import { DEFAULTS } from '@/core/defaults';
import type { SheetView } from '@/crib/assemblies';
import type { TakeSource } from '@/crib/stock';
import { judgedBuild } from '@/ui/screens/common/judgedBuild';

/** What was taken for each piece of a sheet so far, by its place among them. */
export type Taken = Readonly<Record<number, TakeSource | undefined>>;

/** Everything that is said of a build from its sheet; empty until every piece is at hand and the stickout, mm, is typed. */
export function judgedBySheet(sheet: SheetView, taken: Taken, stickout: number | null): Judgement[] {
  const [cutter, holder] = [taken[0] ?? null, taken[1] ?? null];
  const whole = sheet.pieces.every((_, i) => taken[i]);
  if (!cutter?.cutter || !holder?.holder || !holder.details.holder || stickout === null || !whole) return [];
  const parts = sheet.pieces.flatMap((p, i) => {
    const source = taken[i];
    return p.what === 'part' && source ? [{ source, setOut: p.outMm }] : [];
  });
  const built = judgedBuild({ cutter, holder, parts }, stickout, {
    wall: null,
    force: DEFAULTS.sideForceN,
    job: null,
    t: null,
  });
  return [
    ...judgeBySheet(sheet.design, {
      offered: {
        code: cutter.item,
        cutter: cutter.cutter,
        substrate: cutter.details.cutter?.SUBSTRATE ?? null,
      },
      holder: { details: holder.details.holder, geometry: holder.holder },
      parts: built?.build.parts ?? [],
      stickout,
    }),
    ...(built?.judgements ?? []),
  ];
}
