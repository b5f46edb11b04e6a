import { group } from 'd3';
import type { Grade } from '@/core/because';
import { first } from '@/core/sure';
import type { RunView } from '@/crib/jobs';
import { GradeMark } from '@/ui/kit/figure';
import styles from './Run.module.css';

/** The worst first: what must not run, what somebody must say, what can't be judged. */
const ORDER = ['stop', 'question', 'not judged'] as const satisfies readonly Grade[];
/** Where a T stands below. */
export const placeOf = (t: number) => `t${t}`;

/** Before the next part is begun: which tools don't simply run, each with why and a way to it. The list of all is long. */
export function BeforeNextPart({
  tools,
  amiss,
}: {
  tools: RunView['job']['tools'];
  amiss: RunView['amiss'];
}) {
  if (!tools.length) return null;
  const alike = ORDER.flatMap((grade) => [
    ...group(
      tools.filter((t) => t.use.grade === grade),
      (t) => t.use.why,
    ).values(),
  ]);
  return (
    <nav aria-label="Before the next part" className={styles.before}>
      {alike.length === 0 && amiss.length === 0 && (
        <GradeMark grade="good">
          {tools.length === 1 ? 'its one tool may run' : `all ${tools.length} tools may run`}
        </GradeMark>
      )}
      {amiss.map(({ t, grade, words }) => (
        <GradeMark key={words} grade={grade}>
          <a className="fig" href={`#${placeOf(t)}`}>
            T{t}
          </a>{' '}
          {words}
        </GradeMark>
      ))}
      {alike.map((those) => {
        const { t, use } = first(those);
        return (
          <GradeMark key={t} grade={use.grade}>
            {those.map((tool) => (
              <span key={tool.t}>
                <a className="fig" href={`#${placeOf(tool.t)}`}>
                  T{tool.t}
                </a>{' '}
              </span>
            ))}
            {use.why}
          </GradeMark>
        );
      })}
    </nav>
  );
}
