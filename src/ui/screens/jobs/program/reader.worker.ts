// Reads a program beside the page: however large it is, the page goes on, and only a piece of it is held.
import { readProgram } from '@/core/programs';
import { fileSourceOf, tellWhyLost } from './fileSource';
import type { Asked, Told } from './reading';

const tell = (told: Told) => self.postMessage(told);

self.addEventListener('message', ({ data: { file, options } }: MessageEvent<Asked>) =>
  tellWhyLost(tell, () => {
    const report = readProgram(fileSourceOf(file), options, {
      progress: (bytes) => tell({ kind: 'progress', bytes }),
    });
    tell({ kind: 'read', report });
  }),
);
