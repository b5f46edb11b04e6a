'use client';
import { useEffect } from 'react';

/** What a screen does with a scan: what it says it did, or null to let the scan line look it up. */
type ScreenScan = (text: string) => string | null;
const handlers: ScreenScan[] = [];

/** While a screen is up, scans go to it first. */
export function useScreenScan(handle: ScreenScan): void {
  useEffect(() => {
    handlers.push(handle);
    return () => void handlers.splice(handlers.indexOf(handle), 1);
  });
}

/** The answer of the screen on top, or null. */
export const askScreens = (text: string): string | null =>
  handlers.toReversed().reduce<string | null>((said, h) => said ?? h(text), null);

/** Who waits for somebody's badge: a form that wants a second person. */
const waiting: ((badge: string) => void)[] = [];

/** While it is up, a badge that is scanned is given to it and signs nobody. */
export function useBadge(take: (badge: string) => void): void {
  useEffect(() => {
    waiting.push(take);
    return () => void waiting.splice(waiting.indexOf(take), 1);
  });
}

/** Gives a badge to whoever waits for one; false: nobody does. */
export function giveBadge(badge: string): boolean {
  const take = waiting.at(-1);
  take?.(badge);
  return take !== undefined;
}
