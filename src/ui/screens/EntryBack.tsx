'use client';
import Button from '@mui/material/Button';
import { ProblemNote, useVerb } from '../form';

/** Takes an entry back where it is shown: a counter-entry, refused by naming the later entry that leans on it. */
export function EntryBack({ entry, what }: { entry: number; what: string }) {
  const { send, problem, pending } = useVerb('counterEntry');
  return (
    <>
      <Button
        variant="text"
        size="small"
        aria-label={`Take back ${what}`}
        aria-disabled={pending}
        onClick={() => void send({ counters: entry }, () => `took back ${what}`)}
      >
        take back
      </Button>
      <ProblemNote problem={problem} />
    </>
  );
}
