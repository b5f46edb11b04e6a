'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CUTTER_SYMBOLS, FAMILIES, FAMILY_NAMES, HOLDER_SYMBOLS, SUBSTRATES } from '@/core/cutters';
import type { ShopView } from '@/crib/shop';
import { VerbForm, type FieldSpec } from '../form';
import { useLengths } from '../shell';
import { Tag } from '../tag';
import { useQuery } from './query';
import { SET_UP } from './setUp';

/** A field for each symbol with its origin beside it. */
export const factFields = (symbols: Record<string, { words: string; kind: string }>): FieldSpec[] =>
  Object.entries(symbols).map(([symbol, s]) => ({
    name: `facts.${symbol}.value`,
    label: `${symbol} ${s.words}${s.kind === 'degree' ? ', degrees' : ''}`,
    kind: s.kind === 'length' ? 'length' : 'number',
    origin: `facts.${symbol}.origin`,
    wide: true,
  }));

export function AddCutterTag({ shop }: { shop: ShopView }) {
  const query = useQuery();
  const router = useRouter();
  return (
    <Tag over="A cutter" number="new" closeHref={query.href({ new: null })}>
      <p className="soft small">
        Blank is ‘not known’: what leans on it says so. An inch fraction such as 1/4 is read as inches.
      </p>
      <VerbForm
        verb="addCutter"
        submit="Add cutter"
        fields={[
          { name: 'code', label: 'Code here' },
          {
            name: 'family',
            label: 'Family',
            kind: 'choice',
            options: FAMILY_NAMES.map((f) => [f, FAMILIES[f].words] as const),
          },
          { name: 'maker', label: 'Maker', optional: true },
          {
            name: 'substrate',
            label: 'Substrate',
            kind: 'choice',
            options: SUBSTRATES.map((s) => [s, s] as const),
            optional: true,
          },
          {
            name: 'centreCutting',
            label: 'Centre cutting',
            kind: 'choice',
            options: [
              ['yes', 'yes'],
              ['no', 'no'],
            ],
            optional: true,
          },
          { name: 'l1', label: 'Facts, each with where it came from', kind: 'legend' },
          ...factFields(CUTTER_SYMBOLS),
          { name: 'l2', label: 'Life', kind: 'legend' },
          {
            name: 'assumedLife.minutes',
            label: 'Assumed life, minutes in the cut',
            kind: 'number',
            origin: 'assumedLife.origin',
            wide: true,
            optional: true,
          },
          { name: 'l3', label: 'Bought from', kind: 'legend' },
          {
            name: 'supply.supplier',
            label: 'Supplier',
            kind: 'choice',
            options: shop.suppliers.map((s) => [s.code, s.name] as const),
            optional: true,
            add: SET_UP.supplier,
          },
          { name: 'supply.orderCode', label: 'Order code', optional: true },
          { name: 'supply.price', label: 'Price each', kind: 'number', optional: true },
          { name: 'supply.pack', label: 'Pack', kind: 'whole', optional: true },
        ]}
        shape={priceInCents}
        said={(d) => `${String(d.code)} added: receive it next`}
        onDone={(d) =>
          router.push(`/cutters?open=${encodeURIComponent(String(d.code))}&do=receive`, { scroll: false })
        }
      />
    </Tag>
  );
}

/** A price typed as 31.50 becomes integer cents; anything else is left for the door to refuse. */
export function priceInCents(input: Record<string, unknown>): Record<string, unknown> {
  const supply = input.supply as Record<string, unknown> | undefined;
  if (!supply || !('price' in supply)) return input;
  const { price, ...rest } = supply;
  const text = String(price).trim().replace(',', '.');
  const cents = /^\d+(\.\d{1,2})?$/.test(text) ? Math.round(Number(text) * 100) : price;
  return { ...input, supply: { ...rest, priceCents: cents } };
}

export function AddHolderTag() {
  const query = useQuery();
  const router = useRouter();
  const { unit: shownUnit } = useLengths();
  // As in the form: what is typed keeps the unit it was begun in.
  const [unit] = useState(shownUnit);
  const [segments, setSegments] = useState([{ length: '', upper: '', lower: '' }]);
  const set = (i: number, key: 'length' | 'upper' | 'lower', value: string) =>
    setSegments((s) => s.map((x, k) => (k === i ? { ...x, [key]: value } : x)));
  const sent = (text: string) => (unit === 'inch' && !/[a-z"]/i.test(text) ? `${text} in` : text);
  return (
    <Tag over="A holder" number="new" closeHref={query.href({ new: null })}>
      <VerbForm
        verb="addHolder"
        submit="Add holder"
        fields={[
          { name: 'code', label: 'Code here' },
          { name: 'taper', label: 'Taper' },
          { name: 'maker', label: 'Maker', optional: true, wide: true },
          { name: 'l1', label: 'Facts', kind: 'legend' },
          ...factFields(HOLDER_SYMBOLS),
        ]}
        shape={(input) => {
          const filled = segments.filter((s) => s.length || s.upper || s.lower);
          return filled.length
            ? {
                ...input,
                segments: filled.map((s) => ({
                  length: sent(s.length),
                  upper: sent(s.upper),
                  lower: sent(s.lower),
                })),
              }
            : input;
        }}
        said={(d) => `${String(d.code)} added: receive it next`}
        onDone={(d) =>
          router.push(`/cutters?open=${encodeURIComponent(String(d.code))}&do=receive`, { scroll: false })
        }
      >
        <fieldset style={{ border: 0, padding: 0, margin: '12px 0' }}>
          <legend style={{ fontWeight: 650 }}>Outline from the gauge line down</legend>
          {segments.map((s, i) => (
            <div className="pair" key={i} style={{ display: 'flex', gap: 6, marginTop: 4 }}>
              {(['length', 'upper', 'lower'] as const).map((key) => (
                <input
                  key={key}
                  aria-label={`Segment ${i + 1}, ${key === 'length' ? 'length' : `${key} diameter`}`}
                  placeholder={key === 'length' ? 'length' : `${key} Ø`}
                  value={s[key]}
                  onChange={(e) => set(i, key, e.target.value)}
                  className="fig"
                  style={{
                    width: '33%',
                    padding: 7,
                    background: 'var(--sheet)',
                    color: 'var(--ink)',
                    border: '1px solid var(--line)',
                  }}
                />
              ))}
            </div>
          ))}
          <button
            type="button"
            onClick={() => setSegments([...segments, { length: '', upper: '', lower: '' }])}
            style={{ marginTop: 6, font: 'inherit' }}
          >
            one more segment
          </button>
        </fieldset>
      </VerbForm>
    </Tag>
  );
}
