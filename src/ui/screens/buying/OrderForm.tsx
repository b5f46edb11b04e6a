'use client';
import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { type AskedLine, orderTotal } from '@/core/buying';
import { addDays, money, parseNumber } from '@/core/units';
import type { BuyingLine } from '@/crib/buying';
import type { OneItemView } from '@/crib/catalogue';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';
import { ask } from '@/ui/screens/common/ask';
import { items } from '@/ui/screens/common/found';

type Supply = NonNullable<BuyingLine['supply']>;
/** A line of an order that is being written: of a known thing, or one that is still looked for. */
export interface OrderRow {
  item: string | null;
  start: string;
  supply: Supply | null;
}

/** The first line's fields have the verb's own names, the others lie in 'more'. */
const at = (i: number, name: 'item' | 'quantity') => (i === 0 ? name : `more.${i - 1}.${name}`);

const howMany = (item: string | null, i: number, of: number): string => {
  if (of === 1) return 'How many';
  return item === null ? `How many in line ${i + 1}` : `How many of ${item}`;
};

/** Whom a thing is bought from, and on what terms, in one line. */
const termsWords = (s: Supply): string =>
  [
    `${s.supplier} ${s.orderCode}`,
    s.priceCents === null ? 'no price' : `${money(s.priceCents)} each`,
    s.pack > 1 && `packs of ${s.pack}`,
    s.minimum > 1 && `at least ${s.minimum}`,
  ]
    .filter(Boolean)
    .join(', ');

/** Records an order: what it comes to and what the supplier would send back stand there before it is placed. */
export function OrderForm({ rows, today }: { rows: OrderRow[]; today: string }) {
  const [lines, setLines] = useState(rows);
  /** What each line looks for now: an answer about another thing comes too late. */
  const wanted = useRef<Record<number, string | null>>({});
  const look = (i: number, code: string | null) => {
    const put = (supply: Supply | null) =>
      setLines((all) => all.map((row, n) => (n === i ? { ...row, supply } : row)));
    wanted.current[i] = code;
    put(null);
    if (code !== null)
      void supplyOf(code).then((supply) => {
        if (wanted.current[i] === code) put(supply);
      });
  };
  const lead = rows[0]?.supply?.leadTimeDays ?? null;
  const fields: FieldSpec[] = [
    ...lines.flatMap((row, i): FieldSpec[] => [
      ...(row.item === null
        ? [
            {
              name: at(i, 'item'),
              label: lines.length === 1 ? 'What' : `What in line ${i + 1}`,
              kind: 'search' as const,
              wide: true,
              search: items,
              onPick: (found: { value: string } | null) => look(i, found?.value ?? null),
            },
          ]
        : []),
      {
        name: at(i, 'quantity'),
        label: howMany(row.item, i, lines.length),
        kind: 'whole',
        start: row.start,
        wide: lines.length > 1,
        help: row.supply ? termsWords(row.supply) : undefined,
      },
    ]),
    {
      name: 'promised',
      label: 'Promised for',
      kind: 'day',
      start: lead === null ? '' : addDays(today, lead),
    },
  ];
  return (
    <>
      <VerbForm
        verb="placeOrder"
        submit="Ordered"
        fields={fields}
        shape={(input) => shaped(input, lines)}
        below={(texts) => <Total lines={asked(texts, lines)} />}
        said={(d) => `${d.number} recorded: ${d.item}`}
      />
      {rows.every((r) => r.item === null) && lines.length < 30 && (
        <Acts>
          <Button
            variant="text"
            onClick={() => setLines((all) => [...all, { item: null, start: '', supply: null }])}
          >
            One more line of the same order
          </Button>
        </Acts>
      )}
    </>
  );
}

/** What stands in the form as lines; those without a count yet are left out. */
const asked = (
  texts: Readonly<Record<string, string | undefined>>,
  lines: readonly OrderRow[],
): AskedLine[] =>
  lines.flatMap((row, i) => {
    const quantity = parseNumber(texts[at(i, 'quantity')] ?? '');
    const item = row.item ?? texts[at(i, 'item')];
    return quantity !== null && quantity > 0 && item ? [{ item, quantity, supply: row.supply }] : [];
  });

/** The verb's input: known things are put in, lines of which nothing was said are left out. */
function shaped(input: Record<string, unknown>, lines: readonly OrderRow[]): Record<string, unknown> {
  const { more, ...rest } = input;
  const known = (row: OrderRow | undefined) => (row?.item == null ? {} : { item: row.item });
  const further = lines.slice(1).flatMap((row, i) => {
    const said = within(more, String(i));
    return isRecord(said) ? [{ ...known(row), ...said }] : [];
  });
  return { ...rest, ...known(lines[0]), ...(further.length ? { more: further } : {}) };
}
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;
const within = (value: unknown, name: string): unknown => (isRecord(value) ? value[name] : undefined);

/** Who supplies it and on what terms; null: nobody stated it, or no answer came, and the door will say so. */
const supplyOf = (code: string): Promise<Supply | null> =>
  ask<OneItemView>('item', { code }).then(
    ({ item }) => item?.supply ?? null,
    () => null,
  );

function Total({ lines }: { lines: readonly AskedLine[] }) {
  if (lines.length === 0) return null;
  const { words, against } = orderTotal(lines);
  return (
    <>
      <p>
        Total <span className="fig">{words}</span>
      </p>
      {against.length > 0 && <Notice kind="question">{against.join('. ')}.</Notice>}
    </>
  );
}
