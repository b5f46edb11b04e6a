import type { Dimension, Dimensioned, FactSymbol } from '@/core/cutters';

/** Room around the figure, px: at its ends, and for the tiers of what runs along it. */
const MARGIN = 26;
const TIER = 36;
const ROW = 30;
const TALLEST = 150;
/** Between two labels, px. */
const GAP = 10;
/** Along the axis these stand below the figure, as overall lengths do; the others above it. */
const BELOW: readonly string[] = ['LCF', 'OAL', 'LF', 'DEPTH_MAX'];

/** Where one dimension is drawn, px: its line, its extension lines, its label. */
export interface Placed {
  dimension: Dimension;
  line: [x1: number, y1: number, x2: number, y2: number];
  extensions: [x1: number, y1: number, x2: number, y2: number][];
  label: { x: number; y: number };
  /** A leader has one arrow, at what it points at. */
  arrows: 1 | 2;
}
export interface DimensionLayout {
  width: number;
  height: number;
  scale: number;
  /** The tip (of a holder the gauge line) on the axis. */
  origin: { x: number; y: number };
  placed: Placed[];
}

/**
 * Lays dimensions round a lying figure so that none crosses another's label: those along it in tiers, the shortest
 * nearest; those across it left of the tip, or on the body where they are measured; leaders in a row above. px;
 * `wideOf` is the width of a label.
 */
export function layDimensions(
  figure: Dimensioned,
  width: number,
  wideOf: (symbol: FactSymbol) => number,
): DimensionLayout {
  const across = figure.dimensions.filter((d) => d.runs === 'across').sort((a, b) => a.z - b.z);
  const end = (d: { z: number; symbol: string }) =>
    d.symbol === 'DN' || d.symbol === 'DMM' || d.symbol === 'CLAMP_MIN'
      ? 'body'
      : d.z > figure.length * 0.9
        ? 'right'
        : 'left';
  // Left of the tip, the one measured nearest to it stands nearest.
  const lefts = across.filter((d) => end(d) === 'left');
  const roomLeft = lefts.reduce((sum, d) => sum + wideOf(d.symbol) + GAP, MARGIN);
  const roomRight = across
    .filter((d) => end(d) === 'right')
    .reduce((sum, d) => sum + wideOf(d.symbol) + GAP, MARGIN);
  const scale = Math.min((width - roomLeft - roomRight) / figure.length, TALLEST / figure.widest);
  const along = figure.dimensions
    .filter((d) => d.runs === 'along')
    .sort((a, b) => a.to - a.from - (b.to - b.from));
  const below = along.filter((d) => BELOW.includes(d.symbol));
  const above = along.filter((d) => !BELOW.includes(d.symbol));
  const leaders = figure.dimensions.filter((d) => d.runs === 'to').sort((a, b) => a.z - b.z);
  const half = (figure.widest * scale) / 2;
  const top = 24 + (leaders.length ? ROW : 0) + above.length * TIER;
  const y0 = top + half;
  const x = (z: number) => roomLeft + z * scale;
  const placed: Placed[] = [];
  const runAlong = (d: (typeof along)[number], tier: number, down: boolean) => {
    const y = down ? y0 + half + (tier + 1) * TIER : y0 - half - (tier + 1) * TIER + 8;
    const wide = wideOf(d.symbol);
    // A line too short for its label has it beside it.
    const short = x(d.to) - x(d.from) < wide + 2 * GAP;
    const beside = x(d.to) + GAP + wide / 2;
    const labelX = !short
      ? (x(d.from) + x(d.to)) / 2
      : beside + wide / 2 < width
        ? beside
        : x(d.from) - GAP - wide / 2;
    placed.push({
      dimension: d,
      line: [x(d.from), y, x(d.to), y],
      extensions: [d.from, d.to].map((z) => [x(z), y0, x(z), y + (down ? 5 : -5)]),
      label: { x: labelX, y },
      arrows: 2,
    });
  };
  below.forEach((d, i) => runAlong(d, i, true));
  above.forEach((d, i) => runAlong(d, i, false));
  let nextLeft = roomLeft - MARGIN / 2;
  for (const d of across) {
    const side = end(d);
    const wide = wideOf(d.symbol);
    const at =
      side === 'left' ? nextLeft - wide / 2 : side === 'right' ? x(figure.length) + GAP + wide / 2 : x(d.z);
    if (side === 'left') nextLeft -= wide + GAP;
    const r = d.r * scale;
    placed.push({
      dimension: d,
      line: [at, y0 - r, at, y0 + r],
      extensions:
        side === 'body' ? [] : [y0 - r, y0 + r].map((y) => [x(d.z), y, at + (side === 'left' ? -5 : 5), y]),
      label: { x: at, y: y0 },
      arrows: 2,
    });
  }
  let free = 4;
  for (const d of leaders) {
    const wide = wideOf(d.symbol);
    const labelX = Math.max(x(d.z) - 20, free + wide / 2);
    free = labelX + wide / 2 + GAP;
    placed.push({
      dimension: d,
      line: [labelX, 34, x(d.z), y0 - d.r * scale],
      extensions: [],
      label: { x: labelX, y: 22 },
      arrows: 1,
    });
  }
  const height = y0 + half + below.length * TIER + 30;
  return { width, height, scale, origin: { x: roomLeft, y: y0 }, placed };
}
