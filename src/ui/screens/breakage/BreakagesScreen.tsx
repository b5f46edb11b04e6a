'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { COST_KEYS, type CostKey } from '@/core/breakage';
import { linkTo } from '@/core/links';
import { isOne } from '@/core/names';
import { money } from '@/core/units';
import type { BreakageSheet, BreakagesView } from '@/crib/breakage';
import { GradeMark } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Empty, Notice, Views } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useTimes } from '@/ui/shell';
import { BreakageTag } from './BreakageTag';
import { CostBars } from './CostBars';
import { BROKE_WORDS } from './words';

/** What broke and what stands of it, and what it costs by cause, cutter, T, machine and month. */
export function BreakagesScreen({ view, open }: { view: BreakagesView; open: BreakageSheet | null }) {
  const query = useQuery('breakages');
  const { day } = useTimes();
  const asked = query.get('by');
  const by: CostKey = asked !== null && isOne(COST_KEYS, asked) ? asked : 'cause';
  const { year } = view;
  const gone = query.get('open') !== null && !open;
  return (
    <Middle
      beside={
        open ? (
          <BreakageTag key={open.line.entryId} sheet={open} />
        ) : gone ? (
          <Notice now>
            Nothing that broke has this number: it was taken back, or never broke.{' '}
            <Link href={linkTo('history')}>Entries</Link> say which.
          </Notice>
        ) : null
      }
    >
      <h1>Broken</h1>
      <Views
        label="What is shown"
        views={[
          { words: 'What broke', href: linkTo('breakages'), shown: true },
          { words: 'Held', href: linkTo('held'), shown: false },
        ]}
      />
      {view.lines.length === 0 ? (
        <Empty>
          Here stands what broke, why, and what it cost. It begins at the machine: on the page of a run, the T
          that broke.
        </Empty>
      ) : (
        <>
          <h2>What it cost since {day(new Date(`${year.from}T12:00:00Z`))}</h2>
          <Views
            label="Summed by"
            stay
            views={COST_KEYS.map((k) => ({
              words: k === 'tool line' ? 'by T' : `by ${k}`,
              href: query.href({ by: k }),
              shown: k === by,
            }))}
          />
          {year.cases === 0 ? (
            <p className="soft">Nothing broke since then.</p>
          ) : (
            <CostBars sums={year.by[by]} lines={year.lines} plain={by === 'month'} />
          )}
          {year.more && (
            <p className="soft small">More broke than are read: these are the latest {year.cases}.</p>
          )}
          <h2>What broke</h2>
          <Table>
            <TableHead>
              <TableRow>
                <TableCell>When</TableCell>
                <TableCell>Cutter</TableCell>
                <TableCell>Where</TableCell>
                <TableCell>Why</TableCell>
                <TableCell className="num">Cost</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {view.lines.map((l) => (
                <TableRow key={l.entryId} className={open?.line.entryId === l.entryId ? 'open' : undefined}>
                  <TableCell>{day(l.happenedAt)}</TableCell>
                  <TableCell>
                    <Link className="fig" href={query.href({ open: l.entryId })} scroll={false}>
                      {l.mark}
                    </Link>{' '}
                    {BROKE_WORDS[l.kind]}
                    <div className="soft small">{l.item}</div>
                  </TableCell>
                  <TableCell>{l.where ?? <span className="soft">on no T of a job</span>}</TableCell>
                  <TableCell>
                    {l.waits.includes('fragments') && <GradeMark grade="stop">fragments?</GradeMark>}
                    {l.causeWords ?? <span className="soft">not found yet</span>}
                  </TableCell>
                  <TableCell className="num fig">{l.cents === null ? 'not known' : money(l.cents)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          <p className="small">
            {query.get('before') && <Link href={query.href({ before: null })}>back to the latest</Link>}{' '}
            {view.next !== null && <Link href={query.href({ before: view.next })}>what broke before</Link>}
          </p>
        </>
      )}
    </Middle>
  );
}
