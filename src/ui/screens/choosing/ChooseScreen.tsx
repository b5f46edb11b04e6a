'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { type ChoosingRules, REASONS } from '@/core/choosing';
import { linkTo } from '@/core/links';
import type { ChooseView } from '@/crib/choosing';
import { Acts, Empty, Head, Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle } from '@/ui/shell';
import { CutTag } from './CutTag';
import { RulesTag } from './RulesTag';

/** Describing a cut, and the cutters that do it: on hand first, with reasons; those that fail, by how much. */
export function ChooseScreen({
  view,
  rules,
  problem,
}: {
  view: ChooseView | null;
  rules: ChoosingRules;
  problem: string | null;
}) {
  const query = useQuery('choose');
  return (
    <Middle beside={query.get('show') === 'rules' ? <RulesTag rules={rules} /> : <CutTag />}>
      <Head>
        <div>
          <h1>Choose by the cut</h1>
          <div className="soft">Say what the drawing asks for; what is on the shelf comes first.</div>
        </div>
        <Acts>
          <Button
            component={Link}
            href={query.href({ show: query.get('show') === 'rules' ? null : 'rules' })}
            scroll={false}
          >
            {query.get('show') === 'rules' ? 'Back to the cut' : 'How it is ranked'}
          </Button>
        </Acts>
      </Head>
      {problem && (
        <Notice kind="stop" now>
          {problem}
        </Notice>
      )}
      {!view && !problem && (
        <Empty>
          A wall 10 mm deep asks for 10 mm of reach; an inside corner of 4 mm for a cutter of at most 8.
          Describe the cut beside, and every cutter says whether it can, or by how much it can’t.
        </Empty>
      )}
      {view?.kit && <Kit view={view} />}
      {view && <Fitting view={view} />}
      {view && view.rejected.length > 0 && <Rejected view={view} />}
    </Middle>
  );
}

const AVAILABLE = {
  'on hand': '● on hand',
  graded: '◐ graded',
  built: '◆ built',
  reserved: '◇ reserved',
  'to buy': '○ to buy',
} as const;

function Fitting({ view }: { view: ChooseView }) {
  const to = (code: string) => linkTo('cutters', { open: code });
  if (!view.fit.length)
    return (
      <>
        <h2>None fits</h2>
        <p>The nearest misses stand below, each with by how much.</p>
      </>
    );
  return (
    <>
      <h2>Fits</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Where</TableCell>
            <TableCell>Cutter</TableCell>
            <TableCell>Speaks for it</TableCell>
            <TableCell className="num">Weight</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {view.fit.map((c) => (
            <TableRow key={c.code}>
              <TableCell style={{ whiteSpace: 'nowrap' }}>
                {AVAILABLE[c.availability]}
                {c.take.length > 0 && <div className="soft small fig">{c.take.slice(0, 3).join(' ')}</div>}
              </TableCell>
              <TableCell>
                <Link className="fig" href={to(c.code)}>
                  {c.code}
                </Link>
                <div className="soft small">{c.words}</div>
                {c.reserved && <div className="soft small">{c.reserved}</div>}
                {c.shortBuilds.map((b) => (
                  <div key={b} className="soft small">
                    {b}
                  </div>
                ))}
                {view.recipes[c.code]?.map((r) => (
                  <div key={r.code} className="small">
                    <Link href={linkTo('cutting', { open: r.code })}>{r.code}</Link> {r.words}
                  </div>
                ))}
                {c.open.length > 0 && (
                  <div className="small">
                    <strong>▲ not judged:</strong> {c.open.join(', ')}
                  </div>
                )}
              </TableCell>
              <TableCell className="small">
                {c.reasons.map((r) => (
                  <div key={r.reason} title={REASONS[r.reason]}>
                    {r.words} <span className="soft fig">+{r.points}</span>
                  </div>
                ))}
              </TableCell>
              <TableCell className="num fig">{Math.round(c.score * 10) / 10}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}

function Rejected({ view }: { view: ChooseView }) {
  return (
    <>
      <h2>Can’t</h2>
      <Table>
        <TableBody>
          {view.rejected.map((c) => (
            <TableRow key={c.code}>
              <TableCell>
                <Link className="fig" href={linkTo('cutters', { open: c.code })}>
                  {c.code}
                </Link>
                <div className="soft small">{c.words}</div>
              </TableCell>
              <TableCell>■ {c.fails.join('; ')}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {view.rejectedMore > 0 && <p className="soft small">and {view.rejectedMore} more</p>}
      {view.notLookedAt && (
        <p className="soft small">
          Judged were those nearest to the size that is asked for, what lies on the shelf first. Others of
          these families are further off: say more of the cut to be led to them.
        </p>
      )}
    </>
  );
}

function Kit({ view }: { view: ChooseView }) {
  return (
    <>
      <h2>The kit for it</h2>
      <Table>
        <TableHead>
          <TableRow>
            <TableCell>Step</TableCell>
            <TableCell>Wanted</TableCell>
            <TableCell>Here</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {view.kit?.map((s, i) => (
            <TableRow key={`${s.step} ${i}`}>
              <TableCell>{s.step}</TableCell>
              <TableCell>
                {s.wanted}
                <div className="soft small">{s.because}</div>
              </TableCell>
              <TableCell>
                {s.missing ? (
                  <strong style={{ color: 'var(--rust)' }}>
                    ■ missing{s.choices[0] ? `: buy ${s.choices[0].code}` : ''}
                  </strong>
                ) : (
                  s.choices.slice(0, 3).map((c) => (
                    <div key={c.code}>
                      <Link className="fig" href={linkTo('cutters', { open: c.code })}>
                        {c.code}
                      </Link>{' '}
                      <span className="soft small">{AVAILABLE[c.availability]}</span>
                    </div>
                  ))
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </>
  );
}
