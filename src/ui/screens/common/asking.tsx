'use client';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { ITEM_KINDS, KINDS } from '@/core/cutters';
import { Choice, Entry } from '@/ui/kit/field';
import { useLengths } from '@/ui/shell';
import styles from './asking.module.css';
import { useQuery } from './query';

/** A question to a table. */
export const Asking = ({ children }: { children: ReactNode }) => (
  <div className={styles.asking}>{children}</div>
);

/** What is looked for in words and ranges. The address follows the hand at once, the lines a moment later. */
export function AskWords({ label, hint }: { label: string; hint?: string }) {
  const query = useQuery<'cutters' | 'places'>('cutters');
  const { unit } = useLengths();
  const inAddress = query.get('q') ?? '';
  const [words, setWords] = useState(inAddress);
  // What this field put into the address comes back from it a moment later, when somebody may have typed on.
  const own = useRef<string[]>([]);
  useEffect(() => {
    const at = own.current.indexOf(inAddress);
    if (at >= 0) own.current = own.current.slice(at + 1);
    else {
      own.current = [];
      setWords(inAddress);
    }
  }, [inAddress]);
  const ask = (typed: string) => {
    setWords(typed);
    own.current.push(typed);
    history.replaceState(
      null,
      '',
      query.href({
        q: typed || null,
        unit: unit === 'inch' && typed ? 'inch' : null,
        after: null,
        before: null,
      }),
    );
  };
  return (
    <label>
      {label} <Entry value={words} placeholder={hint} onChange={(e) => ask(e.target.value)} />
    </label>
  );
}

/** One choice that narrows a question; the first option is 'whatever'. `to`: the address where it is chosen. */
export function AskOne({
  label,
  value,
  any,
  options,
  to,
}: {
  label: string;
  value: string | null;
  any: string;
  options: readonly (readonly [value: string, words: string])[];
  to: (chosen: string | null) => string;
}) {
  const router = useRouter();
  return (
    <label>
      {label}{' '}
      <Choice
        value={value ?? ''}
        onChange={(e) => router.push(to(e.target.value || null), { scroll: false })}
      >
        <option value="">{any}</option>
        {options.map(([of, words]) => (
          <option key={of} value={of}>
            {words}
          </option>
        ))}
      </Choice>
    </label>
  );
}

/** The same of what the catalogue and the stock are asked. */
export function AskChoice({
  name,
  ...props
}: {
  label: string;
  name: 'kind' | 'place' | 'lies' | 'owner';
  any: string;
  options: readonly (readonly [value: string, words: string])[];
}) {
  const query = useQuery('places');
  return (
    <AskOne
      {...props}
      value={query.get(name)}
      to={(chosen) => query.href({ [name]: chosen, after: null, before: null })}
    />
  );
}

export const KIND_OPTIONS = ITEM_KINDS.map((k) => [k, KINDS[k].plural] as const);
