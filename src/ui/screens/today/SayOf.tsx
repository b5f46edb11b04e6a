'use client';
import Button from '@mui/material/Button';
import { addDays } from '@/core/units';
import type { VerbInput } from '@/crib/verbs';
import type { WorkLine } from '@/crib/today';
import { Choice } from '@/ui/kit/field';
import { ProblemNote, useVerb } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { shortDay } from '@/ui/shell';
import styles from './Today.module.css';

/** What somebody says of a line: done for today, put off, given to somebody. What can hurt is only given. */
export function SayOf({
  line,
  today,
  people,
  onSaid,
}: {
  line: WorkLine;
  today: string;
  people: readonly { initials: string; name: string }[];
  onSaid: () => void;
}) {
  const { send, problem, pending, barred } = useVerb('sayOfWork');
  const say = async (input: Omit<VerbInput<'sayOfWork'>, 'line'>, said: string) => {
    if (await send({ line: line.key, ...input }, () => `${line.todo}: ${said}`)) onSaid();
  };
  return (
    <div className={styles.say} role="group" aria-label={`Say of: ${line.todo}`}>
      <Acts>
        {line.mayWait && (
          <>
            <Button
              size="small"
              disabled={pending || barred !== null}
              onClick={() => void say({ word: 'done' }, 'done for today')}
            >
              Done for today
            </Button>
            {([1, 3, 7] as const).map((n) => (
              <Button
                key={n}
                size="small"
                variant="text"
                disabled={pending || barred !== null}
                onClick={() =>
                  void say(
                    { word: 'put off', until: addDays(today, n) },
                    `put off to ${shortDay(addDays(today, n))}`,
                  )
                }
              >
                {n === 1 ? 'to tomorrow' : `to ${shortDay(addDays(today, n))}`}
              </Button>
            ))}
          </>
        )}
        <label className="small">
          give to{' '}
          <Choice
            value={line.given ?? ''}
            disabled={pending || barred !== null}
            onChange={(e) =>
              void say(
                { word: 'given', ...(e.target.value ? { to: e.target.value } : {}) },
                e.target.value ? `given to ${e.target.value}` : 'given to nobody',
              )
            }
          >
            <option value="">nobody</option>
            {people.map((p) => (
              <option key={p.initials} value={p.initials}>
                {p.initials} {p.name}
              </option>
            ))}
          </Choice>
        </label>
      </Acts>
      {!line.mayWait && <p className="soft small">It stays in sight until it is dealt with.</p>}
      <ProblemNote problem={problem} />
    </div>
  );
}
