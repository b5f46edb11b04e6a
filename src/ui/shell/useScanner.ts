'use client';
import { useEffect, useRef } from 'react';
import { NO_BURST, nextBurst } from './scanBurst';

type TextField = HTMLInputElement | HTMLTextAreaElement;
const textField = (target: EventTarget | null): TextField | null =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target : null;

/** Sets a field's text as typing would, so that React notices. */
function putBack(field: TextField, text: string): void {
  const proto =
    field instanceof HTMLInputElement ? HTMLInputElement.prototype : HTMLTextAreaElement.prototype;
  // Every field of the platform has it.
  Object.getOwnPropertyDescriptor(proto, 'value')!.set!.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** Listens for scans on the whole page, inside fields too: their text is put back as it was before the burst. */
export function useScanner(onScan: (text: string) => void): void {
  const handler = useRef(onScan);
  useEffect(() => {
    handler.current = onScan;
  });
  useEffect(() => {
    let burst = NO_BURST;
    let before: { field: TextField; text: string } | null = null;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const next = nextBurst(burst, event.key, event.timeStamp);
      if (next.burst.text.length === 1) {
        const field = textField(event.target);
        before = field && { field, text: field.value };
      }
      burst = next.burst;
      if (next.scan === null) return;
      event.preventDefault();
      event.stopPropagation();
      if (before) putBack(before.field, before.text);
      handler.current(next.scan);
    };
    document.addEventListener('keydown', onKey, { capture: true });
    return () => document.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}
