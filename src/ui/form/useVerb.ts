'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Done, ProblemDocument } from '@/crib/door';
import { useSurroundings } from '../shell';
import { LOST } from './post';
import { useSendOnce } from './useSendOnce';

/** A verb behind a button: pending, problem, and recorded once however often it is sent. */
export function useVerb(verb: string) {
  const { perform, say } = useSurroundings();
  const router = useRouter();
  const { once, pending } = useSendOnce();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const send = async (input: Record<string, unknown>, said: (done: Done) => string): Promise<Done | null> => {
    const answer = await once((formId) => perform(verb, { ...input, formId }));
    if (!answer) return null;
    if (!answer.ok) {
      if (answer.problem === LOST) say('no answer came: send it again, it is recorded only once');
      else setProblem(answer.problem);
      return null;
    }
    setProblem(null);
    say(said(answer.done));
    router.refresh();
    return answer.done;
  };
  return { send, problem, pending };
}
