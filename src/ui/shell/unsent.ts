'use client';
import { useEffect, useId } from 'react';

/** Forms with something typed that was not sent: what would take them away asks first. */
const unsent = new Set<string>();
export const anyUnsent = (): boolean => unsent.size > 0;

/** While a form is up, says whether something is typed in it. */
export function useUnsent(dirty: boolean): void {
  const id = useId();
  useEffect(() => {
    if (!dirty) return;
    unsent.add(id);
    return () => void unsent.delete(id);
  }, [dirty, id]);
}
