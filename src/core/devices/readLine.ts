/**
 * A reading as a device gave it, mm; `serial` counts its readings, so that none is taken twice or missed. A height stand's is its
 * dial's reading and the block it stood against, and the length both make.
 */
export interface Reading {
  serial: number;
  length: number;
  diameter: number | null;
  runout: number | null;
  /** The block a dial stood against; left out: it measures lengths as they are. */
  block?: number;
}

/** What a line of a device's says: a reading, or why it is none. What is garbled is shown as it came, never guessed at. */
export type LineRead =
  { reading: Reading } | { fault: 'garbled' | 'refused' | 'out of range'; words: string };

/** What a presetter of this size can measure, mm; beyond it something else was seen than the tool's tip. */
export const PRESETTER_RANGE = { length: [5, 800], diameter: [0.05, 400] } as const;

/** How far the dial of a height stand goes either way, mm: beyond it another block is wanted. */
export const DIAL_RANGE = 30;

/** The sum of a line's characters, in two hexadecimal digits, which ends it. */
export const sumOf = (words: string): string =>
  ([...words].reduce((n, c) => n + c.charCodeAt(0), 0) % 256).toString(16).toUpperCase().padStart(2, '0');

/**
 * Reads a line: 'R 17 L=142.3161 D=9.9880 R=0.0040 A7', lengths in mm, '-' for what it does not measure, its sum at the end;
 * or 'R 17 H=-0.3161 B=100.0000 4F' of a height stand: its dial, and the block it stood against. 'E words sum' is a refusal. A line whose sum or form is off is garbled. Linear in the line; own protocol.
 * Example: a line with one digit lost is garbled, whatever it still seems to say.
 */
export function readLine(line: string): LineRead {
  const text = line.replace(/\r?\n?$/, '');
  const [, words = '', sum] = /^(.{1,200}) ([0-9A-F]{2})$/.exec(text) ?? [];
  if (sum === undefined || sumOf(words) !== sum) return { fault: 'garbled', words: text.slice(0, 200) };
  if (words.startsWith('E ')) return { fault: 'refused', words: words.slice(2) };
  const dial = /^R (\d{1,9}) H=(-?\d{1,3}\.\d{1,6}) B=(\d{1,4}\.\d{1,6})$/.exec(words);
  if (dial) return readDial(dial, words);
  const [, serial, L, D, R] =
    /^R (\d{1,9}) L=(-?\d{1,5}\.\d{1,6}) D=(-|\d{1,5}\.\d{1,6}) R=(-|\d{1,3}\.\d{1,6})$/.exec(words) ?? [];
  if (serial === undefined || L === undefined) return { fault: 'garbled', words: text.slice(0, 200) };
  const number = (t: string | undefined) => (t === undefined || t === '-' ? null : Number(t));
  const reading = { serial: Number(serial), length: Number(L), diameter: number(D), runout: number(R) };
  const within = (n: number | null, [least, most]: readonly [number, number]) =>
    n === null || (n >= least && n <= most);
  return within(reading.length, PRESETTER_RANGE.length) && within(reading.diameter, PRESETTER_RANGE.diameter)
    ? { reading }
    : { fault: 'out of range', words };
}

function readDial([, serial, shows, against]: RegExpExecArray, words: string): LineRead {
  const [dial, block] = [Number(shows), Number(against)];
  return Math.abs(dial) <= DIAL_RANGE && block > 0
    ? { reading: { serial: Number(serial), length: block + dial, diameter: null, runout: null, block } }
    : { fault: 'out of range', words };
}
