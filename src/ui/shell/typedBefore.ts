'use client';
import { useEffect } from 'react';

/**
 * What was typed or scanned into a field before the page was alive stands in it, and the form behind it has not heard of
 * it: told now, as if it were typed at this moment. Fields that are as they came are left alone; a choice from a list React itself puts back.
 */
export function handOver(page: HTMLElement): void {
  for (const field of page.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('input, textarea')) {
    if (field.type === 'checkbox' || field.type === 'radio' || field.type === 'file') continue;
    if (field.value === field.defaultValue) continue;
    const typed = field.value;
    // A field tells its listeners of a value that it did not have: so it is emptied behind their back first.
    const own = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value');
    field.value = field.defaultValue;
    own?.set?.call(field, typed);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
}

/** The page is alive: keys and taps are answered from now on. Said for those who drive it from outside. */
export function useAlive(): void {
  useEffect(() => {
    handOver(document.body);
    document.documentElement.dataset.alive = 'yes';
  }, []);
}
