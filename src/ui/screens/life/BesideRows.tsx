'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { money } from '@/core/units';
import type { Beside, LifeSheet } from '@/crib/life';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { RanApart } from './RanApart';
import { percent } from '@/ui/screens/common/percent';
import { useQuery } from '@/ui/screens/common/query';

/** Comes when it is asked for: the screen shows without it. */
const WhichPays = dynamic(async () => (await import('./WhichPays')).WhichPays);

/** The cutter that is open beside another in the same material: which lasts longer, and how sure that is. */
export function BesideRows({ line }: { line: LifeSheet }) {
  const query = useQuery('life');
  const { beside } = line;
  const asked = query.get('beside');
  if (!line.others.length && !asked) return null;
  const at = { item: line.item.code, material: line.material.code };
  return (
    <section aria-label="Beside another">
      <h2>Beside another</h2>
      <p>
        {line.others.map((o) => (
          <span key={o.code}>
            <Link
              className="fig"
              href={query.href({ ...at, beside: o.code })}
              scroll={false}
              aria-current={o.code === beside?.code ? 'true' : undefined}
            >
              {o.code}
            </Link>{' '}
            <span className="soft small">{o.lives}</span>{' '}
          </span>
        ))}
        {asked && (
          <Link className="small" href={query.href({ ...at, beside: null })} scroll={false}>
            none
          </Link>
        )}
      </p>
      {asked && !beside && (
        <p className="soft">
          {asked} has no lives in {line.material.name} to hold beside it.
        </p>
      )}
      {beside && <Compared key={`${line.item.code} ${beside.code}`} line={line} beside={beside} />}
    </section>
  );
}

/** Those that were ground again beside fresh ones: whether grinding pays. */
export function RegroundRows({ line }: { line: LifeSheet }) {
  const { reground } = line;
  if (!reground) return null;
  return (
    <section aria-label="Ground again">
      <h2>Ground again</h2>
      <p className="soft small">
        {reground.lives} {reground.lives === 1 ? 'life' : 'lives'} after grinding in {line.material.name};{' '}
        {reground.sent} sent in all, {reground.lost === 0 ? 'none' : reground.lost} lost there.
      </p>
      <Compared key={`${line.item.code} reground`} line={line} beside={reground} />
    </section>
  );
}

function Compared({
  line,
  beside,
}: {
  line: LifeSheet;
  beside: Omit<Beside, 'ranApart'> & Partial<Pick<Beside, 'ranApart'>>;
}) {
  const { compared: k, rates } = beside;
  const [pays, setPays] = useState(false);
  const names = { first: line.item.code, second: beside.code };
  return (
    <>
      <p>
        <b>{verdict(k, names)}</b> {doubt(k)}
      </p>
      {beside.ranApart && <RanApart of={beside.ranApart} names={names} />}
      {beside.cheaper && (
        <p>
          <b>{names[beside.cheaper]} costs less a minute in the cut</b>, by edges alone.
        </p>
      )}
      <Rows>
        {k.times && (
          <Row name={`${names.first} lasts, against ${names.second}`} note={likelyTimes(k.times)}>
            {k.times.value === null ? 'cannot say' : `${k.times.value.toFixed(2)} times`}
          </Row>
        )}
        {(['first', 'second'] as const).map((which) => {
          const mean = k.means[which];
          return (
            <Row
              key={`${which} mean`}
              name={`${names[which]}, mean to a failure`}
              note={mean ? `likely ${mean.from.toFixed(0)} to ${mean.to.toFixed(0)} min` : undefined}
            >
              {mean ? `${mean.value.toFixed(0)} min` : 'cannot say'}
            </Row>
          );
        })}
        {(['first', 'second'] as const).map((which) => {
          const { edge, aMinute } = rates[which];
          return (
            <Row
              key={`${which} cost`}
              name={`${names[which]}, edges a 100 min in the cut`}
              note={
                aMinute
                  ? `likely ${money(Math.round(aMinute.from * 100))} to ${money(Math.round(aMinute.to * 100))}; ${edge.of}`
                  : edge.cents === null
                    ? `no price of ${edge.of}`
                    : `${edge.of}: ${money(Math.round(edge.cents))}`
              }
            >
              {aMinute ? money(Math.round(aMinute.cents * 100)) : 'cannot say'}
            </Row>
          );
        })}
      </Rows>
      <BecauseThis because={k.because} label="which lasts longer, because" />
      <div>
        {pays ? (
          <WhichPays line={line} beside={beside} />
        ) : (
          <Button variant="text" size="small" onClick={() => setPays(true)}>
            which pays, for a part?
          </Button>
        )}
      </div>
      <p className="soft small">
        In one material, whatever the speeds and depths were. Edges alone: the minutes to change them, and
        parts that are lost, come on top; what is ground again is told apart from what is new.
      </p>
    </>
  );
}

const verdict = (k: Beside['compared'], names: Record<'first' | 'second', string>): string =>
  k.longer ? `${names[k.longer]} lasts longer.` : 'Cannot say which lasts longer.';

/** How sure the verdict is, and what would make it so. */
function doubt(k: Beside['compared']): string {
  if (k.p === null) return 'Neither has failed yet.';
  const chance = `If both lasted alike, so great a difference would come about by chance in ${percent(k.p)} of such comparisons.`;
  if (k.longer) return chance;
  if (k.moreFailures === null)
    return `${chance} They are so alike that no number of failures worth waiting for would tell.`;
  const more = k.moreFailures === 1 ? 'one more failure' : `about ${k.moreFailures} more failures`;
  return `${chance} If they differ as it looks now, ${more} of each would tell.`;
}

/** The times that the lives leave likely; an end they leave open is not said. */
function likelyTimes({ from, to }: NonNullable<Beside['compared']['times']>): string {
  if (from !== null && to !== null) return `likely ${from.toFixed(2)} to ${to.toFixed(2)} times`;
  if (from !== null) return `likely ${from.toFixed(2)} times at least`;
  return to === null
    ? 'nothing between none and any number is ruled out'
    : `likely ${to.toFixed(2)} times at most`;
}
