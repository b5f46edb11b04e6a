'use client';
import { useSearchParams } from 'next/navigation';
import { type ReactNode, useEffect, useRef } from 'react';
import styles from './Shell.module.css';

/**
 * The part beside, or on a phone above, the screen. Another tag opens at its top; the next step of the same one comes into
 * sight; and where the button that led on is gone, the keyboard goes on from here. Never at the first sight of a page, and
 * never away from a field: what is scanned there stays there.
 */
export function TagSide({ children }: { children: ReactNode }) {
  const aside = useRef<HTMLElement>(null);
  const search = useSearchParams();
  const asked = search.toString();
  const thing = ['open', 'new', 'order', 'sheet', 'what'].map((name) => search.get(name)).join(' ');
  const before = useRef<{ asked: string; thing: string } | null>(null);
  useEffect(() => {
    const was = before.current;
    before.current = { asked, thing };
    const at = aside.current;
    if (!at || document.documentElement.dataset.alive !== 'yes' || was?.asked === asked) return;
    if (was?.thing !== thing) {
      at.scrollTop = 0;
      // On a phone the tag may lie above what is in sight.
      if (at.getBoundingClientRect().top < 0) at.scrollIntoView({ block: 'start' });
    } else {
      const step = at.querySelector('form');
      // The heading of the step with it.
      (step?.previousElementSibling ?? step)?.scrollIntoView({ block: 'nearest' });
      step?.scrollIntoView({ block: 'nearest' });
    }
    if (document.activeElement === document.body) at.focus({ preventScroll: true });
  }, [asked, thing]);
  return (
    <aside ref={aside} className={styles.tagside} aria-label="Tag" tabIndex={-1}>
      {children}
    </aside>
  );
}
