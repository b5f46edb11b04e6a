'use client';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { listen, released } from './press';
import { questionOf } from './question';

/** A page of lines, or why there is none, and the question that it answers. */
export type Answered<Page> = (Page | { problem: string }) & { asked: string };

/**
 * The page that answers the address: as the server drew it, or, while somebody types, as it answers meanwhile. Typing
 * only changes the address, so that it never undoes a click or a scan that comes in between, and no line moves while it
 * is pressed.
 */
export function useAnswer<Page extends object>(
  view: string,
  names: readonly string[],
  ofServer: Answered<Page>,
): Answered<Page> {
  const search = useSearchParams();
  const key = questionOf(Object.fromEntries(search), names);
  const [meanwhile, setMeanwhile] = useState<Answered<Page> | null>(null);
  const same = ofServer.asked === key;
  useEffect(listen, []);
  useEffect(() => {
    if (same) return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`/api/v1/${view}?${key}`, { signal: stop.signal })
        .then(async (answer) => {
          // The API answers in the type of its view, or with a problem.
          const json = (await answer.json()) as Page & { detail?: string };
          await released();
          if (stop.signal.aborted) return;
          setMeanwhile(
            answer.ok ? { ...json, asked: key } : { problem: json.detail ?? 'No answer came', asked: key },
          );
        })
        // Typed on: the next question is on its way.
        .catch(() => undefined);
    }, 180);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [view, key, same]);
  if (same) return ofServer;
  return meanwhile ?? ofServer;
}
