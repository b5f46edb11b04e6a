/**
 * Where the bytes of a program come from: they are asked for piece by piece, and may be asked for again, so that neither
 * the page nor the server ever holds a whole program.
 */
export interface ProgramSource {
  /** Length, bytes. */
  readonly size: number;
  /** Fills `into` with the bytes from `from` on and says how many there were; fewer than asked for only at the end. */
  read(from: number, into: Uint8Array): number;
}

/** A program that is in memory already. Example: `textSource('G21\nM30')`. */
export function textSource(program: string): ProgramSource {
  return bytesSource(new TextEncoder().encode(program));
}

export const bytesSource = (bytes: Uint8Array): ProgramSource => ({
  size: bytes.length,
  read(from, into) {
    const piece = bytes.subarray(from, from + into.length);
    into.set(piece);
    return piece.length;
  },
});
