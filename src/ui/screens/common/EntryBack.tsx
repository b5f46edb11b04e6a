'use client';
import { ProblemNote, SendButton, useVerb } from '@/ui/kit/form';

/** Takes an entry back where it is shown: a counter-entry, refused by naming the later entry that leans on it. */
export function EntryBack({ entry, what }: { entry: number; what: string }) {
  const { send, problem, pending, barred } = useVerb('counterEntry');
  // Who takes nothing back has nothing to press.
  if (barred !== null) return null;
  return (
    <>
      <SendButton
        variant="text"
        size="small"
        aria-label={`Take back ${what}`}
        pending={pending}
        onSend={() => void send({ counters: entry }, () => `took back ${what}`)}
      >
        take back
      </SendButton>
      <ProblemNote problem={problem} />
    </>
  );
}
