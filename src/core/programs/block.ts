import { LIMITS } from '../limits';
import { AT, bits } from './letters';
import { byteAt, Held, kindAt, kindOf, LINE_END, OPEN, SEMICOLON, SPACE } from './held';
import { isDigit, MINUS, numberEnd, Numbers, PLUS, POINT, sizeOf, ZERO } from './numbers';
import type { ProgramSource } from './source';
import { codeOf, whyUnread } from './unread';

/** Characters of a comment that are kept. */
const COMMENT_KEPT = 120;
/** Comments that stand by themselves and are kept for the next block. */
const COMMENTS_KEPT = 200;
/** Digits of a number that are summed up as a whole number; one that has more is read from its text. */
const FEW_DIGITS = 9;
const POWERS = Float64Array.from({ length: 16 }, (_, i) => 10 ** i);
/** No blank is a larger byte: most bytes need not be looked up. */
const BLANK = 32;
const SLASH = 47;
const PERCENT = 37;
const N = bits('N');

/**
 * One block of a program after the other, out of a source that is read piece by piece. RS-274/NGC (NISTIR 6556, section
 * 3.3): any case, spaces anywhere, also inside numbers; comments in parentheses; ';' to the line's end, but not inside
 * parentheses. Nothing after the second '%'. Line numbers are 1-based over the whole text. A comment that stands alone
 * goes with the next block. Macro variables (#), expressions ([) and anything else that is no letter with a number stop
 * the block there. The fields hold the block that was read last: nothing is made anew for each, since a program has
 * millions of them.
 */
export class Block {
  line = 0;
  deletable = false;
  /** How many words it has. */
  words = 0;
  /** Which letters stand in it, by bit; the value of the first word of each. */
  letters = 0;
  private readonly first = new Float64Array(32);
  /** Letters whose first number is written with a point, by bit. */
  pointed = 0;
  /** Its G and M numbers. */
  readonly g = new Numbers(LIMITS.programLine.most);
  readonly m = new Numbers(LIMITS.programLine.most);
  /** What stands in comments of this block; null: none. */
  comment: string | null = null;
  /** Comments that stand by themselves on the lines just before. */
  commentsBefore: string[] = [];
  /** The rest of the line that is no word, from the first place the reader stopped; null when all was read. */
  unread: { text: string; why: string } | null = null;
  /** Where its line begins, bytes from the start of the program. */
  at = 0;
  private readonly held: Held;
  private lineFrom = 0;
  private lineTo = 0;
  private percents = 0;
  private ended = false;
  private alone: string[] = [];

  constructor(source: ProgramSource) {
    this.held = new Held(source);
  }

  /** Goes on at a line that begins at a byte. */
  seek(at: number, line: number): void {
    this.line = line - 1;
    this.ended = false;
    this.held.seek(at);
  }
  /** Where the line after this block begins, bytes. */
  get after(): number {
    return this.held.placeOf(this.held.next);
  }

  /** The next block that says anything; false: there is none. */
  read(): boolean {
    while (!this.ended) {
      if (!this.readLine()) continue;
      // A line number says nothing by itself.
      if ((this.letters & ~N) !== 0 || this.unread !== null) {
        this.commentsBefore = this.alone;
        if (this.alone.length) this.alone = [];
        return true;
      }
      if (this.comment !== null && this.alone.length < COMMENTS_KEPT) this.alone.push(this.comment);
    }
    return false;
  }

  /** The block as written, without the blanks around it. */
  get text(): string {
    return this.held.text(this.lineFrom, this.lineTo).trim();
  }
  /** The letter of a word, as its place in the alphabet. */
  letter(word: number): number {
    return byteAt(this.held.bytes, this.wordAt(word)) & 31;
  }
  /** The number of a word as written. */
  number(word: number): string {
    return codeOf(this.held.text(this.wordAt(word) + 1, this.wordAt(word + 1)));
  }
  /** Where a word begins within what is held, or the line ends: looked for again, since it is seldom asked. */
  private wordAt(word: number): number {
    const { bytes } = this.held;
    let left = word;
    let at = this.lineFrom;
    for (; at < this.lineTo && kindAt(bytes, at) !== SEMICOLON; at += 1)
      if (kindAt(bytes, at) === OPEN) {
        const close = this.held.closing(at);
        if (close < 0) break;
        at = close;
      } else if (isLetter(byteAt(bytes, at)) && left-- === 0) break;
    return at;
  }
  /** Whether a word of a letter stands in it. */
  holds(letter: number): boolean {
    return (this.letters & (1 << letter)) !== 0;
  }
  /** The value of the first word of a letter that stands in it. */
  value(letter: number): number {
    return this.first[letter] ?? 0;
  }
  /** The value of the first word of a letter; null: there is none. */
  of(letter: number): number | null {
    return this.holds(letter) ? this.value(letter) : null;
  }
  /** The program's number, which stands first or behind a line number; null: it is no head of a program. */
  get programNumber(): number | null {
    const i = this.words > 0 && this.letter(0) === AT.N ? 1 : 0;
    return i < this.words && this.letter(i) === AT.O ? this.of(AT.O) : null;
  }
  /** Which word is the first of a letter; -1: none. */
  wordOf(letter: number): number {
    for (let i = 0; i < this.words; i += 1) if (this.letter(i) === letter) return i;
    return -1;
  }

