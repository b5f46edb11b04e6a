'use client';
import { createContext, use, type ReactNode } from 'react';
import { Notice } from '@/ui/kit/page';

const Wrong = createContext<string | null>(null);

/** A screen whose address was read: what of it could not be is said at its head. */
export function Asked({ wrong, children }: { wrong: string | null; children: ReactNode }) {
  return <Wrong value={wrong}>{children}</Wrong>;
}

/** What of the address could not be read. */
export function WrongAddress() {
  const wrong = use(Wrong);
  return wrong === null ? null : (
    <Notice kind="stop" now>
      <strong>{wrong}.</strong> That part of the address was left out; what is shown is the rest.
    </Notice>
  );
}
