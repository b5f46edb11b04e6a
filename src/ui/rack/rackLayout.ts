/** What the layout needs to know of an assembly, mm. */
interface RackPiece {
  widest: number;
  length: number;
}

interface RackLayout {
  /** Pixels a millimetre, the same in both directions and in every row. */
  scale: number;
  rows: { first: number; count: number; length: number }[];
  columnWidth: number;
}

const GAP = 18;
const LEAST_COLUMN = 84;
const LABELS = 96;
/** Share of the scale given up for a row less. */
const WORTH_A_ROW = 0.85;
const SCALES = { most: 3.2, least: 1.05 } as const;

/**
 * One scale and rows for a rack: the largest scale at which all rows fit the height, else the least and the page
 * scrolls. Columns are as wide as the widest assembly, so that tips can be compared along straight lines.
 * Example: 12 assemblies 63 mm wide on 760 x 640 px: two rows of six.
 */
export function rackLayout(pieces: readonly RackPiece[], width: number, height: number): RackLayout {
  const widest = Math.max(40, ...pieces.map((p) => p.widest));
  const at = (scale: number): RackLayout => {
    const columnWidth = Math.max(LEAST_COLUMN, widest * scale + GAP);
    const count = Math.max(1, Math.floor(width / columnWidth));
    const rows = Array.from({ length: Math.ceil(pieces.length / count) }, (_, i) => {
      const row = pieces.slice(i * count, (i + 1) * count);
      return { first: i * count, count: row.length, length: Math.max(...row.map((p) => p.length)) };
    });
    return { scale, rows, columnWidth };
  };
  const tall = (layout: RackLayout) =>
    layout.rows.reduce((sum, row) => sum + row.length * layout.scale + LABELS, 0);
  let best: RackLayout | null = null;
  for (let scale: number = SCALES.most; scale > SCALES.least; scale -= 0.05) {
    const layout = at(scale);
    if (tall(layout) > height) continue;
    if (!best) best = layout;
    // One row less is worth a little size: lengths are compared along one line.
    else if (layout.rows.length < best.rows.length && scale >= best.scale * WORTH_A_ROW) best = layout;
  }
  return best ?? at(SCALES.least);
}

/** Height of one row's labels, px: T, tag, and the length below the tip. */
export const ROW_LABELS = LABELS;
