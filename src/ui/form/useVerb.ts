'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { Done, ProblemDocument } from '@/crib/door';
import { useSurroundings } from '../shell';

/** A verb behind a button: pending, problem, and the same form id until an answer came. */
export function useVerb(verb: string) {
  const { perform, say } = useSurroundings();
  const router = useRouter();
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const [pending, setPending] = useState(false);
  const [kept, setKept] = useState<string | null>(null);
  const send = async (input: Record<string, unknown>, said: (done: Done) => string): Promise<Done | null> => {
    if (pending) return null;
    setPending(true);
    const formId = kept ?? newId();
    setKept(formId);
    try {
      const answer = await perform(verb, { ...input, formId });
      setKept(null);
      setProblem(answer.ok ? null : answer.problem);
      if (!answer.ok) return null;
      say(said(answer.done));
      router.refresh();
      return answer.done;
    } catch {
      say('no answer came: send it again, it is recorded only once');
      return null;
    } finally {
      setPending(false);
    }
  };
  return { send, problem, pending };
}
