'use client';
import { useState } from 'react';
import type { AssemblyView } from '@/crib/rack';
import { Entry } from '@/ui/kit/field';
import { BecauseThis } from '@/ui/kit/figure';
import { ProblemNote, type Second, SendButton, useVerb } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';

/** A measurement in question: why, and a person's word on it. */
export function InQuestion({ card }: { card: AssemblyView }) {
  const { send, problem, pending, barred } = useVerb('judgeMeasurement');
  const [last, setLast] = useState(true);
  const [reason, setReason] = useState('');
  if (card.measured.state !== 'in question') return null;
  const { measurement } = card.measured;
  const judge = (accepted: boolean, second?: Second) => {
    setLast(accepted);
    void send(
      { measurement: measurement.entryId, accepted, reason },
      () => `${card.tag}: measurement ${accepted ? 'accepted' : 'rejected'}`,
      second,
    );
  };
  return (
    <Notice>
      {measurement.questions.map((q) => (
        <div key={q.code}>
          <strong>{q.words}.</strong> {q.because.words} <BecauseThis because={q.because} />
        </div>
      ))}
      <label className="small" style={{ display: 'block' }}>
        Reason to accept or reject
        <Entry
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          style={{
            width: '100%',
            font: 'inherit',
            padding: 6,
            background: 'var(--sheet)',
            color: 'var(--ink)',
            border: '1px solid var(--line)',
          }}
        />
      </label>
      <ProblemNote problem={problem} onSecond={(second) => judge(last, second)} />
      <Acts>
        <SendButton size="small" pending={pending} barred={barred} onSend={() => judge(true)}>
          Accept
        </SendButton>
        {barred === null && (
          <SendButton size="small" pending={pending} onSend={() => judge(false)}>
            Reject
          </SendButton>
        )}
      </Acts>
    </Notice>
  );
}
