// Reads a program beside the page: however large it is, the page goes on, and only a piece of it is held.
import { readProgram } from '@/core/programs';
import type { Asked, Told } from './reading';

/** Only workers have it, so that the page's own types leave it out. */
declare const FileReaderSync: new () => { readAsArrayBuffer(piece: Blob): ArrayBuffer };

const tell = (told: Told) => self.postMessage(told);

self.addEventListener('message', ({ data: { file, options } }: MessageEvent<Asked>) => {
  const reader = new FileReaderSync();
  try {
    const report = readProgram(
      {
        size: file.size,
        read(from, into) {
          const piece = new Uint8Array(reader.readAsArrayBuffer(file.slice(from, from + into.length)));
          into.set(piece);
          return piece.length;
        },
      },
      options,
      (bytes) => tell({ kind: 'progress', bytes }),
    );
    tell({ kind: 'read', report });
  } catch (error) {
    // A file that was changed or taken away while it was read.
    tell({ kind: 'lost', why: error instanceof Error ? error.message : String(error) });
  }
});
