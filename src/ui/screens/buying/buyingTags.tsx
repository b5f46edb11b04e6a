'use client';
import Link from 'next/link';
import { linkTo } from '@/core/links';
import { addDays, money } from '@/core/units';
import type { BuyingLine, BuyingView } from '@/crib/buying';
import type { ShopView } from '@/crib/shop';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { shortDay } from '@/ui/shell';
import { placeOptions } from '@/ui/screens/common/options';

/** What is proposed of one thing, why, and that it was ordered. */
export function LineTag({ line, today }: { line: BuyingLine; today: string }) {
  const query = useQuery('buying');
  const { proposal: p, supply } = line;
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
        {p.say === 'order' && supply?.priceCents != null && (
          <Row name="Total">{money(supply.priceCents * p.quantity)}</Row>
        )}
      </Rows>
      <p>{p.because.words}</p>
      <BecauseThis because={p.because} />
      {supply ? (
        <>
          <h2>Ordered</h2>
          <p className="soft small">Order it the way the supplier takes orders; record here that you did.</p>
          <VerbForm
            verb="placeOrder"
            fixed={{ item: line.item.code }}
            submit="Ordered"
            fields={[
              {
                name: 'quantity',
                label: 'How many',
                kind: 'whole',
                start: p.say === 'order' && p.quantity > 0 ? String(p.quantity) : '',
              },
              {
                name: 'promised',
                label: 'Promised for',
                kind: 'day',
                start: supply.leadTimeDays === null ? '' : addDays(today, supply.leadTimeDays),
              },
            ]}
            said={(d) => `${d.number} recorded`}
          />
        </>
      ) : (
        <Notice>
          No supplier in use is known.{' '}
          <Link href={linkTo('cutters', { open: line.item.code })}>State it</Link> first.
        </Notice>
      )}
    </Tag>
  );
}

/** One order: when it is promised, what came of it. */
export function OrderTag({ order: o, shop }: { order: BuyingView['orders'][number]; shop: ShopView }) {
  const query = useQuery('buying');
  const open = o.quantity - o.received;
  return (
    <Tag
      over={`ordered from ${o.supplier} by ${o.who}`}
      number={o.number}
      words={o.item}
      closeHref={query.href({ order: null })}
    >
      <Rows>
        <Row name="Open" big>
          {open}
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
      {open > 0 && (
        <>
          <h2>Promised anew</h2>
          <VerbForm
            verb="restatePromise"
            fixed={{ number: o.number }}
            submit="Promised"
            fields={[{ name: 'promised', label: 'The supplier says now', kind: 'day' }]}
            said={(d) => `${d.number} counts from ${d.promised}`}
          />
          <h2>Receive</h2>
          <VerbForm
            verb="receiveOrder"
            fixed={{ number: o.number }}
            submit="Receive"
            fields={[
              { name: 'quantity', label: 'How many came', kind: 'whole', start: String(open) },
              {
                name: 'place',
                label: 'Onto',
                kind: 'choice',
                options: placeOptions(shop.places),
              },
            ]}
            said={(d) => `${o.number}: ${Number(d.open) === 0 ? 'closed' : `${d.open} still open`}`}
          />
        </>
      )}
      <EntryBack entry={o.entryId} what={`order ${o.number}`} />
    </Tag>
  );
}

/** An order of whatever the catalogue has, planned or not: inserts, collets, holders, spares. */
export function AnythingTag() {
  const query = useQuery('buying');
  return (
    <Tag over="An order" number="anything" closeHref={query.href({ new: null })}>
      <p className="soft small">
        Order it the way the supplier takes orders; record here that you did. Its supplier and order code are
        stated with the item.
      </p>
      <VerbForm
        verb="placeOrder"
        submit="Ordered"
        fields={[
          { name: 'item', label: 'What', kind: 'search', wide: true, search: items },
          { name: 'quantity', label: 'How many', kind: 'whole' },
          { name: 'promised', label: 'Promised for', kind: 'day' },
        ]}
        said={(d) => `${d.number} recorded: ${d.item}`}
      />
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
