'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import type { RackAsked } from '@/core/assemblies';
import { Choice, Entry } from '@/ui/kit/field';
import { useQuery } from '@/ui/screens/common/query';
import styles from './Rack.module.css';

/** Words, machine and taper: the address holds them. */
export function Finding({
  tapers,
  asked,
  machines,
  more,
}: {
  tapers: readonly string[];
  asked: RackAsked & { machine: string | null };
  machines: readonly string[];
  /** More answer than came: the server looks through the rest. */
  more: boolean;
}) {
  const query = useQuery('rack');
  const router = useRouter();
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(waiting.current), []);
  // What was said here and the address does not hold yet: an address made from the last one drawn would turn it back.
  const said = useRef<{ [N in 'find' | 'machine' | 'taper']?: string | null }>({});
  const hrefWith = (name: 'find' | 'machine' | 'taper', value: string | null) =>
    query.href((said.current = { ...said.current, [name]: value }));
  const { find, machine, taper } = asked;
  useEffect(() => {
    const held: Record<string, string | null | undefined> = { find, machine, taper };
    if (Object.entries(said.current).every(([name, value]) => (held[name] || null) === value))
      said.current = {};
  }, [find, machine, taper]);
  const choose = (name: 'machine' | 'taper', words: string, options: readonly string[]) =>
    options.length > 1 && (
      <Choice
        aria-label={words}
        value={asked[name] ?? ''}
        onChange={(e) => {
          // This one asks the server as well: words that wait to would turn it back.
          clearTimeout(waiting.current);
          router.replace(hrefWith(name, e.target.value || null), { scroll: false });
        }}
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
          // Only the address: what is shown follows it without the server, where all of it is here.
          history.replaceState(null, '', hrefWith('find', e.target.value.trim() || null));
          clearTimeout(waiting.current);
          if (!more && !asked.find) return;
          waiting.current = setTimeout(
            () => router.replace(`${location.pathname}${location.search}`, { scroll: false }),
            250,
          );
        }}
      />
      {choose('machine', 'Machine', machines)}
      {choose('taper', 'Taper', tapers)}
    </div>
  );
}
