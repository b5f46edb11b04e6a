'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Entry, Field, Fields } from '@/ui/kit/field';
import { Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';

/** Asks which edges cut a part: its job, and its number as the parts were logged. */
export function WhichPart() {
  const query = useQuery('held');
  const router = useRouter();
  const [job, setJob] = useState(query.get('job') ?? '');
  const [part, setPart] = useState(query.get('part') ?? '');
  const [wrong, setWrong] = useState<string | null>(null);
  const ask = () => {
    if (!job.trim()) return setWrong('Of which job? Type its number.');
    if (!/^\d{1,8}$/.test(part.trim()) || Number(part) < 1)
      return setWrong(`“${part}” is no part: whole numbers from 1, counted in the order they were logged.`);
    setWrong(null);
    router.push(query.href({ job: job.trim(), op: null, part: Number(part), open: null }), { scroll: false });
  };
  return (
    <>
      <h2>A part was complained of?</h2>
      <Fields>
        <Field>
          <label htmlFor="ofJob">Job</label>
          <Entry id="ofJob" className="fig" value={job} onChange={(e) => setJob(e.target.value)} />
        </Field>
        <Field>
          <label htmlFor="partNumber">Part number</label>
          <Entry
            id="partNumber"
            className="fig"
            inputMode="numeric"
            value={part}
            onChange={(e) => setPart(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && ask()}
          />
        </Field>
        <Field>
          <Button onClick={ask}>Which edges cut it?</Button>
        </Field>
      </Fields>
      {wrong && <Notice kind="stop">{wrong}</Notice>}
    </>
  );
}
