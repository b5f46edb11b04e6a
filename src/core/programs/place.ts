/** Axes by number, and as bits of a set. */
export const X = 0;
export const Y = 1;
export const Z = 2;
export const ALL_AXES = 0b111;
export const Z_BIT = 0b100;
export const SIDEWAYS = 0b011;
/** First, second and third axis of each plane, seen from the positive end of the third (RS-274/NGC 3.5.3). */
export const PLANES: Record<17 | 18 | 19, readonly [number, number, number]> = {
  17: [X, Y, Z],
  18: [Z, X, Y],
  19: [Y, Z, X],
};

/** A place or a way in space, mm. It is written over rather than made anew: a program has millions of them. */
export class Place {
  x = 0;
  y = 0;
  z = 0;
  take(other: Place): void {
    this.x = other.x;
    this.y = other.y;
    this.z = other.z;
  }
  of(axis: number): number {
    return axis === X ? this.x : axis === Y ? this.y : this.z;
  }
  put(axis: number, value: number): void {
    if (axis === X) this.x = value;
    else if (axis === Y) this.y = value;
    else this.z = value;
  }
}
