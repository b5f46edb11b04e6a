import { useCallback, useEffect, useRef, useState } from 'react';
import type { ProgramReport, ReadOptions } from '@/core/programs';

/** What the page asks of its reader, and what it is told. */
export interface Asked {
  file: Blob;
  options: Partial<ReadOptions>;
}
export type Told =
  | { kind: 'progress'; bytes: number }
  | { kind: 'read'; report: ProgramReport }
  | { kind: 'lost'; why: string };

/** A file that is being read in this page, or was. */
export type Reading =
  | { state: 'reading'; name: string; size: number; bytes: number }
  | { state: 'read'; name: string; size: number; report: ProgramReport; file: File }
  | { state: 'lost'; name: string; why: string };

/** Reads files in a worker of the page, one at a time; `stop` ends it at once. Nothing is sent anywhere. */
export function useReading(options: Partial<ReadOptions>) {
  const [reading, setReading] = useState<Reading | null>(null);
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setReading(null);
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);
  const start = (file: File) => {
    stop();
    const { name, size } = file;
    setReading({ state: 'reading', name, size, bytes: 0 });
    const mine = new Worker(new URL('./reader.worker.ts', import.meta.url));
    worker.current = mine;
    const end = (over: Reading) => {
      mine.terminate();
      if (worker.current === mine) setReading(over);
    };
    mine.addEventListener('message', ({ data: told }: MessageEvent<Told>) => {
      if (worker.current !== mine) return;
      if (told.kind === 'progress') setReading({ state: 'reading', name, size, bytes: told.bytes });
      else if (told.kind === 'read') end({ state: 'read', name, size, report: told.report, file });
      else end({ state: 'lost', name, why: told.why });
    });
    mine.addEventListener('error', () => end({ state: 'lost', name, why: 'the reader did not start' }));
    mine.postMessage({ file, options } satisfies Asked);
  };
  return { reading, start, stop };
}
