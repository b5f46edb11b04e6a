import type { ProgramSource } from '@/core/programs';

/** Only workers have it, so that the page's own types leave it out. */
declare const FileReaderSync: new () => { readAsArrayBuffer(piece: Blob): ArrayBuffer };

/** A file of the page as the reader in a worker takes it: piece by piece. */
export function fileSourceOf(file: Blob): ProgramSource {
  const reader = new FileReaderSync();
  return {
    size: file.size,
    read(from, into) {
      const piece = new Uint8Array(reader.readAsArrayBuffer(file.slice(from, from + into.length)));
      into.set(piece);
      return piece.length;
    },
  };
}

/** Does a worker's work, and tells of a file that was changed or taken away while it was read. */
export function tellWhyLost(tell: (told: { kind: 'lost'; why: string }) => void, work: () => void): void {
  try {
    work();
  } catch (error) {
    tell({ kind: 'lost', why: error instanceof Error ? error.message : String(error) });
  }
}
