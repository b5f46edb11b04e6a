'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useState } from 'react';
import { orderTotal } from '@/core/buying';
import { linkTo } from '@/core/links';
import { first } from '@/core/sure';
import { money } from '@/core/units';
import type { BuyingLine, BuyingView } from '@/crib/buying';
import type { ShopView } from '@/crib/shop';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { PickOne } from '@/ui/kit/field';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay } from '@/ui/shell';
import { OrderForm, type OrderRow } from './OrderForm';
import { placeOptions } from '@/ui/screens/common/options';

const toOrder = (l: BuyingLine): boolean => l.proposal.say === 'order' && l.proposal.quantity > 0;
const rowOf = ({ item, proposal: p, supply }: BuyingLine): OrderRow => ({
  item: item.code,
  start: p.say === 'order' && p.quantity > 0 ? String(p.quantity) : '',
  supply,
});

/** What is proposed of one thing, why, and that it was ordered. */
export function LineTag({
  line,
  lines,
  today,
}: {
  line: BuyingLine;
  lines: readonly BuyingLine[];
  today: string;
}) {
  const query = useQuery('buying');
  const { proposal: p, supply } = line;
  const [together, setTogether] = useState(false);
  const own = rowOf(line);
  const others = lines
    .filter((l) => l !== line && toOrder(l) && l.supply?.supplier === supply?.supplier)
    .map(rowOf);
  return (
    <Tag
      over="What to buy"
      number={line.item.code}
      words={line.item.words}
      closeHref={query.href({ open: null })}
    >
      <Rows>
        {p.say === 'order' && (
          <>
            <Row name="Order" big>
              {p.quantity}
            </Row>
            <Row name="by">{p.orderBy ? shortDay(p.orderBy) : 'lead time not known'}</Row>
            <Row name="Short by">{p.short}</Row>
          </>
        )}
        {supply && (
          <Row name={supply.supplier} note={supply.orderCode}>
            {supply.priceCents === null ? 'no price' : money(supply.priceCents)}
          </Row>
        )}
      </Rows>
      <p>
        {p.because.words}{' '}
        {p.say === 'cannot say' && (
          <Link href={linkTo('cutters', { open: line.item.code, do: 'facts', fact: 'life' })}>
            Say how long it lasts
          </Link>
        )}
      </p>
      <BecauseThis because={p.because} />
      {supply ? (
        <>
          <h2>Ordered</h2>
          <p className="soft small">Order it the way the supplier takes orders; record here that you did.</p>
          <OrderForm
            key={together ? 'together' : 'alone'}
            rows={together ? [own, ...others] : [own]}
            today={today}
          />
          {others.length > 0 && (
            <Acts>
              <Button variant="text" onClick={() => setTogether(!together)}>
                {together
                  ? `Only ${line.item.code}`
                  : `With what else is to order from ${supply.supplier}: ${others.map((r) => r.item).join(', ')}`}
              </Button>
            </Acts>
          )}
        </>
      ) : (
        <Notice>
          No supplier in use is known.{' '}
          <Link href={linkTo('cutters', { open: line.item.code, do: 'facts', fact: 'supply' })}>
            State it
          </Link>{' '}
          first.
        </Notice>
      )}
    </Tag>
  );
}

