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
