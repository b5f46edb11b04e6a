'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import { WrongAddress } from './Asked';
import { DoneBar } from './DoneBar';
import { ScanLine } from './ScanLine';
import styles from './Shell.module.css';
import { type Counts, Spine } from './Spine';
import { TagSide } from './TagSide';
import { handOver } from './typedBefore';

interface ShellProps {
  counts: Counts;
  people: { initials: string; name: string }[];
  demo: boolean;
  children: ReactNode;
}

/** Spine, scan line and the screen in the middle. */
export function Shell({ counts, people, demo, children }: ShellProps) {
  const path = usePathname();
  const [help, setHelp] = useState(false);
  // From now on keys and taps are answered: said for those who drive the page from outside.
  useEffect(() => {
    handOver(document.body);
    document.documentElement.dataset.alive = 'yes';
  }, []);
  if (path.startsWith('/print/')) return children;
  const onHelp = () => setHelp((h) => !h);
  return (
    <div className={styles.shell}>
      <a className={styles.skip} href="#middle">
        To the screen
      </a>
      <Spine counts={counts} people={people} demo={demo} onHelp={onHelp} />
      <ScanLine onHelp={onHelp} help={help} />
      {children}
      <DoneBar />
    </div>
  );
}

/**
 * The middle of a screen with the tag beside it. `wide` is for work that fills a table or a long form on the tag: it gets
 * the larger part.
 */
export function Middle({
  children,
  beside,
  wide,
}: {
  children: ReactNode;
  beside?: ReactNode;
  wide?: boolean;
}) {
  const parts = [styles.body, beside && styles.beside, beside && wide && styles.wide].filter(Boolean);
  return (
    <div className={parts.join(' ')}>
      <main className={styles.middle} id="middle" tabIndex={-1}>
        <WrongAddress />
        {children}
      </main>
      {beside ? <TagSide>{beside}</TagSide> : null}
    </div>
  );
}
