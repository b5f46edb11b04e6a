'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Link from 'next/link';
import { linkTo } from '@/core/links';
import { inCrib } from '@/core/stock';
import { addDays, money } from '@/core/units';
import type { BuyingLine, BuyingView } from '@/crib/buying';
import type { ShopView } from '@/crib/shop';
import { BecauseThis, GradeMark, Row, Rows } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Empty, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, shortDay } from '@/ui/shell';

/** What to buy, how many, by which day and because of what; and what is on order. */
export function BuyingScreen({
  view,
  order,
  shop,
  today,
}: {
  view: BuyingView;
  /** The order that is open. */
  order: BuyingView['orders'][number] | null;
  shop: ShopView;
  today: string;
}) {
  const query = useQuery('buying');
  const open = view.lines.find((l) => l.item.code === query.get('open')) ?? null;
  const openOrders = view.orders.filter((o) => o.received < o.quantity);
  const toOrder = view.lines.filter((l) => l.proposal.say === 'order');
  return (
    <Middle
      beside={
        open ? (
          <LineTag key={open.item.code} line={open} today={today} />
        ) : order ? (
          <OrderTag key={order.number} order={order} shop={shop} />
        ) : null
      }
    >
      <h1>Buying</h1>
      <div className="soft">
        {toOrder.length} to order, {openOrders.length} on order
      </div>
      {view.lines.length === 0 && (
        <Empty style={{ marginTop: 12 }}>
          What to order follows from jobs with a program whose tools are tied to cutters. Nothing is booked
          yet: <Link href={linkTo('jobs', { new: 'job' })}>add a job</Link>.
        </Empty>
      )}
      {view.lines.length > 0 && (
        <Table style={{ marginTop: 12 }}>
          <TableHead>
            <TableRow>
              <TableCell>Cutter</TableCell>
              <TableCell>Answer</TableCell>
              <TableCell className="num">How many</TableCell>
              <TableCell>Order by</TableCell>
              <TableCell className="num">Lives needed</TableCell>
              <TableCell className="num">On hand</TableCell>
              <TableCell className="num">On order</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {view.lines.map((l) => (
              <TableRow key={l.item.code} className={l === open ? 'open' : undefined}>
                <TableCell>
                  <Link className="fig" href={query.href({ open: l.item.code, order: null })} scroll={false}>
                    {l.item.code}
                  </Link>
                </TableCell>
                <TableCell>
                  <Say line={l} />
                </TableCell>
                <TableCell className="num fig">
                  {l.proposal.say === 'order' && l.proposal.quantity > 0 ? l.proposal.quantity : '·'}
                </TableCell>
                <TableCell className="fig">
                  {l.proposal.say !== 'order' ? (
                    '·'
                  ) : l.proposal.orderBy ? (
                    shortDay(l.proposal.orderBy)
                  ) : (
                    <span className="soft">lead time not known</span>
                  )}
                </TableCell>
                <TableCell className="num fig">
                  {'lives' in l.proposal ? l.proposal.lives.needed.toFixed(1) : '—'}
                </TableCell>
                <TableCell className="num fig">
                  {'lives' in l.proposal
                    ? (l.proposal.lives.shelf + l.proposal.lives.onEdgeSets).toFixed(1)
                    : '—'}
                </TableCell>
                <TableCell className="num fig">
                  {'lives' in l.proposal ? l.proposal.lives.onOrder || '·' : '—'}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      {view.unknown.length > 0 && (
        <p className="soft">
          Not reckoned:{' '}
          {view.unknown.map((u) => (
            <span key={`${u.operation} ${u.t}`} style={{ marginRight: 12 }}>
              <Link href={linkTo('jobs', { open: u.job, t: u.t })}>
                T{u.t} of {u.job}
              </Link>
              , {u.why}
            </span>
          ))}
        </p>
      )}
      <h2>Orders</h2>
      {view.orders.length === 0 ? (
        <p className="soft">None yet.</p>
      ) : (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Order</TableCell>
              <TableCell>Cutter</TableCell>
              <TableCell>Supplier</TableCell>
              <TableCell className="num">Received</TableCell>
              <TableCell>Promised</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {view.orders.map((o) => (
              <TableRow key={o.number} className={o.number === order?.number ? 'open' : undefined}>
                <TableCell>
                  <Link className="fig" href={query.href({ order: o.number, open: null })} scroll={false}>
                    {o.number}
                  </Link>
                </TableCell>
                <TableCell className="fig">{o.item}</TableCell>
                <TableCell>{o.supplier}</TableCell>
                <TableCell className="num fig">
                  {o.received} of {o.quantity}
                </TableCell>
                <TableCell className="fig">{shortDay(o.promised)}</TableCell>
                <TableCell>
                  {o.received >= o.quantity ? (
                    <GradeMark grade="good">closed</GradeMark>
                  ) : o.promised < today ? (
                    <GradeMark grade="stop">late</GradeMark>
                  ) : (
                    <GradeMark grade="not judged">open</GradeMark>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Middle>
  );
}

function Say({ line: { proposal: p } }: { line: BuyingLine }) {
  if (p.say === 'enough') return <GradeMark grade="good">enough</GradeMark>;
  if (p.say === 'cannot say') return <GradeMark grade="not judged">cannot say</GradeMark>;
  if (p.daysLate > 0)
    return (
      <GradeMark grade="stop">
        {p.quantity > 0 ? 'order' : 'hasten'}, {p.daysLate} days late
      </GradeMark>
    );
  return <GradeMark grade="question">{p.quantity > 0 ? 'order' : 'hasten the order'}</GradeMark>;
}

function LineTag({ line, today }: { line: BuyingLine; today: string }) {
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
            <Row name="Whole cutters short">{p.short}</Row>
          </>
        )}
        {supply && (
          <Row name={supply.supplier} note={supply.orderCode}>
            {supply.priceCents === null ? 'no price' : money(supply.priceCents)}
          </Row>
        )}
        {p.say === 'order' && supply?.priceCents != null && (
          <Row name="Together">{money(supply.priceCents * p.quantity)}</Row>
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
          No supplier is known. <Link href={linkTo('cutters', { open: line.item.code })}>State it</Link>{' '}
          first.
        </Notice>
      )}
    </Tag>
  );
}

function OrderTag({ order: o, shop }: { order: BuyingView['orders'][number]; shop: ShopView }) {
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
        <Row name="Promised">{shortDay(o.promised)}</Row>
        {o.priceCents !== null && <Row name="Price each">{money(o.priceCents)}</Row>}
      </Rows>
      <BecauseThis because={o.because} label="ordered because" />
      {open > 0 && (
        <>
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
                options: shop.places
                  .filter((p) => inCrib(p.kind))
                  .map((p) => [p.code, `${p.code} ${p.name}`] as const),
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
