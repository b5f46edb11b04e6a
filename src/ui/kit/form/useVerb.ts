'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ProblemDocument, Recorded } from '@/crib/door';
import type { VerbAnswer, VerbInput, VerbName } from '@/crib/verbs';
import { useSurroundings } from '@/ui/shell';
import { LOST } from './post';
import { useSendOnce } from './useSendOnce';

/** A verb behind a button: pending, problem, and recorded once however often it is sent. */
export function useVerb<N extends VerbName>(verb: N) {
  const { perform, say } = useSurroundings();
  const router = useRouter();
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const send = async (
    input: VerbInput<N>,
    said: (done: VerbAnswer<N> & Recorded) => string,
  ): Promise<(VerbAnswer<N> & Recorded) | null> => {
    const answer = await once((formId) => perform(verb, { ...(input as object), formId }));
    if (!answer) return null;
    if (!answer.ok) {
      if (answer.problem === LOST) say('no answer came: send it again, it is recorded only once');
      else setProblem(answer.problem);
      return null;
    }
    setProblem(null);
    // The door answers in the verb's own words.
    const done = answer.done as Recorded as VerbAnswer<N> & Recorded;
    say(said(done));
    router.refresh();
    return done;
  };
  return { send, problem, pending };
}
