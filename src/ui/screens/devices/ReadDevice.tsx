'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { LineRead, Reading } from '@/core/devices';
import type { ProblemDocument } from '@/crib/door';
import { Acts, Notice } from '@/ui/kit/page';
import { post } from '@/ui/shell';

const SAID = {
  garbled: 'The line came garbled and is not taken',
  refused: 'The device refuses',
  'out of range': 'That is beyond what it can measure',
} as const;

/** A button that takes one reading of a device, and says what came where it was none. */
export function ReadDevice({
  device,
  tag,
  block,
  onReading,
}: {
  device: string;
  /** null: its master is in it. */
  tag: string | null;
  /** Of a height stand: the block its dial stands against. */
  block?: string;
  onReading: (reading: Reading) => void;
}) {
  const [pending, setPending] = useState(false);
  const [wrong, setWrong] = useState<{ words: string; wayOut: string | null } | null>(null);
  const read = async (again: boolean) => {
    if (pending) return;
    setPending(true);
    const answer = await post<LineRead>('/api/v1/devices/read', {
      device,
      ...(again ? { again } : tag === null ? {} : { tag }),
      ...(block ? { block } : {}),
    });
    setPending(false);
    if (!answer.ok) {
      const problem: ProblemDocument | null = typeof answer.problem === 'object' ? answer.problem : null;
      return setWrong({ words: problem?.detail ?? 'No answer came', wayOut: problem?.way_out ?? null });
    }
    if ('fault' in answer.value)
      return setWrong({ words: `${SAID[answer.value.fault]}: “${answer.value.words}”`, wayOut: null });
    setWrong(null);
    onReading(answer.value.reading);
  };
  return (
    <>
      <Acts>
        <Button variant="contained" aria-disabled={pending} onClick={() => void read(false)}>
          {pending ? 'Reading …' : `Read from ${device}`}
        </Button>
      </Acts>
      {wrong && (
        <Notice kind="stop" now>
          {wrong.words}. {wrong.wayOut}
          <Acts>
            <Button size="small" aria-disabled={pending} onClick={() => void read(true)}>
              Its last reading again
            </Button>
          </Acts>
        </Notice>
      )}
    </>
  );
}
