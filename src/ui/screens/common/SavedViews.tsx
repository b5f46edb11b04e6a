'use client';
import Button from '@mui/material/Button';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { SavedView } from '@/crib/catalogue';
import { VerbForm } from '@/ui/kit/form';
import { Views } from '@/ui/kit/page';
import styles from './SavedViews.module.css';

/** What a view keeps of the address: the question and the columns, not what is open or which page. */
const KEPT = ['show', 'q', 'kind', 'place', 'lies', 'owner', 'sort', 'cols', 'unit'];
/** The part of an address that says which table is asked. */
const OF_STOCK = 'show=stock';

/** Questions that are asked again and again, by name; the address holds each, so it can also be sent to somebody. */
export function SavedViews({
  saved: all,
  of = '/cutters',
}: {
  saved: SavedView[];
  of?: '/cutters' | '/places';
}) {
  const saved = all.filter((v) => v.address.split('&').includes(OF_STOCK) === (of === '/places'));
  const search = useSearchParams();
  const [naming, setNaming] = useState(false);
  const now = new URLSearchParams([...search].filter(([name, value]) => KEPT.includes(name) && value !== ''));
  now.sort();
  const text = now.toString();
  // The table by itself is no question yet.
  const asks = text !== '' && text !== OF_STOCK;
  if (!saved.length && !asks) return null;
  return (
    <div className={styles.saved}>
      <Views
        label="Questions kept"
        views={saved.map((v) => ({ words: v.name, href: `${of}?${v.address}`, shown: v.address === text }))}
      />
      {asks && !saved.some((v) => v.address === text) && !naming && (
        <Button variant="text" onClick={() => setNaming(true)}>
          keep this question
        </Button>
      )}
      {naming && (
        <VerbForm
          verb="saveView"
          submit="Keep"
          fixed={{ address: text }}
          fields={[{ name: 'name', label: 'Call it' }]}
          said={(d) => `kept as ${d.name}`}
          onDone={() => setNaming(false)}
        />
      )}
    </div>
  );
}
