'use client';
import { Link } from '@/ui/kit/link';
import type { ReactNode } from 'react';
import styles from './Tag.module.css';

/** The tag beside: whatever is opened anywhere opens as one of these. */
export function Tag({
  over,
  number,
  words,
  closeHref,
  children,
}: {
  over?: ReactNode;
  number: ReactNode;
  words?: ReactNode;
  closeHref?: string;
  children?: ReactNode;
}) {
  return (
    <section className={styles.tag}>
      <span className={styles.hole} aria-hidden="true" />
      {closeHref && (
        <Link className={styles.close} href={closeHref} scroll={false}>
          put back
        </Link>
      )}
      {over && <div className={styles.over}>{over}</div>}
      <h2 className={styles.no}>{number}</h2>
      {words && <div>{words}</div>}
      {children}
    </section>
  );
}
