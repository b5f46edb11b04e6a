'use client';
import { useEffect, useRef, useState } from 'react';
import type { Renumbered } from '@/core/programs';
import type { RenumberAnswer, ToRenumber } from './renumber.worker';

/** A stored program with other numbers, made in a worker: it can be megabytes. */
export function useRenumbered(entry: number) {
  const [answer, setAnswer] = useState<RenumberAnswer | 'on its way' | null>(null);
  const worker = useRef<Worker | null>(null);
  const forget = () => {
    worker.current?.terminate();
    worker.current = null;
    setAnswer(null);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const look = (numbers: Renumbered[]) => {
    forget();
    setAnswer('on its way');
    const mine = new Worker(new URL('./renumber.worker.ts', import.meta.url));
    worker.current = mine;
    const lost = () => setAnswer({ line: 0, why: 'the program did not come; try again' });
    mine.onmessage = ({ data }: MessageEvent<RenumberAnswer>) => setAnswer(data);
    mine.onerror = lost;
    fetch(`/api/v1/programs/${entry}`)
      .then(async (sent) => {
        if (!sent.ok) return lost();
        const asked: ToRenumber = { text: await sent.text(), numbers };
        // One that was asked for since has ended this one.
        if (worker.current === mine) mine.postMessage(asked);
      })
      .catch(lost);
  };
  return { answer, look, forget };
}
