'use client';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { SavedView } from '@/crib/stock';
import { VerbForm } from '../form';

/** What a view keeps of the address: the question and the columns, not what is open or which page. */
const KEPT = ['q', 'kind', 'place', 'sort', 'cols', 'unit'];

/** Questions that are asked again and again, by name; the address holds each, so it can also be sent to somebody. */
export function SavedViews({ saved }: { saved: SavedView[] }) {
  const search = useSearchParams();
  const [naming, setNaming] = useState(false);
  const now = new URLSearchParams([...search].filter(([name, value]) => KEPT.includes(name) && value !== ''));
  now.sort();
  const text = now.toString();
  if (!saved.length && !text) return null;
  return (
    <div className="views">
      {saved.map((v) => (
        <Link
          key={v.name}
          href={`/cutters?${v.address}`}
          aria-current={v.address === text ? 'true' : undefined}
        >
          {v.name}
        </Link>
      ))}
      {text && !saved.some((v) => v.address === text) && !naming && (
        <button type="button" className="link" onClick={() => setNaming(true)}>
          keep this question
        </button>
      )}
      {naming && (
        <VerbForm
          verb="saveView"
          submit="Keep"
          fixed={{ address: text }}
          fields={[{ name: 'name', label: 'Call it' }]}
          said={(d) => `kept as ${String(d.name)}`}
          onDone={() => setNaming(false)}
        />
      )}
    </div>
  );
}
