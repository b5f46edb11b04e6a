/** What is known around a difference between a count and the books. */
export interface DifferenceFacts {
  counted: number;
  expected: number;
  /** The same item at other places of the sheet: counted less expected. */
  elsewhere: readonly { place: string; difference: number }[];
  /** Items of the same family and nearly the same size at this place: counted less expected. */
  alike: readonly { item: string; difference: number }[];
  /** What people have of it now. */
  hands: readonly { person: string; quantity: number }[];
  /** Movements of the item at this place of late; `out` when they left it. */
  recent: readonly { words: string; quantity: number; out: boolean }[];
  /** Pieces a pack holds; null when not known. */
  pack: number | null;
}

/**
 * What may explain a difference, the likeliest first; empty when nothing in the books does. Suggestions for the person
 * who counts, never bookings. Common practice. Example: 2 too few here and 2 too many at another place of the same
 * sheet: 'moved there without being booked'.
 */
export function explainDifference(f: DifferenceFacts): string[] {
  const off = f.counted - f.expected;
  if (off === 0) return [];
  const pieces = (n: number) => `${n} ${n === 1 ? 'piece' : 'pieces'}`;
  const said: string[] = [];
  const opposite = (d: number) => Math.sign(d) === -Math.sign(off);
  for (const e of f.elsewhere.filter((x) => opposite(x.difference)))
    said.push(
      off < 0
        ? `${pieces(Math.min(-off, e.difference))} too many at ${e.place}: moved there without being booked?`
        : `${pieces(Math.min(off, -e.difference))} missing at ${e.place}: moved here without being booked?`,
    );
  for (const a of f.alike.filter((x) => opposite(x.difference)))
    said.push(
      off < 0
        ? `${a.item} here has ${pieces(a.difference)} too many: put into the wrong compartment?`
        : `${a.item} here is ${pieces(-a.difference)} short: put into the wrong compartment?`,
    );
  if (off < 0)
    for (const h of f.hands) said.push(`${h.person} has ${h.quantity}: taken more than was booked?`);
  for (const m of f.recent.filter((x) => x.quantity === Math.abs(off)))
    said.push(
      off < 0 === m.out
        ? `${m.words}: the same number went this way; booked once but done twice?`
        : `${m.words}: the same number; booked, but not done?`,
    );
  if (f.pack !== null && f.pack > 1 && Math.abs(off) % f.pack === 0)
    said.push(
      off > 0
        ? `${off / f.pack === 1 ? 'One whole pack' : `${off / f.pack} whole packs`} over: received without being booked?`
        : `${-off / f.pack === 1 ? 'One whole pack' : `${-off / f.pack} whole packs`} short: booked as received, but not here?`,
    );
  return said;
}