  /** Reads one line into the fields; false: it holds nothing at all. */
  private readLine(): boolean {
    if (!this.held.nextLine()) {
      this.ended = true;
      return false;
    }
    const held = this.held.bytes;
    let at = this.held.next;
    this.line += 1;
    this.lineFrom = at;
    this.at = this.held.placeOf(at);
    this.clear();
    this.deletable = false;
    while (kindAt(held, at) === SPACE) at += 1;
    if (held[at] === PERCENT) {
      this.percents += 1;
      this.ended = this.percents >= 2;
      this.held.skipLine(at);
      return false;
    }
    if (held[at] === SLASH) {
      this.deletable = true;
      at += 1;
      while (kindAt(held, at) === SPACE) at += 1;
      if (isDigit(byteAt(held, at))) at += 1;
    }
    this.endLine(this.readWords(at));
    return this.words > 0 || this.comment !== null || this.unread !== null;
  }

  /**
   * Reads words, comments left out, until the line's end; returns where it stopped. All in one loop over bytes: this is
   * where a large program's time goes. Behind what is held stands a line end, so that no place has to be asked for.
   */
  private readWords(start: number): number {
    const { first } = this;
    const held = this.held.bytes;
    let words = 0;
    let letters = 0;
    let withPoint = 0;
    let at = start;
    let c = byteAt(held, at);
    for (;;) {
      if (isLetter(c)) {
        const letterAt = at;
        const l = c & 31;
        c = byteAt(held, ++at);
        while (c <= BLANK && kindOf(c) === SPACE) c = byteAt(held, ++at);
        const minus = c === MINUS;
        if (minus || c === PLUS) c = byteAt(held, ++at);
        // The digits as one whole number; how many stand behind the point tells its size.
        let mantissa = 0;
        let digits = at;
        let decimals = 0;
        while (isDigit(c)) {
          mantissa = (Math.imul(mantissa, 10) + c - ZERO) | 0;
          c = byteAt(held, ++at);
        }
        digits = at - digits;
        const pointed = c === POINT;
        if (pointed) {
          decimals = at + 1;
          c = byteAt(held, ++at);
          while (isDigit(c)) {
            mantissa = (Math.imul(mantissa, 10) + c - ZERO) | 0;
            c = byteAt(held, ++at);
          }
          decimals = at - decimals;
          digits += decimals;
        }
        let number = decimals > 0 ? mantissa / (POWERS[decimals & 15] ?? 1) : mantissa;
        if (c <= BLANK && kindOf(c) === SPACE) {
          do c = byteAt(held, ++at);
          while (kindOf(c) === SPACE);
          // A blank may stand inside a number.
          if (isDigit(c) || (c === POINT && !pointed)) digits = FEW_DIGITS + 1;
        }
        if (digits > FEW_DIGITS || (digits === 0 && !pointed)) {
          at = numberEnd(held, letterAt + 1);
          c = byteAt(held, at);
          number = sizeOf(this.held.text(letterAt + 1, at));
        }
        if (number < 0 || digits === 0) {
          at = this.stopAt(letterAt);
          break;
        }
        if (minus) number = -number;
        words += 1;
        const mask = 1 << l;
        if ((letters & mask) === 0) {
          letters |= mask;
          first[l] = number;
          if (pointed) withPoint |= mask;
        }
        if (l === AT.G) this.g.add(number);
        else if (l === AT.M) this.m.add(number);
        continue;
      }
      const kind = kindOf(c);
      if (kind === SPACE) c = byteAt(held, ++at);
      else if (kind === LINE_END) break;
      else if (kind === OPEN) {
        const close = this.held.closing(at);
        if (close < 0) {
          at = this.stopAt(at, 'comment not closed');
          break;
        }
        this.heed(this.held.text(at + 1, close));
        at = close + 1;
        c = byteAt(held, at);
      } else if (kind === SEMICOLON) {
        const to = this.held.lineEnd(at);
        this.heed(this.held.text(at + 1, to));
        at = to;
        break;
      } else {
        at = this.stopAt(at);
        break;
      }
    }
    this.words = words;
    this.letters = letters;
    this.pointed = withPoint;
    return at;
  }

  private heed(comment: string): void {
    const kept = `${this.comment ?? ''} ${comment}`.trim().slice(0, COMMENT_KEPT);
    this.comment = kept || null;
  }

  /** The line is not read from here on. */
  private stopAt(at: number, why?: string): number {
    const to = this.held.lineEnd(at);
    const rest = this.held.text(at, to);
    if (why !== undefined) {
      this.unread = { text: rest.trim(), why };
      this.heed(rest.slice(1));
      return to;
    }
    const code = codeOf(rest).toUpperCase();
    this.unread = { text: code, why: whyUnread(code) };
    return to;
  }

  private endLine(stop: number): void {
    this.lineTo = stop;
    if (stop - this.lineFrom <= LIMITS.programLine.most) return this.held.passLineEnd(stop);
    this.clear();
    // What it holds may be anything: a tool change as well.
    this.unread = {
      text: 'M?',
      why: `a line of more than ${LIMITS.programLine.most} characters is not read`,
    };
    this.held.skipLine(stop);
  }
  private clear(): void {
    this.words = this.letters = this.pointed = this.g.count = this.m.count = 0;
    this.comment = null;
    this.unread = null;
  }
}

const isLetter = (c: number): boolean => ((c | 32) - 97) >>> 0 < 26;
