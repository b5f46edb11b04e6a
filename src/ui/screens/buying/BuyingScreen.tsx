'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { chanceWords } from '@/core/buying';
import { linkTo } from '@/core/links';
import type { BuyingLine, BuyingView } from '@/crib/buying';
import type { ShopView } from '@/crib/shop';
import { GradeMark } from '@/ui/kit/figure';
import { Acts, Empty, Head } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, shortDay } from '@/ui/shell';
import { AnythingTag, KeptTag, LineTag, OrderTag } from './buyingTags';

/** What to buy, how many, by which day and because of what; and what is on order. */
export function BuyingScreen({
  view,
  order,
  shop,
  today,
}: {
  view: BuyingView;
  /** The lines of the order that is open. */
  order: BuyingView['orders'];
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
        query.get('new') === 'order' ? (
          <AnythingTag today={today} />
        ) : query.get('new') === 'kept' ? (
          <KeptTag />
        ) : open ? (
          <LineTag key={open.item.code} line={open} lines={view.lines} today={today} />
        ) : order.length ? (
          <OrderTag key={order[0]?.number} lines={order} shop={shop} />
        ) : null
      }
    >
      <Head>
        <div>
          <h1>Buying</h1>
          <div className="soft">
            {toOrder.length} to order, {openOrders.length} on order
          </div>
        </div>
        <Acts>
          <Button component={Link} href={query.href({ new: 'kept', open: null, order: null })} scroll={false}>
            Keep on the shelf
          </Button>
          <Button
            component={Link}
            href={query.href({ new: 'order', open: null, order: null })}
            scroll={false}
          >
            Order anything
          </Button>
        </Acts>
      </Head>
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
              <TableCell>What</TableCell>
              <TableCell>Answer</TableCell>
              <TableCell className="num">How many</TableCell>
              <TableCell>Order by</TableCell>
              <TableCell className="num">Needed</TableCell>
              <TableCell className="num">On hand</TableCell>
              <TableCell className="num">On order</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {view.lines.map((l) => (
              <TableRow key={l.item.code} className={l === open ? 'open' : undefined}>
                <TableCell>
                  <Link
                    className="fig"
                    href={query.href({ open: l.item.code, order: null, new: null })}
                    scroll={false}
                  >
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
                  {'balance' in l.proposal ? l.proposal.balance.needed.toFixed(1) : '—'}
                </TableCell>
                <TableCell className="num fig">
                  {'balance' in l.proposal
                    ? (l.proposal.balance.shelf + l.proposal.balance.onEdgeSets).toFixed(1)
                    : '—'}
                </TableCell>
                <TableCell className="num fig">
                  {'balance' in l.proposal ? l.proposal.balance.onOrder || '·' : '—'}
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
              <TableCell>What</TableCell>
              <TableCell>Supplier</TableCell>
              <TableCell className="num">Received</TableCell>
              <TableCell>Promised</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {view.orders.map((o) => (
              <TableRow key={o.id} className={o.number === order[0]?.number ? 'open' : undefined}>
                <TableCell>
                  <Link
                    className="fig"
                    href={query.href({ order: o.number, open: null, new: null })}
                    scroll={false}
                  >
                    {o.number}
                  </Link>
                  {o.line > 1 && <span className="soft small"> line {o.line}</span>}
                </TableCell>
                <TableCell className="fig">{o.item}</TableCell>
                <TableCell>{o.supplier}</TableCell>
                <TableCell className="num fig">
                  {o.received} of {o.quantity}
                </TableCell>
                <TableCell className="fig">{shortDay(o.promised)}</TableCell>
                <TableCell>
                  {o.expected === null ? (
                    <GradeMark grade="good">came whole</GradeMark>
                  ) : o.expected.overdue ? (
                    <GradeMark grade="stop">late, not before {shortDay(o.expected.day)}</GradeMark>
                  ) : (
                    <GradeMark grade="not judged">on its way</GradeMark>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <p className="small">
        {query.get('after') && <Link href={query.href({ after: null })}>back to the latest</Link>}{' '}
        {view.next !== null && <Link href={query.href({ after: view.next })}>older ones</Link>}
      </p>
    </Middle>
  );
}

function Say({ line: { proposal: p } }: { line: BuyingLine }) {
  if (p.say === 'enough') return <GradeMark grade="good">{chanceWords(p.chance)}</GradeMark>;
  if (p.say === 'cannot say') return <GradeMark grade="not judged">cannot say</GradeMark>;
  if (p.daysLate > 0)
    return (
      <GradeMark grade="stop">
        {p.quantity > 0 ? 'order' : 'chase the order'}, {p.daysLate} days late
      </GradeMark>
    );
  return <GradeMark grade="question">{p.quantity > 0 ? 'order' : 'chase the order'}</GradeMark>;
}
