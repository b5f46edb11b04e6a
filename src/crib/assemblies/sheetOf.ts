import { group } from 'd3';
import { holdsAs, mustOf, type SheetDesign } from '@/core/assemblies';
import { type CutterGeometry, type Family, FAMILY_NAMES, geometry } from '@/core/cutters';
import { held, sure } from '@/core/sure';
import { cutterOf, type CribItem, holderDetails, holderOf, loadItems, partOf } from '@/crib/catalogue';
import type { Connection } from '@/data/database';
import { manySheetParts, type SheetMust, type SheetPartRow, type SheetRow } from '@/data/sheets';
import type { SetPart } from './putTogether';

/** A version of a build sheet with the items it names, and the design a build is held against. */
export interface FullSheet {
  row: SheetRow;
  /** null: any that has what it must have. */
  cutter: CribItem | null;
  /** The cutter's figures, or as many as the sheet asks for. */
  shape: CutterGeometry;
  holder: CribItem;
  parts: (SetPart & { row: SheetPartRow })[];
  design: SheetDesign;
  /** Holder and parts as one holder. */
  held: ReturnType<typeof holdsAs>;
}

const familyOf = (must: SheetMust): Family =>
  sure(
    FAMILY_NAMES.find((f) => f === must.family),
    `${must.family} as a family of cutters`,
  );

/** Some versions of build sheets, each with its items. */
export async function fullSheets(c: Connection, rows: readonly SheetRow[]): Promise<FullSheet[]> {
  const partRows = await manySheetParts(
    c,
    rows.map((r) => r.id),
  );
  const ids = [
    ...rows.flatMap((r) => [r.holderItemId, ...(r.cutterItemId === null ? [] : [r.cutterItemId])]),
    ...partRows.map((p) => p.itemId),
  ];
  const items = new Map((await loadItems(c, [...new Set(ids)])).map((i) => [i.id, i]));
  const partsOf = group(partRows, (p) => p.sheetId);
  return rows.map((row) => {
    const cutter = row.cutterItemId === null ? null : held(items, row.cutterItemId);
    const holder = held(items, row.holderItemId);
    const parts = (partsOf.get(row.id) ?? []).map((p) => ({
      item: held(items, p.itemId),
      setOut: p.outMm,
      row: p,
    }));
    const details = holderDetails(holder);
    const stack = parts.map((p) => partOf(p.item, p.setOut));
    const shape = cutter ? cutterOf(cutter) : shapeOf(sure(row.must, 'what its cutter must have'));
    return {
      row,
      cutter,
      shape,
      holder,
      parts,
      held: holdsAs(holderOf(holder), stack, details),
      design: {
        name: `${row.code} v${row.version}`,
        cutterCode: cutter?.code ?? null,
        must: mustOf(shape, cutter?.substrate ?? null),
        holder: { details, geometry: holderOf(holder) },
        parts: stack,
        range: { least: row.leastMm, most: row.mostMm },
        grip: row.gripMm,
      },
    };
  });
}

/** A cutter's figures, as many as are asked for. */
export function shapeOf(must: SheetMust): CutterGeometry {
  const { family: _, ...figures } = must;
  return geometry(familyOf(must), figures);
}
