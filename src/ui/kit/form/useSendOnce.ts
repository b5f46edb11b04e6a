'use client';
import { useRef, useState } from 'react';
import { v4 as newId } from 'uuid';
import type { ProblemDocument } from '@/crib/door';
import { whyLost } from '@/ui/shell';

/** What came of a send, in any of its shapes. */
type Sent = { ok: true } | { ok: false; problem: ProblemDocument };

/**
 * Sends one form so that it is recorded once: its id stays the same, through refusals, lost answers and further tries,
 * until one was recorded. A send that begins while another is under way is none (null); an answer that never came is
 * LOST, and the same id sent again gives the first answer.
 */
export function useSendOnce() {
  const id = useRef<string | null>(null);
  const busy = useRef(false);
  const [pending, setPending] = useState(false);
  const once = async <S extends Sent>(
    send: (formId: string) => Promise<S>,
  ): Promise<S | { ok: false; problem: ProblemDocument } | null> => {
    if (busy.current) return null;
    busy.current = true;
    setPending(true);
    id.current ??= newId();
    try {
      const answer = await send(id.current);
      if (answer.ok) id.current = null;
      return answer;
    } catch {
      return { ok: false, problem: await whyLost() };
    } finally {
      busy.current = false;
      setPending(false);
    }
  };
  return { once, pending };
}
