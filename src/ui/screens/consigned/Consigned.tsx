'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { money } from '@/core/units';
import type { ConsignedView, Taken } from '@/crib/consigned';
import { Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Empty, Lines } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useTimes } from '@/ui/shell';

/** What was taken of suppliers' own stock: each supplier's list, to be settled with them. */
export function Consigned({ view }: { view: ConsignedView }) {
  const { day } = useTimes();
  return (
    <>
      <p className="soft">
        What lies here and is a supplier’s until used:{' '}
        <Link href={linkTo('places', { show: 'stock', owner: 'theirs' })}>in the table of all stock</Link>. It
        is received with its supplier named, and what is taken of it stands here until it is settled.
      </p>
      {view.taken.length === 0 && <Empty>Nothing was taken that is not settled.</Empty>}
      {view.taken.map((t) => (
        <TakenOf key={t.supplier} taken={t} />
      ))}
      {view.settled.length > 0 && (
        <>
          <h2>Settled</h2>
          <Lines>
            {view.settled.map((s) => (
              <li key={s.entryId}>
                {day(s.happenedAt)} with {s.supplier}
                {s.reference ? `, ${s.reference}` : ''}, {s.who}{' '}
                <EntryBack entry={s.entryId} what={`the settlement with ${s.supplier}`} />
              </li>
            ))}
          </Lines>
        </>
      )}
    </>
  );
}

function TakenOf({ taken: t }: { taken: Taken }) {
  const { day } = useTimes();
  return (
    <section>
      <h2>
        {t.supplier} <span className="soft">{t.name}</span>
      </h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Item</TableCell>
            <TableCell>What it is</TableCell>
            <TableCell>Since</TableCell>
            <TableCell className="num">Taken</TableCell>
            <TableCell className="num">Each</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {t.lines.map((l) => (
            <TableRow key={`${l.item} ${l.lot}`}>
              <TableCell>
                <Link className="fig" href={linkTo('cutters', { open: l.item })}>
                  {l.item}
                </Link>
                {l.lot ? <span className="soft"> lot {l.lot}</span> : null}
              </TableCell>
              <TableCell>{l.words}</TableCell>
              <TableCell>{day(l.since)}</TableCell>
              <TableCell className="num fig">
                {l.quantity}
                {l.quantity < 0 ? <div className="soft small">came back since</div> : null}
              </TableCell>
              <TableCell className="num fig">
                {l.priceCents === null ? <Unknown>no price of theirs</Unknown> : money(l.priceCents)}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <p>
        {t.costCents === null ? (
          <Unknown>What it comes to can’t be said while a price is not known.</Unknown>
        ) : (
          <>
            Comes to <strong className="fig">{money(t.costCents)}</strong>
          </>
        )}
      </p>
      <VerbForm
        verb="settleTakings"
        fixed={{ supplier: t.supplier, upTo: t.upTo }}
        fields={[{ name: 'reference', label: 'Invoice or delivery note', optional: true }]}
        submit={`Settled with ${t.supplier}`}
        said={(d) => `${d.pieces} taken of ${d.supplier}’s stock settled`}
      />
    </section>
  );
}
