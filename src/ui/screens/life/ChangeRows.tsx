'use client';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { parseNumber, readCents, money } from '@/core/units';
import { agesBy } from '@/core/life';
import type { LifeSheet } from '@/crib/life';
import { ChangeChart } from '@/ui/kit/chart';
import Button from '@mui/material/Button';
import { Entry, Field, Fields, Wrong } from '@/ui/kit/field';
import { BecauseThis, Row, Rows } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Fold, Notice } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';

/** Comes when it is asked for. */
const CostsForm = dynamic(() => import('./CostsForm').then((m) => m.CostsForm));

/** When to change it by cost and by risk, for what a change and a failure cost here. */
export function ChangeRows({ line }: { line: LifeSheet }) {
  const query = useQuery('life');
  const router = useRouter();
  const here = line.costs.costs;
  const amount = (n: number | undefined) => (n === undefined ? '' : n.toFixed(2));
  const [planned, setPlanned] = useState(
    query.get('planned') ??
      (here ? amount(here.value.planned) : line.edge.cents ? money(Math.round(line.edge.cents)) : ''),
  );
  const [failed, setFailed] = useState(query.get('failed') ?? amount(here?.value.failure));
  const [part, setPart] = useState(query.get('part') ?? '');
  const [tried, setTried] = useState(false);
  if (!line.weibull)
    return (
      <>
        <h2>When to change</h2>
        <p className="soft">Cannot say by cost: {line.noWeibull}. Run to the sign.</p>
      </>
    );
  const noAmount = (text: string) =>
    (readCents(text) ?? 0) > 0 ? null : 'an amount over 0, two decimals at most';
  const wrong = {
    planned: noAmount(planned),
    failed: noAmount(failed),
    part: part.trim() === '' || (parseNumber(part) ?? 0) > 0 ? null : 'minutes, more than 0',
  };
  /** What changes cost here is not written into the address: it follows what the shop says. */
  const asHere = !!here && planned === amount(here.value.planned) && failed === amount(here.value.failure);
  const ask = () => {
    setTried(true);
    if (wrong.planned ?? wrong.failed ?? wrong.part) return;
    router.replace(
      query.href({
        ...{ item: line.item.code, material: line.material.code },
        ...(asHere ? { planned: null, failed: null } : { planned: planned.trim(), failed: failed.trim() }),
        part: part.trim() || null,
      }),
      { scroll: false },
    );
  };
  const field = (
    id: 'planned' | 'failed' | 'part',
    label: string,
    value: string,
    set: (v: string) => void,
  ) => (
    <Field>
      <label htmlFor={id}>{label}</label>
      <Entry
        id={id}
        className="fig"
        inputMode="decimal"
        value={value}
        aria-invalid={tried && wrong[id] !== null}
        onChange={(e) => set(e.target.value)}
      />
      {tried && wrong[id] && <Wrong>{wrong[id]}</Wrong>}
    </Field>
  );
  return (
    <>
      <h2>When to change</h2>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          ask();
        }}
      >
        <Fields>
          {field('planned', 'A planned change costs', planned, setPlanned)}
          {field('failed', 'A failure in the cut costs', failed, setFailed)}
          {field('part', 'Minutes in the cut a part', part, setPart)}
        </Fields>
        <Acts>
          <Button type="submit">Reckon</Button>
        </Acts>
      </form>
      {here && !query.get('planned') && (
        <BecauseThis because={here.because} label="what they cost here, because" />
      )}
      {here && here.assumed.length > 0 && (
        <p className="soft small">Not known, and left out: {here.assumed.join(', ')}.</p>
      )}
      {!here && line.costs.said && (
        <p className="soft small">
          What an edge of it costs is not known: enter its price with its supplier.
        </p>
      )}
      <Fold
        label={line.costs.said ? 'Changes cost something else by now' : 'Say once what changes cost here'}
      >
        <CostsForm said={line.costs.said} />
      </Fold>
      {line.changeAt && (
        <p className="soft small">
          At {line.changeAt.rpm} rev/min: {line.changeAt.lives} lives near it, those of other speeds taken
          there by n {line.changeAt.by.n.toFixed(2)} ({line.changeAt.by.origin}). The curve above is of them
          as they were cut.{line.changeAt.noLaw && ` No law of them can be said: ${line.changeAt.noLaw}.`}{' '}
          <Link href={query.href({ rpm: null })}>of all speeds together</Link>
        </p>
      )}
      {line.change && (
        <Changed line={line} change={line.change} per={query.get('part') ? 'a part' : 'a minute'} />
      )}
    </>
  );
}

function Changed({
  line,
  change,
  per,
}: {
  line: LifeSheet;
  change: NonNullable<LifeSheet['change']>;
  per: string;
}) {
  const best =
    change.minutes === null
      ? 'run to the sign'
      : change.parts === null
        ? `${change.minutes.toFixed(0)} min`
        : `${change.parts} part${change.parts === 1 ? '' : 's'}`;
  const flat =
    change.flat &&
    `as good from ${change.flat.from.toFixed(0)} ${change.flat.to === null ? 'min on' : `to ${change.flat.to.toFixed(0)} min`}`;
  return (
    <>
      {agesBy(line) !== 'wears out' && change.minutes !== null && (
        <Notice>
          The lives do not say for sure that it wears out with age: where it fails by chance, no planned
          change pays.
        </Notice>
      )}
      <Rows>
        <Row name="By cost, change at" note={change.why ?? flat ?? undefined} big>
          {best}
        </Row>
        <Row name={`Costs ${per}`} note={`run to the sign ${change.runToSign.toFixed(2)}`}>
          {change.cost.toFixed(2)}
        </Row>
        {change.minutes !== null && <Row name="It saves">{`${Math.round(change.saving * 100)} %`}</Row>}
        {change.risks.map((r) => (
          <Row key={r.share} name={`${Math.round(r.share * 100)} % have failed by`}>
            {r.minutes.toFixed(0)} min
          </Row>
        ))}
      </Rows>
      <ChangeChart change={change} per={per} />
      <BecauseThis because={change.because} label="when by cost, because" />
      <p className="soft small">
        A planned change: edge and the minutes to change it. A failure: part, cleaning, edge and minutes lost.
        A suggestion, not permission; never in mid-feature.
      </p>
    </>
  );
}
