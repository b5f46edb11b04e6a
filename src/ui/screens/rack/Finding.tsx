'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { RackAsked } from '@/core/assemblies';
import type { RackCard } from '@/crib/rack';
import { Choice, Entry } from '@/ui/kit/field';
import { useQuery } from '@/ui/screens/common/query';
import styles from './Rack.module.css';

const different = (list: readonly (string | null)[]): string[] =>
  [...new Set(list.flatMap((x) => x ?? []))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

/** Words, machine and taper: the address holds them. */
export function Finding({
  all,
  asked,
  machines,
  more,
}: {
  all: readonly RackCard[];
  asked: RackAsked & { machine: string | null };
  machines: readonly string[];
  /** More answer than came: the server looks through the rest. */
  more: boolean;
}) {
  const query = useQuery('rack');
  const router = useRouter();
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(waiting.current), []);
  const tapers = different(all.map((a) => a.holder.taper));
  const choose = (name: 'machine' | 'taper', words: string, options: readonly string[]) =>
    options.length > 1 && (
      <Choice
        aria-label={words}
        value={asked[name] ?? ''}
        onChange={(e) => router.replace(query.href({ [name]: e.target.value || null }), { scroll: false })}
      >
        <option value="">{words}: all</option>
        {options.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </Choice>
    );
  return (
    <div className={styles.finding}>
      <Entry
        aria-label="Find on the rack"
        placeholder="tag, cutter, holder or job"
        defaultValue={asked.find}
        onChange={(e) => {
          const href = query.href({ find: e.target.value.trim() || null });
          // Only the address: what is shown follows it without the server, where all of it is here.
          history.replaceState(null, '', href);
          clearTimeout(waiting.current);
          if (more || asked.find)
            waiting.current = setTimeout(() => router.replace(href, { scroll: false }), 250);
        }}
      />
      {choose('machine', 'Machine', machines)}
      {choose('taper', 'Taper', tapers)}
    </div>
  );
}
