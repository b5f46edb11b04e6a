import { useEffect, useState } from 'react';
import type { DepthPicture, PathExtents, PlanPicture, ReadOptions } from '@/core/programs';

/** Dots of a picture: twice as many each way as pixels of the page, so that its lines are smooth. */
export const PICTURE = { width: 760, height: 434, columns: 1200 } as const;

export interface AskedPicture {
  file: Blob;
  options: Partial<ReadOptions>;
  size: { width: number; height: number; columns: number };
  /** The tool that is shown; null: all. */
  only: number | null;
  rapidMmS: number | null;
}
/** The path as far as it is drawn. */
export interface Drawn {
  extents: PathExtents;
  /** Of the whole program, at feed and, where its rate is known, at rapid. */
  seconds: number;
  plan: Pick<PlanPicture, 'frame' | 'marks' | 'lines' | 'lowest'>;
  depth: Pick<
    DepthPicture,
    'columns' | 'feedLow' | 'feedHigh' | 'rapidLow' | 'rapidHigh' | 'lines' | 'spans'
  >;
  /** false: more of it is coming. */
  done: boolean;
}
export type ToldPicture =
  | { kind: 'progress'; share: number }
  | { kind: 'drawn'; drawn: Drawn }
  | { kind: 'nothing' }
  | { kind: 'lost'; why: string };

export type Drawing = { only: number | null } & (
  | { state: 'drawing'; share: number; drawn: Drawn | null }
  | { state: 'drawn'; drawn: Drawn }
  /** No place of its path is known. */
  | { state: 'nothing' }
  | { state: 'lost'; why: string }
);

/** The path of a program, drawn in a worker of the page; another file, machine or tool begins anew. */
export function useDrawing(
  file: Blob,
  options: Partial<ReadOptions>,
  only: number | null,
  rapidMmS: number | null,
): Drawing {
  const [drawing, setDrawing] = useState<Drawing>({ only, state: 'drawing', share: 0, drawn: null });
  useEffect(() => {
    const worker = new Worker(new URL('./picture.worker.ts', import.meta.url));
    worker.addEventListener('message', ({ data: told }: MessageEvent<ToldPicture>) => {
      setDrawing((was) => ({ only, ...next(was, told) }));
      if (told.kind !== 'progress' && !(told.kind === 'drawn' && !told.drawn.done)) worker.terminate();
    });
    worker.addEventListener('error', () =>
      setDrawing({ only, state: 'lost', why: 'the reader did not start' }),
    );
    const asked: AskedPicture = {
      file,
      only,
      rapidMmS,
      size: PICTURE,
      options: { ...options, motion: null },
    };
    worker.postMessage(asked);
    return () => worker.terminate();
  }, [file, options, only, rapidMmS]);
  // Another tool was asked for: what was drawn stays until there is something of it.
  return drawing.only === only
    ? drawing
    : { only, state: 'drawing', share: 0, drawn: 'drawn' in drawing ? drawing.drawn : null };
}

type Next = Drawing extends infer Each ? (Each extends unknown ? Omit<Each, 'only'> : never) : never;
function next(was: Drawing, told: ToldPicture): Next {
  if (told.kind === 'progress')
    return { state: 'drawing', share: told.share, drawn: 'drawn' in was ? was.drawn : null };
  if (told.kind === 'lost') return { state: 'lost', why: told.why };
  if (told.kind === 'nothing') return { state: 'nothing' };
  return told.drawn.done
    ? { state: 'drawn', drawn: told.drawn }
    : { state: 'drawing', share: 0.5, drawn: told.drawn };
}
