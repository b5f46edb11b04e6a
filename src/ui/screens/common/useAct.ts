'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ProblemDocument } from '@/crib/door';
import { post } from '@/ui/shell';

/** Something around signing, posted: pending, problem, and the answer to whoever asked. */
export function useAct<Answer = object>(path: string) {
  const router = useRouter();
  const [pending, setPending] = useState(false);
  const [problem, setProblem] = useState<ProblemDocument | null>(null);
  const act = async (input: object): Promise<Answer | null> => {
    if (pending) return null;
    setPending(true);
    const sent = await post<Answer>(`/api/v1/${path}`, input);
    setPending(false);
    setProblem(sent.ok ? null : sent.problem);
    if (!sent.ok) return null;
    router.refresh();
    return sent.value;
  };
  return { act, pending, problem };
}
