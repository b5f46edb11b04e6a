'use client';
import { useEffect, useRef } from 'react';
import { NO_BURST, nextBurst } from './scanBurst';

type TextField = HTMLInputElement | HTMLTextAreaElement;
const textField = (target: EventTarget | null): TextField | null =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target : null;

/** Sets a field's text as typing would, so that React notices. */
function put(field: TextField, text: string): void {
  const proto =
    field instanceof HTMLInputElement ? HTMLInputElement.prototype : HTMLTextAreaElement.prototype;
  // Every field of the platform has it.
  Object.getOwnPropertyDescriptor(proto, 'value')!.set!.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** Whether a scan is what a field asks for: one for figures takes figures, every other takes words. */
const asksFor = (field: TextField, scan: string): boolean =>
  !['decimal', 'numeric'].includes(field.inputMode) || /^[-+]?[\d.,/ ]+(?:mm|in|")?$/.test(scan);

/**
 * Listens for scans on the whole page. One into the scan line, or while no field has the focus, goes to `onScan`. One
 * into any other field stays there in place of what it held, and its Enter sends nothing: the field asked for it. A
 * field that asks for a figure keeps what it had where the scan is none, and `onRefused` says so. Searched fields take
 * the keys themselves; an editor's are its own.
 */
export function useScanner(onScan: (text: string) => void, onRefused: (text: string) => void): void {
  const handlers = useRef({ onScan, onRefused });
  useEffect(() => {
    handlers.current = { onScan, onRefused };
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
      const field = textField(event.target);
      if (event.target instanceof HTMLElement && event.target.isContentEditable) return;
      if (field?.getAttribute('role') === 'combobox') return;
      event.preventDefault();
      event.stopPropagation();
      if (field && field.id !== SCAN_LINE) {
        if (asksFor(field, next.scan)) return put(field, next.scan);
        if (before?.field === field) put(field, before.text);
        return handlers.current.onRefused(next.scan);
      }
      if (before) put(before.field, before.text);
      handlers.current.onScan(next.scan);
    };
    document.addEventListener('keydown', onKey, { capture: true });
    return () => document.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}

/** Id of the field whose scans open what they name. */
export const SCAN_LINE = 'scan';
