import type { CSSProperties, ReactNode } from 'react';
import styles from './Fields.module.css';

interface Props {
  style?: CSSProperties;
  children: ReactNode;
}

/** Fields in columns, as many as there is room for. */
export const Fields = (props: Props) => <div className={styles.fields} {...props} />;
/** A field with its label above it; a wide one takes two columns. */
export const Field = ({ wide, ...props }: Props & { wide?: boolean }) => (
  <div className={wide ? `${styles.field} ${styles.wide}` : styles.field} {...props} />
);
/** What stands over some of the fields. */
export const Legend = (props: Props) => <div className={styles.legend} {...props} />;
/** Fields side by side that are one figure: a value and its origin, a segment of an outline. */
export const Together = (props: Props) => <div className={styles.together} {...props} />;
/** What was wrong with a field. */
export const Wrong = ({ id, children }: { id?: string; children: ReactNode }) => (
  <div className={styles.wrong} id={id}>
    {children}
  </div>
);
