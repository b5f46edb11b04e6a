import type { ReactNode } from 'react';
import type { Because, Grade, Judgement } from '@/core/because';

const SHAPES: Record<Grade, { shape: string; className: string; words: string }> = {
  good: { shape: '●', className: 'grade', words: 'good' },
  question: { shape: '▲', className: 'grade question', words: 'question' },
  stop: { shape: '■', className: 'grade stop', words: 'stop' },
  'not judged': { shape: '○', className: 'grade unjudged', words: 'not judged' },
};

/** A grade by shape and word; colour comes third. */
export function GradeMark({ grade, children }: { grade: Grade; children?: ReactNode }) {
  const { shape, className, words } = SHAPES[grade];
  return (
    <span className={className}>
      <span className="shape" aria-hidden="true">
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
    <details className="because">
      <summary>{label}</summary>
      <div className="in">
        {because.words && <div>{because.words}</div>}
        {because.formula && (
          <div className="fig small" style={{ whiteSpace: 'normal', margin: '4px 0' }}>
            {because.formula}
          </div>
        )}
        {because.values.length > 0 && (
          <dl>
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
      </div>
    </details>
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
          <div key={j.code} style={{ padding: '3px 0' }}>
            <GradeMark grade={j.grade}>{j.words}</GradeMark> <BecauseThis because={j.because} />
          </div>
        ))}
    </div>
  );
}

/** A caution stands beside the action it belongs to. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className="caution" role="note">
      <strong>Care.</strong> {children} Follow the machine maker’s manual, the site’s rules and local law;
      trained people only.
    </p>
  );
}

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
      <span className="k">
        {name} {note && <span className="soft small">{note}</span>}
      </span>
      <span className={`v fig${big ? ' big' : ''}`}>
        {children}
        {unit && <span className="unit-of"> {unit}</span>}
      </span>
    </div>
  );
}

/** What stands where a figure is not known: words, never a zero. */
export const Unknown = ({ children = 'not known' }: { children?: ReactNode }) => (
  <span className="unknown">{children}</span>
);
