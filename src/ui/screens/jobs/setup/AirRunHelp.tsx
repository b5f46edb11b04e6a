'use client';
import { useState } from 'react';
import { AIR_CHECKS } from '@/core/jobs';
import type { JobView } from '@/crib/jobs';
import { Tick } from '@/ui/kit/field';
import { GradeMark } from '@/ui/kit/figure';
import { Caution, Fold, Lines } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';

/** The run in the air before metal: how far zero is raised, and what is looked at. The ticks are for whoever stands there. */
export function AirRunHelp({ job: { setup, operation: o } }: { job: JobView }) {
  const { show, unitWord } = useLengths();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const { air } = setup;
  if (!air) return null;
  const mm = (n: number) => `${show(n, 1)} ${unitWord}`;
  return (
    <Fold label={`Run in the air: zero raised by ${mm(air.raise)}`}>
      <p>
        Raised by <strong className="fig">{mm(air.raise)}</strong> the deepest cut stays above the stock
        {setup.inZ.top === null && ', as far as zero is its top: the sheet does not state it'}.
      </p>
      {air.stops !== null && air.room !== null ? (
        <GradeMark grade="stop">
          T{air.stops} has only {mm(air.room)} below the end of Z at its first approach: raise it no further,
          and run T{air.stops} by itself
        </GradeMark>
      ) : air.room === null ? (
        <GradeMark grade="not judged">
          Whether {o.machine} has the room above is not known: part zero, K and measured lengths say it
        </GradeMark>
      ) : (
        <GradeMark grade="good">the first Z of each measured tool stays inside the travel</GradeMark>
      )}
      <Lines>
        {AIR_CHECKS.map((check) => (
          <li key={check}>
            <label>
              <Tick
                checked={ticked.has(check)}
                onChange={(e) => {
                  const next = new Set(ticked);
                  if (e.target.checked) next.add(check);
                  else next.delete(check);
                  setTicked(next);
                }}
              />{' '}
              {check}
            </label>
          </li>
        ))}
      </Lines>
      <Caution>
        A raised zero hides nothing but the cut: clamps, vise and changer stay where they are, and the tool
        still turns.
      </Caution>
    </Fold>
  );
}
