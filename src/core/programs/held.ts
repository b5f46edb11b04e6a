import { LIMITS } from '../limits';
import type { ProgramSource } from './source';

/** Bytes of a program that are held at once. */
const HELD = 1 << 17;

/** What a byte may be in a block, beside letters and numbers; 0: nothing that belongs there. */
export const SPACE = 2;
export const LINE_END = 3;
export const OPEN = 4;
export const SEMICOLON = 5;
const KIND = new Uint8Array(256);
for (const c of [9, 11, 12, 32]) KIND[c] = SPACE;
const LF = 10;
const CR = 13;
const CLOSE = 41;
KIND[LF] = KIND[CR] = LINE_END;
KIND[40] = OPEN;
KIND[59] = SEMICOLON;

/** A byte of what is held; behind it stands a line end. */
export const byteAt = (bytes: Uint8Array, at: number): number => bytes[at] ?? LF;
export const kindOf = (byte: number): number => KIND[byte] ?? 0;
export const kindAt = (bytes: Uint8Array, at: number): number => kindOf(byteAt(bytes, at));

const UTF8 = new TextDecoder('utf-8', { fatal: true });
const OLDER = new TextDecoder('windows-1252');

/** The piece of a program that is held while its lines are read, one after the other. */
export class Held {
  /** One byte more than is held: a line end behind it, so that no place has to be asked for while reading. */
  readonly bytes = new Uint8Array(HELD + 1);
  /** The next byte to read, within what is held. */
  next = 0;
  private from = 0;
  private to = 0;

  constructor(private readonly source: ProgramSource) {
    this.fill();
    // A byte order mark is no text.
    if (this.bytes[0] === 0xef && this.bytes[1] === 0xbb && this.bytes[2] === 0xbf) this.next = 3;
  }

  /** Where a byte of what is held lies in the program. */
  placeOf(held: number): number {
    return this.from + held;
  }
  /** Goes on at a byte of the program. */
  seek(at: number): void {
    if (at >= this.from && at <= this.from + this.to) this.next = at - this.from;
    else {
      this.from = at;
      this.to = 0;
      this.next = 0;
      this.fill();
    }
  }
  /** Whether there is another line; its end, or more of it than a line may have, is held then. */
  nextLine(): boolean {
    if (this.to - this.next > LIMITS.programLine.most + 2) return true;
    // Near the end of what is held: the longest line there may be is brought in first.
    return this.fill() || this.next < this.to;
  }
  /** One line end is CR, LF or both; the one that stands behind what is held is none. */
  passLineEnd(at: number): void {
    this.next = at;
    if (this.bytes[this.next] === CR) this.next += 1;
    if (this.bytes[this.next] === LF && this.next < this.to) this.next += 1;
  }
  /** Goes to the line after the one that holds a place, however far that is. */
  skipLine(from: number): void {
    this.next = from;
    for (;;) {
      this.next = this.lineEnd(this.next);
      if (this.next < this.to) break;
      if (!this.fill()) return;
    }
    // Both ends of a DOS line are held at once.
    if (this.to - this.next < 2) this.fill();
    this.passLineEnd(this.next);
  }

  lineEnd(from: number): number {
    let at = from;
    while (kindAt(this.bytes, at) !== LINE_END) at += 1;
    return at;
  }
  /** The parenthesis that closes a comment on its line; -1: none does. */
  closing(from: number): number {
    for (let at = from; kindAt(this.bytes, at) !== LINE_END; at += 1) if (this.bytes[at] === CLOSE) return at;
    return -1;
  }
  /** Bytes as text, no more than a line may have: UTF-8, else Windows-1252, which old controls and editors write. */
  text(from: number, to: number): string {
    const bytes = this.bytes.subarray(from, Math.min(to, from + LIMITS.programLine.most));
    try {
      return UTF8.decode(bytes);
    } catch {
      return OLDER.decode(bytes);
    }
  }

  /** Moves what is not read yet to the front and reads on behind it; false: nothing more came. */
  private fill(): boolean {
    this.bytes.copyWithin(0, this.next, this.to);
    this.from += this.next;
    this.to -= this.next;
    this.next = 0;
    if (this.to >= HELD) return false;
    const read = this.source.read(this.from + this.to, this.bytes.subarray(this.to, HELD));
    this.to += read;
    this.bytes[this.to] = LF;
    return read > 0;
  }
}
