'use client';
import { usePathname, useSearchParams } from 'next/navigation';
import { addressOf } from '@/core/links';
import type { PageName, PageQuestion } from '@/core/questions';

/** Names that all of some pages may say in their address. */
type NameOf<P extends PageName> = keyof PageQuestion<P> & string;
type Changes<P extends PageName> = { [N in NameOf<P>]?: PageQuestion<P>[N] | null };

/** The address bar holds the state of a screen: reading it, and addresses with some of it changed (null drops it). */
export function useQuery<P extends PageName>(_page: P) {
  const path = usePathname();
  const search = useSearchParams();
  return {
    get: (name: NameOf<P>): string | null => search.get(name),
    /** All of it, as it stands. */
    all: (): Record<string, string> => Object.fromEntries(search),
    href: (changes: Changes<P>): string => {
      const asked: Record<string, string | number | undefined> = Object.fromEntries(search);
      // Values of an address are texts and numbers.
      for (const [name, value] of Object.entries(changes) as [string, string | number | null | undefined][])
        if (value === null) delete asked[name];
        else if (value !== undefined) asked[name] = value;
      return addressOf(path, asked);
    },
  };
}