/** One order: its lines, when each is promised, what came of it. */
export function OrderTag({ lines, shop }: { lines: BuyingView['orders']; shop: ShopView }) {
  const query = useQuery('buying');
  const order = first(lines);
  const open = lines.filter((l) => l.received < l.quantity);
  const [picked, setPicked] = useState<number | null>(null);
  const came = open.find((l) => l.line === picked) ?? open[0];
  const { words } = orderTotal(
    lines.map((l) => ({ ...l, supply: { priceCents: l.priceCents, pack: 1, minimum: 1 } })),
  );
  return (
    <Tag
      over={`ordered from ${order.supplier} by ${order.who}`}
      number={order.number}
      words={lines.map((l) => l.item).join(', ')}
      closeHref={query.href({ order: null })}
    >
      {lines.length > 1 ? <SeveralLines lines={lines} /> : <OneLine line={order} />}
      <Rows>
        <Row name="Total">{words}</Row>
      </Rows>
      {lines.length > 1 &&
        lines.map((l) => <BecauseThis key={l.line} because={l.because} label={`${l.item} because`} />)}
      {came && (
        <>
          <h2>Promised anew</h2>
          <VerbForm
            verb="restatePromise"
            fixed={{ number: order.number }}
            submit="Promised"
            fields={[
              ...(open.length > 1 ? [lineField(open, 'the whole order')] : []),
              { name: 'promised', label: 'The supplier says now', kind: 'day' },
            ]}
            said={(d) => `${d.number} counts from ${d.promised}`}
          />
          <h2>Receive</h2>
          {open.length > 1 && (
            <PickOne
              label="What came"
              options={open.map((l) => [String(l.line), l.item] as const)}
              value={String(came.line)}
              onChange={(line) => setPicked(Number(line))}
            />
          )}
          <VerbForm
            key={came.line}
            verb="receiveOrder"
            fixed={{ number: order.number, ...(lines.length > 1 ? { line: came.line } : {}) }}
            submit="Receive"
            fields={[
              {
                name: 'quantity',
                label: 'How many came',
                kind: 'whole',
                start: String(came.quantity - came.received),
              },
              { name: 'place', label: 'Onto', kind: 'choice', options: placeOptions(shop.places) },
            ]}
            said={(d) =>
              `${d.number}${lines.length > 1 ? `, ${d.item}` : ''}: ${Number(d.open) === 0 ? 'closed' : `${d.open} still open`}`
            }
          />
        </>
      )}
      <EntryBack entry={order.entryId} what={`order ${order.number}`} />
    </Tag>
  );
}

const lineField = (open: BuyingView['orders'], all: string): FieldOf<'restatePromise'> => ({
  name: 'line',
  label: `Of ${all}, or only`,
  kind: 'choice',
  optional: true,
  options: open.map((l) => [String(l.line), l.item] as const),
});

/** What is open of each line, in one row. */
const SeveralLines = ({ lines }: { lines: BuyingView['orders'] }) => (
  <Rows>
    {lines.map((l) => (
      <Row
        key={l.line}
        name={l.item}
        note={[
          `open of ${l.quantity}`,
          `promised ${shortDay(l.promised)}${promisedFirst(l)}`,
          l.priceCents !== null && `${money(l.priceCents)} each`,
        ]
          .filter(Boolean)
          .join(', ')}
      >
        {l.quantity - l.received}
      </Row>
    ))}
  </Rows>
);
const promisedFirst = (o: BuyingView['orders'][number]): string =>
  o.promised === o.promisedFirst ? '' : `, first for ${shortDay(o.promisedFirst)}`;

/** What is open of an order's only line, when it is promised, and from when it counts. */
const OneLine = ({ line: o }: { line: BuyingView['orders'][number] }) => (
  <>
    <Rows>
      <Row name="Open" big>
        {o.quantity - o.received}
      </Row>
      <Row name="Ordered">{o.quantity}</Row>
      <Row
        name="Promised"
        note={o.promised === o.promisedFirst ? undefined : `first for ${shortDay(o.promisedFirst)}`}
      >
        {shortDay(o.promised)}
      </Row>
      {o.priceCents !== null && <Row name="Price each">{money(o.priceCents)}</Row>}
    </Rows>
    {o.expected && <p>{o.expected.words}.</p>}
    <BecauseThis because={o.because} label="ordered because" />
  </>
);

/** An order of whatever the catalogue has, planned or not: inserts, collets, holders, spares. */
export function AnythingTag({ today }: { today: string }) {
  const query = useQuery('buying');
  return (
    <Tag over="An order" number="anything" closeHref={query.href({ new: null })}>
      <p className="soft small">
        Order it the way the supplier takes orders; record here that you did. Its supplier and order code are
        stated with the item.
      </p>
      <OrderForm rows={[{ item: null, start: '', supply: null }]} today={today} />
    </Tag>
  );
}

/** How many of a thing are kept on the shelf without any job asking for it. */
export function KeptTag() {
  const query = useQuery('buying');
  return (
    <Tag
      over="On the shelf"
      number="kept"
      words="Below the least, so many are proposed to be ordered, whatever jobs say."
      closeHref={query.href({ new: null })}
    >
      <VerbForm
        verb="stateReorder"
        submit="State it"
        fields={[
          { name: 'item', label: 'What', kind: 'search', wide: true, search: items },
          { name: 'minimum', label: 'Never fewer than', kind: 'whole', optional: true },
          { name: 'upTo', label: 'Order up to', kind: 'whole', optional: true },
        ]}
        said={(d) =>
          d.minimum === null
            ? `${d.item}: none is kept any more`
            : `${d.item}: never fewer than ${d.minimum}, up to ${d.upTo}`
        }
      />
    </Tag>
  );
}
