'use client';
import { useRouter } from 'next/navigation';
import type { RackCard } from '@/crib/rack';
import { Choice, Entry } from '@/ui/kit/field';
import { useQuery } from '@/ui/screens/common/query';
import styles from './Rack.module.css';

interface RackAsked {
  find: string;
  machine: string | null;
  taper: string | null;
}

/** Whether an assembly hangs where somebody looks: all words in its tag, cutter, holder or jobs; its machine; its taper. */
export function answersTo(card: RackCard, { find, machine, taper }: RackAsked): boolean {
  const text = [
    card.tag,
    card.cutter.code,
    card.cutter.words,
    card.holder.code,
    ...card.ties.map((t) => t.job),
  ]
    .join(' ')
    .toLowerCase();
  return (
    find
      .toLowerCase()
      .split(/\s+/)
      .every((word) => text.includes(word)) &&
    (machine === null || card.ties.some((t) => t.machine === machine)) &&
    (taper === null || card.holder.taper === taper)
  );
}

const different = (list: readonly (string | null)[]): string[] =>
  [...new Set(list.flatMap((x) => x ?? []))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

/** Words, machine and taper: the address holds them. */
export function Finding({ all, asked }: { all: readonly RackCard[]; asked: RackAsked }) {
  const query = useQuery('rack');
  const router = useRouter();
  const machines = different(all.flatMap((a) => a.ties.map((t) => t.machine)));
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
        onChange={(e) =>
          // Only the address: what is shown follows it without the server.
          history.replaceState(null, '', query.href({ find: e.target.value.trim() || null }))
        }
      />
      {choose('machine', 'Machine', machines)}
      {choose('taper', 'Taper', tapers)}
    </div>
  );
}
