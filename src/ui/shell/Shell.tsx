'use client';
import { usePathname } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { WrongAddress } from './Asked';
import { DoneBar } from './DoneBar';
import { HandStrip } from './HandStrip';
import { ScanLine } from './ScanLine';
import styles from './Shell.module.css';
import { type Counts, Spine } from './Spine';
import { TagSide } from './TagSide';
import { useAlive } from './typedBefore';

interface ShellProps {
  counts: Counts;
  demo: boolean;
  children: ReactNode;
}

/** Spine, scan line and the screen in the middle. */
export function Shell({ counts, demo, children }: ShellProps) {
  const path = usePathname();
  const [help, setHelp] = useState(false);
  useAlive();
  if (path.startsWith('/print/')) return children;
  const onHelp = () => setHelp((h) => !h);
  return (
    <div className={styles.shell}>
      <a className={styles.skip} href="#middle">
        To the screen
      </a>
      <Spine counts={counts} demo={demo} onHelp={onHelp} />
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
        <HandStrip />
        {children}
      </main>
      {beside ? <TagSide>{beside}</TagSide> : null}
    </div>
  );
}
