'use client';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useState } from 'react';
import { counted } from '@/core/units';
import type { Far } from '@/crib/door';

/** How often it is asked, ms; and how long an answer may take before it is said that others wait too. */
const [ASKED_MS, WAITS_MS] = [700, 1500];

const STEPS: Record<Far['step'], string> = {
  reading: 'Reading the list',
  comparing: 'Comparing it with the catalogue',
  'laying down': 'Laying it down',
  entering: 'Entering it: others can read meanwhile, what they enter waits',
};
/** What changes of items that are here is entered at once, and nobody is answered. */
const AT_ONCE = 'Entering all of it at once: whoever asks meanwhile waits for some seconds';

/** Asks how far the work has come that was sent with an id, until it is taken off the screen. */
function useHowFar(id: string): { far: Far | null; waits: boolean } {
  const [far, setFar] = useState<Far | null>(null);
  const [waits, setWaits] = useState(false);
  useEffect(() => {
    const gone = new AbortController();
    const ask = async () => {
      const late = setTimeout(() => setWaits(true), WAITS_MS);
      try {
        const answer = await fetch(`/api/v1/progress?of=${id}`, { signal: gone.signal });
        // The API answers so, which its document says.
        const said: Far | null = await answer.json();
        if (answer.ok) setFar(said);
      } catch {
        // An answer that was lost says nothing; the next one does.
      }
      clearTimeout(late);
      if (gone.signal.aborted) return;
      setWaits(false);
      setTimeout(() => !gone.signal.aborted && void ask(), ASKED_MS);
    };
    void ask();
    return () => gone.abort();
  }, [id]);
  return { far, waits };
}

/** How far a list has come that is read or brought in, and what ends it where it can be ended. */
export function HowFar({ id, begins, onStop }: { id: string; begins: string; onStop?: () => void }) {
  const { far, waits } = useHowFar(id);
  const atOnce = waits && (far?.step === 'laying down' || far?.step === 'entering');
  const words = atOnce ? AT_ONCE : far ? STEPS[far.step] : begins;
  return (
    <div style={{ maxWidth: '34rem' }}>
      <p className="small">
        <span role="status">{words} …</span>{' '}
        {far && !atOnce && (
          <span className="fig">
            {far.of === null
              ? `${counted(far.done)} rows`
              : `${counted(far.done)} of ${counted(far.of)} rows`}
          </span>
        )}{' '}
        {onStop && (
          <Button variant="text" onClick={onStop}>
            stop
          </Button>
        )}
      </p>
      <LinearProgress
        // Each step has a bar of its own: one that grows or shrinks into the next would show a false share on the way.
        key={far?.of && !atOnce ? far.step : 'no share'}
        aria-label={words}
        {...(far?.of && !atOnce
          ? { variant: 'determinate' as const, value: (100 * far.done) / far.of }
          : { variant: 'indeterminate' as const })}
      />
    </div>
  );
}
