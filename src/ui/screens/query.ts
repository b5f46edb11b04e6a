'use client';
import { usePathname, useSearchParams } from 'next/navigation';

/** The address bar holds the state of a screen: reading it, and addresses with some of it changed (null drops it). */
export function useQuery() {
  const path = usePathname();
  const search = useSearchParams();
  return {
    get: (name: string) => search.get(name),
    href: (changes: Record<string, string | null>) => {
      const next = new URLSearchParams(search);
      for (const [name, value] of Object.entries(changes)) {
        if (value === null) next.delete(name);
        else next.set(name, value);
      }
      const text = next.toString();
      return text ? `${path}?${text}` : path;
    },
  };
}
