'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ProblemDocument, Recorded } from '@/crib/door';
import type { VerbAnswer, VerbInput, VerbName } from '@/crib/verbs';
import { LOST, useBarred, useSurroundings } from '@/ui/shell';
import type { Second } from './SecondPerson';
import { useSendOnce } from './useSendOnce';

/** What a verb answered, and the entry it is kept under. */
export type DoneOf<N extends VerbName> = VerbAnswer<N> & Recorded;
/** The door answers in the verb's own words: what it says of itself there is what comes. */
export const answered = <N extends VerbName>(done: Recorded) => done as DoneOf<N>;

/** A verb behind a button: pending, problem, who may where whoever presses it may not, and recorded once however often it is sent. */
export function useVerb<N extends VerbName>(verb: N) {
  const { perform, say } = useSurroundings();
  const barred = useBarred(verb);
  const router = useRouter();
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const send = async (
    input: VerbInput<N>,
    said: (done: DoneOf<N>) => string,
    /** Somebody else who confirms it, where the shop wants two. */
    second?: Second,
  ): Promise<DoneOf<N> | null> => {
    const answer = await once((formId) => perform(verb, { ...input, formId, ...(second ? { second } : {}) }));
    if (!answer) return null;
    if (!answer.ok) {
      if (answer.problem === LOST) say('no answer came: send it again, it is recorded only once');
      else setProblem(answer.problem);
      return null;
    }
    setProblem(null);
    const done = answered<N>(answer.done);
    say(said(done));
    router.refresh();
    return done;
  };
  return { send, problem, pending, barred };
}
