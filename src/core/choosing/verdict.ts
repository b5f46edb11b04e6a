/** Lengths that differ by less are the same, mm. */
export const EPS = 1e-6;
export const mm = (n: number): string => `${Math.round(n * 1000) / 1000} mm`;
const degrees = (n: number): string => `${Math.round(n * 100) / 100}°`;

/** Collects what speaks against a candidate. */
export class Verdict {
  fails: string[] = [];
  open: string[] = [];
  /** A limit that must not be exceeded; null makes it an open question. */
  atMost(value: number | null, limit: number | null, over: (by: string) => string, unknown: string): void {
    if (limit === null) return;
    if (value === null) this.open.push(unknown);
    else if (value > limit + EPS) this.fails.push(over(mm(value - limit)));
  }
  atLeast(value: number | null, limit: number | null, short: (by: string) => string, unknown: string): void {
    if (limit === null) return;
    if (value === null) this.open.push(unknown);
    else if (value < limit - EPS) this.fails.push(short(mm(limit - value)));
  }
  /** An angle that must be met to a hundredth of a degree; null bounds nothing. */
  angle(value: number | null, wanted: number | null, off: (by: string) => string, unknown: string): void {
    if (wanted === null) return;
    if (value === null) this.open.push(unknown);
    else if (Math.abs(value - wanted) > 0.01) this.fails.push(off(degrees(Math.abs(value - wanted))));
  }
}
