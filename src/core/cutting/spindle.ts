/** A gear of a spindle: turns it runs at, and the power and torque it keeps to at most. */
export interface Gear {
  /** 'only' of one that has no others. */
  name: 'only' | 'low' | 'high';
  /** rev/min */
  from: number;
  to: number;
  /** kW and N m, as its plate or its maker's chart says. */
  kw: number;
  nm: number;
}

/** kW and N m a spindle gives at some turns, in the gear that gives the most. */
export interface Gives {
  gear: Gear['name'];
  kw: number;
  nm: number;
}

/**
 * What a spindle gives at n rev/min: its torque up to where that comes to its power, its power from there on (P = M n /
 * 9550). null: no gear of it runs so, or none is stated. The usual shape of a drive; a maker's own chart may dip beside it.
 * Example: 7.5 kW and 48 N m at 1000 -> 5.03 kW, 48 N m; at 3000 -> 7.5 kW, 23.9 N m.
 */
export function spindleAt(gears: readonly Gear[], n: number): Gives | null {
  const gives = gears
    .filter((g) => n > 0 && n >= g.from && n <= g.to)
    .map((g) => ({
      gear: g.name,
      kw: Math.min(g.kw, (g.nm * n) / 9550),
      nm: Math.min(g.nm, (9550 * g.kw) / n),
    }));
  return gives.toSorted((a, b) => b.kw - a.kw)[0] ?? null;
}
