'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { partWords } from '@/core/breakage';
import { linkTo } from '@/core/links';
import type { HeldView, HoldLine, HoldSheet, TraceView } from '@/crib/held';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Empty, Fold, Head, Notice, Views } from '@/ui/kit/page';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useTimes } from '@/ui/shell';
import { HoldTag } from './HoldTag';
import { TraceTag } from './TraceTag';
import { WhichPart } from './WhichPart';

/** Parts that are held until somebody decides, cutters until somebody looked at them, and the way back from a bad part. */
export function HeldScreen({
  view,
  open,
  trace,
}: {
  view: HeldView;
  open: HoldSheet | null;
  trace: TraceView | null;
}) {
  const query = useQuery('held');
  const decided = view.lines.filter((l) => l.open === 0);
  const nothing = view.lines.length === 0 && view.cutters.length === 0;
  return (
    <Middle
      beside={
        open ? (
          <HoldTag key={open.number} hold={open} />
        ) : trace ? (
          <TraceTag trace={trace} />
        ) : query.get('open') ? (
          <Notice now>No parts are held under {query.get('open')}: it was taken back, or never was.</Notice>
        ) : null
      }
    >
      <Head>
        <div>
          <h1>Held</h1>
          <div className="soft">
            {view.open.length === 0
              ? 'no parts wait for a verdict'
              : `${view.open.reduce((sum, l) => sum + l.open, 0)} parts wait for a verdict`}
            {view.cutters.length > 0 && ` · ${view.cutters.length} cutters held back`}
          </div>
        </div>
      </Head>
      <Views
        label="What is shown"
        views={[
          { words: 'What broke', href: linkTo('breakages'), shown: false },
          { words: 'Held', href: linkTo('held'), shown: true },
        ]}
      />
      <WhichPart />
      {nothing && (
        <Empty>
          Here stand parts that are held until somebody decides of each: good, rework or scrap. They come from
          what broke, from a part that was complained of, or from a check that was not good.
        </Empty>
      )}
      {view.cutters.map((d) => (
        <Notice key={d.entryId} kind="stop">
          <strong>
            {d.tag ? (
              <Link className="fig" href={linkTo('rack', { open: d.tag })}>
                {d.tag}
              </Link>
            ) : (
              <span className="fig">{d.mark}</span>
            )}{' '}
            must not run:
          </strong>{' '}
          {d.why}{' '}
          <span className="soft small">
            {d.item}, {d.who}
          </span>{' '}
          <EntryBack entry={d.entryId} what={`that ${d.mark} is held back`} />
          <Fold label="Say what was found">
            <VerbForm
              verb="clearCutter"
              fixed={{ piece: d.mark }}
              submit="It may be used again"
              fields={[{ name: 'found', label: 'What was found', wide: true }]}
              said={(done) => `${done.piece} may be used again`}
            />
            {d.tag && (
              <p className="small">
                It is no good? <Link href={linkTo('rack', { open: d.tag, do: 'down' })}>Take it down</Link>{' '}
                and say how its life ended.
              </p>
            )}
          </Fold>
        </Notice>
      ))}
      {view.open.length > 0 && <Holds title="Nobody decided yet" lines={view.open} open={open} />}
      {decided.length > 0 && <Holds title="Decided" lines={decided} open={open} />}
      <p className="small">
        {query.get('before') && <Link href={query.href({ before: null })}>back to the latest</Link>}{' '}
        {view.next !== null && <Link href={query.href({ before: view.next })}>what was held before</Link>}
      </p>
    </Middle>
  );
}

function Holds({
  title,
  lines,
  open,
}: {
  title: string;
  lines: readonly HoldLine[];
  open: HoldSheet | null;
}) {
  const query = useQuery('held');
  const { day } = useTimes();
  return (
    <>
      <h2>{title}</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Hold</TableCell>
            <TableCell>Parts</TableCell>
            <TableCell>Why</TableCell>
            <TableCell>Verdicts</TableCell>
            <TableCell>Since</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map((l) => (
            <TableRow key={l.id} className={open?.id === l.id ? 'open' : undefined}>
              <TableCell>
                <Link className="fig" href={query.href({ open: l.number })} scroll={false}>
                  {l.number}
                </Link>
              </TableCell>
              <TableCell>
                {partWords([{ first: l.firstPart, last: l.lastPart }])}
                <div className="soft small">
                  {l.job} {l.part}, {l.machine}
                </div>
              </TableCell>
              <TableCell>{l.why}</TableCell>
              <TableCell>
                {[
                  ...(l.open > 0 ? [`${l.open} open`] : []),
                  ...l.verdicts.map((v) => `${v.parts} ${v.words}`),
                ].join(', ')}
              </TableCell>
              <TableCell>{day(l.happenedAt)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}
