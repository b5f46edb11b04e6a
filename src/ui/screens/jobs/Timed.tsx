'use client';
import { reckonedMinutes } from '@/core/jobs';
import type { JobView } from '@/crib/jobs';
import { BecauseThis } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Fold, Lines } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useTimes } from '@/ui/shell';

/** How long a part takes at its machine: what is reckoned, corrected by parts that were timed there. */
export function Timed({ job }: { job: JobView }) {
  const { moment } = useTimes();
  const { operation: o, timed, cycle } = job;
  const reckoned = reckonedMinutes(cycle);
  const factor = timed?.factor ?? null;
  return (
    <>
      {factor && reckoned !== null && (
        <p>
          {o.machine} takes <span className="fig">{factor.factor.toFixed(2)}</span> times what is reckoned:
          about <strong className="fig">{(reckoned * factor.factor).toFixed(1)} min</strong> a part.{' '}
          <BecauseThis because={factor.because} />
        </p>
      )}
      <Fold label={timed ? 'Time a part again' : 'Time a part at the machine'}>
        <p className="soft small">
          Minutes of one part, from start to start. What the day and the calendar reckon for {o.machine} is
          corrected by it.
        </p>
        <VerbForm
          verb="recordCycle"
          fixed={{ operation: o.id }}
          submit="Record it"
          when
          fields={[
            { name: 'minutes', label: 'One part took, min', kind: 'number' },
            {
              ...{ name: 'sure', label: 'However odd', kind: 'choice', optional: true },
              options: [['yes', 'it was one part, and it took so long']],
            },
          ]}
          shape={({ sure, ...input }) => ({ ...input, ...(sure === 'yes' ? { confirmed: true } : {}) })}
          said={(d) => `a part of ${d.job} took ${d.minutes} min`}
        />
        {timed && (
          <Lines small>
            {timed.runs.map((r) => (
              <li key={r.entryId}>
                <span className="fig">{r.minutes.toFixed(2)}</span> of{' '}
                <span className="fig">{r.reckoned.toFixed(2)}</span> min, {r.job}{' '}
                {!r.counts && '(not counted: the machine moves otherwise now) '}
                <span className="soft">
                  {moment(r.happenedAt)}, {r.who}
                </span>{' '}
                <EntryBack entry={r.entryId} what={`a part of ${r.job} timed ${moment(r.happenedAt)}`} />
              </li>
            ))}
          </Lines>
        )}
      </Fold>
    </>
  );
}
