'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import dynamic from 'next/dynamic';
import { linkTo } from '@/core/links';
import type { HolderLine, HolderSheet, HoldersView } from '@/crib/holders';
import { GradeMark, Unknown } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Empty, Fold, Head, Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { Middle } from '@/ui/shell';
import { HolderTag } from './HolderTag';
import { ruleWords } from './words';

/** Come when they are asked for. */
const MarkTag = dynamic(() => import('./forms').then((m) => m.MarkTag));
const RuleForm = dynamic(() => import('./forms').then((m) => m.RuleForm));

/** Holders, extensions and collets with a mark of their own: what must not run first, then what is due first. */
export function HoldersScreen({ view, open }: { view: HoldersView; open: HolderSheet | null }) {
  const query = useQuery('holders');
  const asked = query.get('open');
  const urgent = view.lines.filter((l) => l.todo).length;
  const beside =
    query.get('new') === 'mark' ? (
      <MarkTag closeHref={query.href({ new: null })} />
    ) : open ? (
      <HolderTag key={open.mark} holder={open} />
    ) : asked ? (
      <Notice now>No holder has the mark {asked}: it was taken back, or never was.</Notice>
    ) : null;
  return (
    <Middle beside={beside}>
      <Head>
        <div>
          <h1>Holders</h1>
          <div className="soft">
            {view.lines.length} with a mark of their own
            {urgent > 0 && ` · ${urgent} to see to`}
          </div>
        </div>
        <Acts>
          <Button
            variant="contained"
            component={Link}
            href={query.href({ new: 'mark', open: null, do: null })}
            scroll={false}
          >
            Mark one
          </Button>
          <Button component={Link} href={linkTo('rack')}>
            Rack
          </Button>
        </Acts>
      </Head>
      {view.lines.length === 0 ? (
        <Empty>
          Of a drawer of like holders nobody knows which one runs out or fell. Mark those that matter, long
          and fast ones first: how often each was clamped, how its runout goes, when it is to be looked over
          and its pull stud changed stands here from then on.
        </Empty>
      ) : (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Mark</TableCell>
              <TableCell>How it stands</TableCell>
              <TableCell>Next due</TableCell>
              <TableCell className="num" sx={NOT_ON_A_PHONE}>
                Clampings <span className="soft small">since looked over</span>
              </TableCell>
              <TableCell>Where</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {view.lines.map((l) => (
              <HolderRow
                key={l.mark}
                line={l}
                isOpen={open?.mark === l.mark}
                href={query.href({ open: l.mark, new: null, do: null })}
              />
            ))}
          </TableBody>
        </Table>
      )}
      <p className="small">
        {query.get('after') && <Link href={query.href({ after: null })}>back to the first</Link>}{' '}
        {view.next !== null && <Link href={query.href({ after: view.next })}>more of them</Link>}
      </p>
      <p className="soft small">
        {ruleWords(view.rule)}. An item may have its own: it stands on the tag of one.
      </p>
      <Fold label="Say the shop’s rule">
        <RuleForm rule={view.rule} item={null} />
      </Fold>
    </Middle>
  );
}

function HolderRow({ line: l, isOpen, href }: { line: HolderLine; isOpen: boolean; href: string }) {
  // All that is late, or else what comes next.
  const late = l.dues.filter((d) => d.late);
  const dues = late.length ? late : l.dues.slice(0, 1);
  return (
    <TableRow className={isOpen ? 'open' : undefined}>
      <TableCell>
        <Link className="fig" href={href} scroll={false}>
          {l.mark}
        </Link>
        <div className="soft small">{l.item}</div>
      </TableCell>
      <TableCell>
        {l.against.length > 0 ? (
          l.against.map((j) => (
            <GradeMark key={j.code} grade={j.grade}>
              {j.words.replace(`${l.mark} `, '')}
            </GradeMark>
          ))
        ) : l.lookedAt === null ? (
          <Unknown>nobody has looked it over yet</Unknown>
        ) : (
          <GradeMark grade="good">looked over, good</GradeMark>
        )}
      </TableCell>
      <TableCell>
        {dues.length === 0 && <span className="soft">nothing</span>}
        {dues.map((d) => (
          <div key={d.what}>
            {d.late ? (
              <GradeMark grade="question">{DUE[d.what]}</GradeMark>
            ) : (
              <span className="soft">{DUE[d.what]}</span>
            )}{' '}
            <span className="fig soft small">{d.day}</span>
          </div>
        ))}
      </TableCell>
      <TableCell className="num fig" sx={NOT_ON_A_PHONE}>
        {l.clampings}
      </TableCell>
      <TableCell>
        {l.tag ? (
          <Link className="fig" href={linkTo('rack', { open: l.tag })}>
            {l.tag}
          </Link>
        ) : l.place ? (
          <span className="fig">{l.place}</span>
        ) : (
          <Unknown>never built since</Unknown>
        )}
      </TableCell>
    </TableRow>
  );
}

/** It stands on the tag of each as well. */
const NOT_ON_A_PHONE = { display: { xs: 'none', sm: 'table-cell' } };
const DUE = { look: 'look it over', stud: 'pull stud' } as const;
