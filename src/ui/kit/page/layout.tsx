import type { CSSProperties, ReactNode } from 'react';
import styles from './layout.module.css';

interface Props {
  style?: CSSProperties;
  children: ReactNode;
}

/** The head of a screen: what it is, and at the right what can be done on it. */
export const Head = (props: Props) => <div className={styles.head} {...props} />;
/** What can be done, side by side. */
export const Acts = (props: Props) => <div className={styles.acts} {...props} />;
/** What stands where nothing is yet: what will be here, and the first step to it. */
export const Empty = (props: Props) => <div className={styles.empty} {...props} />;
/** A screen for the hand at the machine: one column, everything large enough for a thumb. */
export const Hand = (props: Props) => <div className={styles.hand} {...props} />;
/** A list without marks before its lines. */
export const Lines = ({ small, ...props }: Props & { small?: boolean }) => (
  <ul className={small ? `${styles.lines} small` : styles.lines} {...props} />
);
