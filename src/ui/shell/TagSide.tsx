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
  const thing = ['open', 'new', 'order', 'sheet', 'what'].map((name) => search.get(name)).join(' ');
  const step = search.get('do');
  const before = useRef<{ thing: string; step: string | null } | null>(null);
  useEffect(() => {
    const was = before.current;
    before.current = { thing, step };
    const at = aside.current;
    if (!at || document.documentElement.dataset.alive !== 'yes') return;
    if (was?.thing === thing && was.step === step) return;
    if (was?.thing !== thing) {
      at.scrollTop = 0;
      // On a phone the tag may lie above what is in sight.
      if (at.getBoundingClientRect().top < 0) at.scrollIntoView({ block: 'start' });
    } else if (step !== null) {
      const form = at.querySelector('form');
      // With its heading, where it would end below what is in sight.
      if (form && form.getBoundingClientRect().bottom > window.innerHeight)
        (form.previousElementSibling ?? form).scrollIntoView({ block: 'start' });
    }
    if (document.activeElement === document.body) at.focus({ preventScroll: true });
  }, [thing, step]);
  return (
    <aside ref={aside} className={styles.tagside} aria-label="Tag" tabIndex={-1}>
      {children}
    </aside>
  );
}
