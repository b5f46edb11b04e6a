import { type Build, expectedGaugeLength, holdsAs } from '@/core/assemblies';
import type { CutterGeometry } from '@/core/cutters';
import { held } from '@/core/sure';
import { cutterDetails, type CribItem, factText, holderDetails, holderOf, partOf } from '@/crib/catalogue';
import type { PartRow } from '@/data/assemblies';

/** A part of a build with how far it was set to stand out, mm; null: as far as its own figures say. */
export interface SetPart {
  item: CribItem;
  setOut: number | null;
}

/** The parts of an assembly with their items. */
export const partsWith = (
  rows: readonly PartRow[],
  items: ReadonlyMap<number, CribItem>,
): (SetPart & { row: PartRow })[] =>
  rows.map((row) => ({ item: held(items, row.itemId), setOut: row.outMm, row }));

/**
 * Cutter, holder and parts as one build: what judges it, draws it and expects its length asks here, so that no screen
 * counts an extension that another forgets. `present`: the cutter as it is now, reground or not.
 */
export function putTogether(
  cutter: CribItem,
  present: CutterGeometry,
  holder: CribItem,
  parts: readonly SetPart[],
  stickout: number,
): {
  build: Build & Required<Pick<Build, 'parts' | 'details'>>;
  held: ReturnType<typeof holdsAs>;
  expectedMm: number;
} {
  const build = {
    cutter: present,
    holder: holderOf(holder),
    stickout,
    shank: { form: factText(cutter, 'SHANK'), takes: factText(holder, 'SHANKS') },
    parts: parts.map((p) => partOf(p.item, p.setOut)),
    details: { cutter: cutterDetails(cutter), holder: holderDetails(holder) },
  };
  const stack = holdsAs(build.holder, build.parts, build.details.holder);
  return { build, held: stack, expectedMm: expectedGaugeLength(stack.holder.LF, stickout) };
}
