'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';

/** The tag beside: whatever is opened anywhere opens as one of these. */
export function Tag({
  over,
  number,
  words,
  closeHref,
  children,
}: {
  over?: ReactNode;
  number: ReactNode;
  words?: ReactNode;
  closeHref?: string;
  children?: ReactNode;
}) {
  return (
    <section className="tag">
      <span className="hole" aria-hidden="true" />
      {closeHref && (
        <Link className="close small" href={closeHref} scroll={false}>
          put back
        </Link>
      )}
      {over && <div className="over">{over}</div>}
      <h2 className="no">{number}</h2>
      {words && <div>{words}</div>}
      {children}
    </section>
  );
}
