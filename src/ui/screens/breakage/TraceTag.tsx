'use client';
import { partWords } from '@/core/breakage';
import { linkTo } from '@/core/links';
import type { TraceView } from '@/crib/held';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Fold, Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';

/** The way back from a part: which edges cut it, and what else they cut since the last good one. */
export function TraceTag({ trace: { operation: o, part, ...trace } }: { trace: TraceView }) {
  const query = useQuery('held');
  const { moment } = useTimes();
  return (
    <Tag
      over={`${o.part}, ${o.machine}, operation ${o.number}`}
      number={`${o.job} part ${part}`}
      words={
        trace.logged
          ? `logged ${moment(trace.logged.happenedAt)} by ${trace.logged.who}, with ${partWords([trace.logged])}`
          : undefined
      }
      closeHref={query.href({ job: null, op: null, part: null })}
    >
      {trace.others.length > 0 && (
        <p className="small">
          Other operations:{' '}
          {trace.others.map((n) => (
            <Link key={n} href={query.href({ op: n })}>
              {n}{' '}
            </Link>
          ))}
        </p>
      )}
      {!trace.logged && (
        <Notice kind="stop">
          No part {part} is logged: {o.made === 0 ? 'none is' : `they go to ${o.made}`}. Parts are counted in
          the order they were logged.
        </Notice>
      )}
      {trace.logged && (
        <p>
          Material lot: {trace.logged.lot ?? <span className="soft">nobody said</span>}
          {trace.sameLot.length > 0 && <span className="soft"> ({partWords(trace.sameLot)})</span>}
          <br />
          Last found good: {trace.lastGood === 0 ? 'none was checked' : `part ${trace.lastGood}`}
        </p>
      )}
      {trace.heldIn && (
        <p>
          It is held:{' '}
          <Link className="fig" href={query.href({ open: trace.heldIn, job: null, op: null, part: null })}>
            {trace.heldIn}
          </Link>
        </p>
      )}
      {trace.cutBy.length > 0 && <h3>What cut it</h3>}
      <Lines>
        {trace.cutBy.map((by) => (
          <li key={by.t}>
            <strong className="fig">T{by.t}</strong>{' '}
            {by.mark === null ? (
              <span className="soft">nobody said which cutter it was</span>
            ) : (
              <>
                <span className="fig">{by.mark}</span> <span className="soft">{by.item}</span>
                <div>
                  {by.also.map((s) =>
                    s.ranges.map((r) => (
                      <Fold
                        key={`${s.operation} ${r.first}`}
                        label={`cut ${partWords([r])} of ${s.job} since the last good one`}
                      >
                        <VerbForm
                          verb="holdParts"
                          fixed={{ operation: s.operation, piece: by.mark ?? '' }}
                          submit="Hold them"
                          fields={[
                            { name: 'from', label: 'From part', kind: 'whole', start: String(r.first) },
                            { name: 'to', label: 'To part', kind: 'whole', start: String(r.last) },
                            {
                              name: 'why',
                              label: 'Why',
                              wide: true,
                              start: `part ${part} of ${o.job} was complained of, cut by ${by.mark}`,
                            },
                          ]}
                          said={(d) => `${d.number}: ${partWords([{ first: d.from, last: d.to }])} held`}
                        />
                      </Fold>
                    )),
                  )}
                  <Fold label={`Hold ${by.mark} back`}>
                    <VerbForm
                      verb="holdCutter"
                      fixed={{ piece: by.mark }}
                      submit="Hold it back"
                      fields={[
                        {
                          name: 'why',
                          label: 'Why',
                          wide: true,
                          start: `part ${part} of ${o.job} was complained of`,
                        },
                      ]}
                      said={(d) => `${d.piece} is held back`}
                    />
                  </Fold>
                </div>
              </>
            )}
          </li>
        ))}
      </Lines>
      <p className="soft small">
        <Link href={linkTo('jobs', { open: o.job })}>{o.job}</Link>
      </p>
    </Tag>
  );
}
