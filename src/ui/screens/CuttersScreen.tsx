'use client';
import { itemQuery, matchesItem } from '@/core/cutters';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ItemsView } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { Middle, useLengths } from '../shell';
import { AddCutterTag, AddHolderTag } from './addItems';
import { ItemTag } from './ItemTag';
import { useQuery } from './query';

/** Cutters and holders with what the shelf has of them. */
export function CuttersScreen({ view, shop }: { view: ItemsView; shop: ShopView }) {
  const query = useQuery();
  const { unit } = useLengths();
  const router = useRouter();
  const [words, setWords] = useState(query.get('q') ?? '');
  const [by, setBy] = useState<'code' | 'unused'>('code');
  const open = view.items.find((i) => i.code === query.get('open')) ?? null;
  const adding = query.get('new');
  const wanted = itemQuery(words, unit);
  const shown = view.items
    .filter((i) =>
      matchesItem(
        wanted,
        `${i.code} ${i.words} ${i.maker ?? ''} ${i.places.map((p) => p.place).join(' ')}`,
        new Map(i.facts.map((f) => [f.symbol, f.value])),
      ),
    )
    .sort((a, b) =>
      by === 'unused'
        ? a.unused - b.unused
        : a.kind.localeCompare(b.kind) || a.code.localeCompare(b.code, 'en', { numeric: true }),
    );
  const beside =
    adding === 'cutter' ? (
      <AddCutterTag shop={shop} />
    ) : adding === 'holder' ? (
      <AddHolderTag />
    ) : open ? (
      <ItemTag key={open.code} item={open} shop={shop} />
    ) : null;
  return (
    <Middle beside={beside}>
      <div className="head">
        <div>
          <h1>Cutters and holders</h1>
          <div className="soft">
            {view.items.length} items, {view.items.reduce((sum, i) => sum + i.unused, 0)} unused pieces on the
            shelves
          </div>
        </div>
        <div className="acts">
          <Button component={Link} href={query.href({ new: 'cutter', open: null })} scroll={false}>
            Add a cutter
          </Button>
          <Button component={Link} href={query.href({ new: 'holder', open: null })} scroll={false}>
            Add a holder
          </Button>
        </div>
      </div>
      {view.items.length === 0 ? (
        <div className="empty">
          Here stands every cutter and holder with its facts, each with where it came from, and how many are
          left. <Link href="/cutters?new=cutter">Add the first cutter</Link>.
        </div>
      ) : (
        <>
          <label className="small soft" style={{ display: 'block', marginBottom: 8 }}>
            Words to find, or DC 6..8, LCF&gt;20{' '}
            <input
              value={words}
              onChange={(e) => {
                setWords(e.target.value);
                history.replaceState(null, '', query.href({ q: e.target.value || null }));
              }}
              style={{
                font: 'inherit',
                padding: '6px 8px',
                width: 280,
                background: 'var(--sheet)',
                color: 'var(--ink)',
                border: '1px solid var(--line)',
              }}
            />
          </label>
          <table className="list">
            <thead>
              <tr>
                <th>
                  <button type="button" onClick={() => setBy('code')}>
                    Code{by === 'code' ? ' ▾' : ''}
                  </button>
                </th>
                <th>What it is</th>
                <th className="num">
                  <button type="button" onClick={() => setBy('unused')}>
                    Unused{by === 'unused' ? ' ▾' : ''}
                  </button>
                </th>
                <th className="num">In builds</th>
                <th>Where</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((i) => (
                <tr
                  key={i.code}
                  className={i === open ? 'open' : undefined}
                  onClick={() => router.push(query.href({ open: i.code, new: null }), { scroll: false })}
                  style={{ cursor: 'pointer' }}
                >
                  <td>
                    <Link
                      className="fig"
                      href={query.href({ open: i.code, new: null })}
                      scroll={false}
                      onClick={(e) => e.stopPropagation()}
                    >
                      {i.code}
                    </Link>
                  </td>
                  <td>
                    {i.words}
                    {i.pieces.some((p) => p.ended_entry_id && !p.grade) && (
                      <div className="small soft">
                        ○ {i.pieces.filter((p) => p.ended_entry_id && !p.grade).length} to grade
                      </div>
                    )}
                  </td>
                  <td className="num fig">
                    {i.unused === 0 ? <span style={{ color: 'var(--rust)' }}>none</span> : i.unused}
                  </td>
                  <td className="num fig">{i.inBuilds || '·'}</td>
                  <td className="small soft">
                    {i.places
                      .filter((p) => p.place_kind !== 'build')
                      .map((p) => p.place)
                      .join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {shown.length === 0 && (
            <p className="soft">Nothing fits all of this. {view.items.length} items are here.</p>
          )}
        </>
      )}
    </Middle>
  );
}
