'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import type { SheetView } from '@/crib/assemblies';
import { Row, Rows } from '@/ui/kit/figure';
import { Acts, Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths, useTimes } from '@/ui/shell';

/** One build sheet: what goes into it, how far out and how tight, whether it can be built now, what was built from it. */
export function SheetTag({ sheet: s, closeHref }: { sheet: SheetView; closeHref: string }) {
  const query = useQuery('sheets');
  const { show, entered, unitWord } = useLengths();
  const { moment } = useTimes();
  const lacking = s.pieces.filter((p) => p.sources.length === 0);
  const older = s.built.filter((b) => b.version < s.version);
  const ranges = s.design.range.least !== s.design.range.most;
  return (
    <Tag over={`Build sheet, version ${s.version}`} number={s.code} words={s.name} closeHref={closeHref}>
      <Rows>
        <Row
          name="Stickout"
          note={
            ranges
              ? `${entered(s.leastEntered, s.design.range.least, 1)} to ${entered(s.mostEntered, s.design.range.most, 1)}`
              : undefined
          }
          unit={unitWord}
          big
        >
          {entered(s.stickoutEntered, s.stickoutMm, 1)}
        </Row>
        <Row name="Length to expect" unit={unitWord}>
          {show(s.expectedMm, 1)}
        </Row>
        {s.design.grip !== null && (
          <Row name="Least grip" unit={unitWord}>
            {entered(s.gripEntered ?? '', s.design.grip, 1)}
          </Row>
        )}
        <Row name="Torque" unit={s.torque === null ? undefined : 'N m'}>
          {s.torque ?? <span className="soft">as its holder says</span>}
        </Row>
        {s.collar && <Row name="Stop collar">keeps the stickout</Row>}
      </Rows>
      <h2>From the spindle down</h2>
      <Lines>
        {[...s.pieces.slice(1), ...s.pieces.slice(0, 1)].map((p, i) => (
          <li key={`${p.code ?? p.what} ${i}`}>
            {p.code ? (
              <Link className="fig" href={linkTo('cutters', { open: p.code })}>
                {p.code}
              </Link>
            ) : (
              <span className="fig">any</span>
            )}{' '}
            <span className="soft">{p.words}</span>
            {p.outMm !== null && ` set out ${entered(p.outEntered ?? '', p.outMm, 1)}`}
            <div className="small">{whereFrom(p)}</div>
          </li>
        ))}
      </Lines>
      {s.steps && (
        <>
          <h2>Look to this</h2>
          <p style={{ whiteSpace: 'pre-wrap' }}>{s.steps}</p>
        </>
      )}
      {lacking.length > 0 && (
        <Notice>
          {lacking.map((p) => p.code ?? p.words).join(', ')}: none in the crib
          {lacking.every((p) => p.instead.length > 0) ? ', but others may stand in.' : '.'}
        </Notice>
      )}
      <Acts>
        <Button variant="contained" component={Link} href={query.href({ do: 'build' })} scroll={false}>
          Build from it
        </Button>
        <Button component={Link} href={query.href({ do: 'change' })} scroll={false}>
          Write a new version
        </Button>
      </Acts>
      <h2>Built from it</h2>
      {s.built.length === 0 && <p className="soft">Nothing that stands.</p>}
      <Lines>
        {s.built.map((b) => (
          <li key={b.tag}>
            <Link className="fig" href={linkTo('rack', { open: b.tag })}>
              {b.tag}
            </Link>{' '}
            <span className="soft">
              version {b.version}
              {b.version < s.version && ', older than what stands here'}
            </span>
          </li>
        ))}
      </Lines>
      {older.length > 0 && (
        <p className="soft small">What was built from an earlier version stays as it was built.</p>
      )}
      <h2>Versions</h2>
      <Lines small>
        {s.versions.map((v) => (
          <li key={v.version}>
            <span className="fig">v{v.version}</span>{' '}
            <span className="soft">
              {moment(v.happenedAt)}, {v.who}
            </span>{' '}
            <EntryBack entry={v.entryId} what={`version ${v.version} of ${s.code}`} />
          </li>
        ))}
      </Lines>
    </Tag>
  );
}

/** Where a piece is taken from, or that it is not there. */
function whereFrom(p: SheetView['pieces'][number]): string {
  if (p.sources.length) return p.sources.map((s) => s.take).join('; ');
  const [other] = p.instead;
  return other ? `none in the crib; ${other.source.item} may stand in` : 'none in the crib';
}
