'use client';
import { CUTS, OUTCOMES } from '@/core/cutting';
import { linkTo } from '@/core/links';
import type { RecipeView } from '@/crib/cutting';
import { Row, Rows, Unknown } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Lines, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { useQuery } from '@/ui/screens/common/query';
import { useTimes } from '@/ui/shell';
import { StateMark, useFigures } from './figures';

/** One recipe: its figures, what came of it, and what to say of it next. */
export function RecipeTag({ recipe: r, closeHref }: { recipe: RecipeView; closeHref: string }) {
  const query = useQuery('cutting');
  const figures = useFigures();
  const { day } = useTimes();
  const none = <Unknown>not stated</Unknown>;
  const [speed, feed] = [figures.speed(r), figures.feed(r)];
  return (
    <Tag
      over={figures.cutter(r)}
      number={r.code}
      words={`${CUTS[r.cut]} ${r.material} on ${r.machine ?? 'any machine'}; ${r.who}, ${day(r.happenedAt)}`}
      closeHref={closeHref}
    >
      {r.replacedBy !== null && (
        <Notice>
          Out of use: <Link href={query.href({ open: r.replacedBy })}>{r.replacedBy}</Link> was written
          instead of it.
        </Notice>
      )}
      <p>
        <StateMark state={r.state} />
        {r.insteadOf !== null && (
          <>
            , instead of <Link href={query.href({ open: r.insteadOf })}>{r.insteadOf}</Link>
          </>
        )}
      </p>
      <Rows>
        <Row name="Speed" note={speed?.[1]} big>
          {speed?.[0] ?? none}
        </Row>
        <Row name="Feed" note={feed?.[1]} big>
          {feed?.[0] ?? none}
        </Row>
        <Row name="Depth ap" note={figures.unitWord}>
          {figures.ap(r) ?? none}
        </Row>
        <Row name="Width ae" note={figures.unitWord}>
          {figures.ae(r) ?? none}
        </Row>
        <Row name="Ramp" note="degrees at most">
          {r.ramp ?? none}
        </Row>
        <Row name="Coolant">{r.coolant ?? none}</Row>
      </Rows>
      {r.words !== null && <p>{r.words}</p>}
      {r.item !== null && (
        <p>
          <Link href={linkTo('life', { item: r.item, material: r.material })}>
            how long {r.item} lasted in {r.material}
          </Link>
        </p>
      )}
      <h2>What came of it</h2>
      {r.outcomes.length === 0 ? (
        <p className="soft">Nobody has run it here yet.</p>
      ) : (
        <Lines>
          {r.outcomes.map((o) => (
            <li key={o.entryId}>
              <StateMark state={o.outcome} />
              {o.job !== null && (
                <>
                  {' on '}
                  <Link href={linkTo('jobs', { open: o.job, op: o.operation ?? undefined })}>
                    {o.job}
                    {o.operation === null ? '' : ` op ${o.operation}`}
                  </Link>
                </>
              )}
              {o.minutes !== null && `, ${o.minutes} min on an edge`}
              {o.parts !== null && `, ${o.parts} ${o.parts === 1 ? 'part' : 'parts'}`}
              {o.words !== null && <div>{o.words}</div>}
              <div className="soft small">
                {o.who}, {day(o.happenedAt)}
              </div>
            </li>
          ))}
        </Lines>
      )}
      <VerbForm
        verb="recordOutcome"
        fixed={{ recipe: r.code }}
        submit="Say so"
        fields={[
          {
            ...{ name: 'outcome', label: 'It was', kind: 'choice', wide: true },
            options: OUTCOMES.map(
              (o) => [o, o === 'proven' ? 'proven: a good part was made by it' : o] as const,
            ),
          },
          { name: 'minutes', label: 'Minutes its edge lasted', kind: 'number', optional: true },
          { name: 'parts', label: 'Parts', kind: 'whole', optional: true },
          { name: 'words', label: 'What was seen', kind: 'lines', optional: true, wide: true },
        ]}
        said={(d) => `${d.recipe} ${d.outcome}`}
      />
      <p>
        <Link href={linkTo('cutting', { show: 'bench', recipe: r.code })}>try it on the bench</Link>
      </p>
      {r.replacedBy === null && (
        <p>
          <Link href={query.href({ do: 'instead' })} scroll={false}>
            run it otherwise: write another instead
          </Link>
        </p>
      )}
      <EntryBack entry={r.entryId} what={`recipe ${r.code}`} />
    </Tag>
  );
}
