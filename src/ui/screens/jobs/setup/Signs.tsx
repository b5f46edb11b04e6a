'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { SIGN_STEPS, type SignStep } from '@/core/jobs';
import { namesOf } from '@/core/names';
import type { JobView } from '@/crib/jobs';
import { GradeMark } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useTimes } from '@/ui/shell';
import styles from './Setup.module.css';

/** Who signed for what of a setup, what has changed since, and what is to be signed next. */
export function Signs({ job }: { job: JobView }) {
  const { moment } = useTimes();
  const { operation: o, setup } = job;
  const [opened, setOpened] = useState<SignStep | null>(null);
  const step = opened ?? setup.next;
  return (
    <section aria-label="Signatures">
      <h2>Signed</h2>
      <ul className={styles.signs}>
        {namesOf(SIGN_STEPS).map((name) => {
          const sign = setup.signed.find((s) => s.step === name);
          return (
            <li key={name}>
              <strong>{name}</strong>
              <span>
                {sign ? (
                  <GradeMark grade={sign.doubts.length ? 'question' : 'good'}>
                    {sign.name}
                    {sign.name !== sign.who && ` (entered by ${sign.who})`}, {moment(sign.happenedAt)}
                  </GradeMark>
                ) : (
                  <span className={styles.blank}>
                    <span className="visually-hidden">not signed</span>
                  </span>
                )}
                {sign?.doubts.map((d) => (
                  <span key={`${d.kind} ${d.words}`} className="soft small" style={{ display: 'block' }}>
                    since then {d.words}
                  </span>
                ))}
              </span>
              <span className="small">
                {sign && <EntryBack entry={sign.entryId} what={`‘${name}’ of ${o.job}`} />}{' '}
                {step !== name && (
                  <Button variant="text" size="small" onClick={() => setOpened(name)}>
                    {sign ? 'sign again' : 'sign'}
                  </Button>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {step && (
        <>
          <p className="soft small" id="signing">
            <strong>{step}</strong>: {SIGN_STEPS[step]}.
          </p>
          <VerbForm
            key={step}
            verb="signSetup"
            fixed={{
              operation: o.id,
              step,
              // What is signed for is what stands above.
              sheet: setup.sheet?.entryId ?? 0,
              program: job.program?.entryId ?? 0,
            }}
            submit={`Sign ‘${step}’`}
            fields={[
              {
                name: 'by',
                label: 'In the name of',
                help: 'blank: whoever signs here',
                optional: true,
                wide: true,
              },
            ]}
            said={(d) => `${d.step}: signed`}
            onDone={() => setOpened(null)}
          />
        </>
      )}
    </section>
  );
}
