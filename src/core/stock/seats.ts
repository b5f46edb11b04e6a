/** The insert in one seat of a body. */
export interface InSeat {
  seat: number;
  /** Edges left on it, the one that cuts included. */
  edgesLeft: number;
}
/** What becomes of it: it cuts on, goes to its next edge, or comes out as scrap and another goes in. */
export interface SeatTurned extends InSeat {
  becomes: 'cuts on' | 'turned' | 'replaced';
}

/**
 * What becomes of each insert of a body when some seats are turned: one that is broken, or on its last edge, can't be and is
 * replaced; the seats that are not turned cut on. `edgesLeft` is what is left after it; of a replaced one 0, since what goes in
 * is not known here. Facts of the trade.
 * Example: seats 1 and 2 with 2 and 1 edges left, both turned: 1 is turned with 1 left, 2 is replaced.
 */
export const turnSeats = (
  seats: readonly InSeat[],
  turned: readonly number[],
  broken: readonly number[],
): SeatTurned[] =>
  seats.map(({ seat, edgesLeft }) => {
    if (!turned.includes(seat)) return { seat, edgesLeft, becomes: 'cuts on' };
    return edgesLeft < 2 || broken.includes(seat)
      ? { seat, edgesLeft: 0, becomes: 'replaced' }
      : { seat, edgesLeft: edgesLeft - 1, becomes: 'turned' };
  });

/**
 * The seats of a body as people say them, those that are alike together, the ones that cut longest first.
 * Example: 'seats 1, 3: 34 min cut, 2 edges left; seat 2: 0 min cut, all its edges left'.
 */
function seatWords(seats: readonly { seat: number; edgesLeft: number | null; minutes: number }[]): string {
  const said = new Map<string, { numbers: number[]; minutes: number }>();
  for (const { seat, edgesLeft, minutes } of seats) {
    const left = edgesLeft === null ? 'all its edges' : `${edgesLeft} ${edgesLeft === 1 ? 'edge' : 'edges'}`;
    const words = `${Math.round(minutes)} min cut, ${left} left`;
    const of = said.get(words) ?? { numbers: [], minutes };
    of.numbers.push(seat);
    said.set(words, of);
  }
  return [...said]
    .toSorted(([, a], [, b]) => b.minutes - a.minutes)
    .map(
      ([words, { numbers }]) => `${numbers.length === 1 ? 'seat' : 'seats'} ${numbers.join(', ')}: ${words}`,
    )
    .join('; ');
}

/**
 * What is left on the inserts of a body: one figure where they are alike, by seat where they are not.
 * Example: '3 edges left'; 'on their first edge' where all of them are left.
 */
export const edgesLeftWords = (of: {
  edgesLeft: number | null;
  seats: readonly { seat: number; edgesLeft: number | null; minutes: number }[];
}): string =>
  of.seats.length
    ? seatWords(of.seats)
    : of.edgesLeft === null
      ? 'on their first edge'
      : `${of.edgesLeft} ${of.edgesLeft === 1 ? 'edge' : 'edges'} left`;

/**
 * Whether an insert sits in a seat that was found damaged since it went in: of a body with `inserts` in it, `damaged` of its seats
 * damaged and `good` ones good. Example: 5 inserts, 1 seat damaged, 4 good: yes; 4 inserts: no, it was left empty.
 */
export const sitsInDamagedSeat = (inserts: number, damaged: number, good: number): boolean =>
  damaged > 0 && inserts > good;
/** How that is said, wherever it is a stop. */
export const IN_DAMAGED_SEAT = 'An insert sits in a damaged seat';
