/** A count of parts as it comes to be logged. */
export interface PartsCounted {
  parts: number;
  /** Parts still to make of the operation. */
  partsLeft: number;
  /** Minutes in the cut a part takes, which the machine can't do in less. */
  minutesPerPart: number;
  /** Minutes since the last log; null: there is none before it. */
  minutesSince: number | null;
}

/**
 * Why a count is asked about before it is booked, in words; empty: it is not. More than are left to make, or more than
 * the machine can have cut since the last log (parts × minutes in the cut, without rapids and changes; plain
 * arithmetic). Example: 12 parts of 5 min, 20 min since the last log: asked.
 */
export function questionParts({ parts, partsLeft, minutesPerPart, minutesSince }: PartsCounted): string[] {
  const why: string[] = [];
  if (parts > partsLeft)
    why.push(`${parts} parts counted, ${partsLeft} ${partsLeft === 1 ? 'is' : 'are'} left to make`);
  const least = parts * minutesPerPart;
  if (minutesSince !== null && least > minutesSince + 1e-9)
    why.push(
      `${parts} parts are at least ${Math.ceil(least)} min in the cut, and the last log is ${Math.floor(minutesSince)} min old`,
    );
  return why;
}
