import { byteAt, kindAt, SPACE } from './held';

/** Bytes that numbers are made of. */
export const ZERO = 48;
export const PLUS = 43;
export const MINUS = 45;
export const POINT = 46;
export const isDigit = (c: number): boolean => (c - ZERO) >>> 0 < 10;

/** No coordinate, feed or speed is larger or, but 0, smaller: beyond it figures would no longer be finite. */
const LARGEST = 1e9;

/** Where a number ends that has blanks in it, or many digits. */
export function numberEnd(bytes: Uint8Array, start: number): number {
  let at = start;
  while (kindAt(bytes, at) === SPACE) at += 1;
  if (bytes[at] === MINUS || bytes[at] === PLUS) at += 1;
  for (let points = 0; ; at += 1) {
    const c = byteAt(bytes, at);
    if (c === POINT) points += 1;
    if (points > 1 || !(isDigit(c) || c === POINT || kindAt(bytes, at) === SPACE)) return at;
  }
}

/** Size of such a number; negative: it is none, or larger, or smaller, than any that is understood. Example: '-1 . 5' -> 1.5. */
export function sizeOf(written: string): number {
  const text = written.replace(/\s+/g, '');
  const size = /\d/.test(text) ? Math.abs(Number(text)) : -1;
  return size > LARGEST || (size > 0 && size < 1 / LARGEST) ? -1 : size;
}

/** Numbers one after the other, written over for each block. */
export class Numbers {
  count = 0;
  private readonly all: Float64Array;
  constructor(most: number) {
    this.all = new Float64Array(most);
  }
  add(value: number): void {
    this.all[this.count] = value;
    this.count += 1;
  }
  at(i: number): number {
    return this.all[i] ?? NaN;
  }
  has(value: number): boolean {
    for (let i = 0; i < this.count; i += 1) if (this.all[i] === value) return true;
    return false;
  }
}
