import type { CSSProperties, ReactNode } from 'react';
import type { Because, Grade, Judgement } from '@/core/because';
import { Fold } from '@/ui/kit/page';
import styles from './figure.module.css';

const SHAPES: Record<Grade, { shape: string; className: string | undefined; words: string }> = {
  good: { shape: '●', className: styles.grade, words: 'good' },
  question: { shape: '▲', className: `${styles.grade} ${styles.question}`, words: 'question' },
  stop: { shape: '■', className: `${styles.grade} ${styles.stop}`, words: 'stop' },
  'not judged': { shape: '○', className: `${styles.grade} ${styles.unjudged}`, words: 'not judged' },
};

/** A grade by shape and word; colour comes third. */
export function GradeMark({ grade, children }: { grade: Grade; children?: ReactNode }) {
  const { shape, className, words } = SHAPES[grade];
  return (
    <span className={className}>
      <span className={styles.shape} aria-hidden="true">
        {shape}
      </span>
      <span>
        {children ? <span className="visually-hidden">{words}: </span> : null}
        {children ?? words}
      </span>
    </span>
  );
}

/** 'because': the words, the formula, its values with their sources. One pattern for every number that can be pulled. */
export function BecauseThis({ because, label = 'because' }: { because: Because; label?: string }) {
  return (
    <Fold label={label} says>
      {because.words && <div>{because.words}</div>}
      {because.formula && <div className={`fig small ${styles.formula}`}>{because.formula}</div>}
      {because.values.length > 0 && (
        <dl className={styles.values}>
          {because.values.map((v, i) => (
            <div key={`${v.name} ${i}`}>
              <dt>
                {v.name} {v.source && <span className="soft small">{v.source}</span>}
              </dt>
              <dd className="fig">{v.value}</dd>
            </div>
          ))}
        </dl>
      )}
    </Fold>
  );
}

/** A list of judgements, worst first, each with its reason. */
export function Judgements({ list }: { list: readonly Judgement[] }) {
  const order: Grade[] = ['stop', 'question', 'not judged', 'good'];
  return (
    <div>
      {[...list]
        .sort((a, b) => order.indexOf(a.grade) - order.indexOf(b.grade))
        .map((j) => (
          <div key={`${j.code} ${j.words}`} style={{ padding: '3px 0' }}>
            <GradeMark grade={j.grade}>{j.words}</GradeMark> <BecauseThis because={j.because} />
          </div>
        ))}
    </div>
  );
}

/** Figures in rows. */
export const Rows = (props: { style?: CSSProperties; children: ReactNode }) => (
  <dl className={styles.rows} {...props} />
);

/** A figure in a row: its name, its value, its unit; unknown says so in words. */
export function Row({
  name,
  note,
  unit,
  children,
  big,
}: {
  name: ReactNode;
  note?: ReactNode;
  unit?: string;
  children: ReactNode;
  big?: boolean;
}) {
  return (
    <div>
      <dt>
        {name} {note && <span className="soft small">{note}</span>}
      </dt>
      <dd className={big ? `fig ${styles.big}` : 'fig'}>
        {children}
        {unit && <span className={styles.unit}> {unit}</span>}
      </dd>
    </div>
  );
}

/** What stands where a figure is not known: words, never a zero. */
export const Unknown = ({ children = 'not known' }: { children?: ReactNode }) => (
  <span className={styles.unknown}>{children}</span>
);
