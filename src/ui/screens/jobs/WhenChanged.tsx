'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { CHANGE_BASES, speedOf } from '@/core/jobs';
import { agesBy, amountWords, MEASURE_NAMES, MEASURES } from '@/core/life';
import { linkTo } from '@/core/links';
import { namesOf } from '@/core/names';
import type { JobLine } from '@/crib/jobs';
import type { LifeSheet } from '@/crib/life';
import { VerbForm } from '@/ui/kit/form';
import { Link } from '@/ui/kit/link';
import { Acts, Fold } from '@/ui/kit/page';
import { ask } from '@/ui/screens/common/ask';
import { EntryBack } from '@/ui/screens/common/EntryBack';
import { percent } from '@/ui/screens/common/percent';
import { useLengths } from '@/ui/shell';

type ToolLine = JobLine['tools'][number];

/** When the cutter of a T is changed, in words. Example: 'changed after 40 parts, by cost; worn here at 0.10 mm of its flank'. */
export function changedWords(
  change: ToolLine['change'],
  { entered, unitWord }: ReturnType<typeof useLengths>,
): string {
  const worn = [
    change?.flankMm == null
      ? null
      : `${entered(change.flankEntered, change.flankMm, 2)} ${unitWord} of its flank`,
    change?.cornerMm == null
      ? null
      : `${entered(change.cornerEntered, change.cornerMm, 2)} ${unitWord} of a corner`,
  ].filter(Boolean);
  return [afterWords(change), ...(worn.length ? [`worn here at ${worn.join(', ')}`] : [])].join('; ');
}

/** Example: 'changed after 800 holes, by the maker’s figure, which is 133 parts'. */
function afterWords(change: ToolLine['change']): string {
  if (!change || (change.parts === null && change.amount === null)) return 'runs until a sign shows';
  const { parts, amount, counts, basis, each } = change;
  const counted = amount !== null && counts !== null;
  return [
    `changed after ${counted ? amountWords(amount, counts) : `${parts} parts`}`,
    ...(basis ? [CHANGE_BASES[basis]] : []),
    ...(counted ? [each === null ? 'which its program does not count' : `which is ${each} parts`] : []),
  ].join(', ');
}

/** Two schools: run to the sign, or change after a number of parts; said here for a T. */
export function WhenChanged({
  operation,
  material,
  tool: { t, change, minutesPerPart, tool },
  item,
}: {
  operation: number;
  material: string;
  tool: ToolLine;
  /** What stands on it, to look up when it pays. */
  item: string | null;
}) {
  const [put, setPut] = useState<Record<string, string> | null>(null);
  const lengths = useLengths();
  const rpm = wholeSpeed(speedOf(tool));
  return (
    <Fold label={`T${t} ${changedWords(change, lengths)}`}>
      {item && minutesPerPart > 0 && (
        <WhenItPays item={item} material={material} minutes={minutesPerPart} rpm={rpm} onTake={setPut} />
      )}
      <VerbForm
        // What was said is in its fields: left as they are, they say it again.
        verb="stateChange"
        put={put}
        fixed={{ operation, t, over: change?.entryId ?? 0 }}
        submit="So it is changed"
        fields={[
          {
            name: 'parts',
            label: 'After so many parts',
            kind: 'whole',
            optional: true,
            start: change?.parts == null ? '' : String(change.parts),
            help: 'of this job; all blank: when a sign shows',
          },
          {
            ...{ name: 'amount', label: 'Or after so much', kind: 'number', optional: true },
            start: change?.amount == null ? '' : String(change.amount),
            help: 'of what its edge cut, on whatever job',
          },
          {
            ...{ name: 'counts', label: 'counted in', kind: 'choice', optional: true },
            start: change?.counts ?? '',
            options: MEASURE_NAMES.map((m) => [m, MEASURES[m].words] as const),
          },
          {
            name: 'basis',
            label: 'Chosen',
            kind: 'choice',
            optional: true,
            start: change?.basis ?? '',
            options: namesOf(CHANGE_BASES).map((b) => [b, CHANGE_BASES[b]] as const),
          },
          {
            ...{ name: 'flank', label: 'Worn here at, of its flank', kind: 'length', optional: true },
            start: change?.flankEntered ?? '',
            help: 'blank: as usual. A finisher is often changed sooner; its lives then say nothing of it',
          },
          {
            ...{ name: 'corner', label: 'of a corner', kind: 'length', optional: true },
            start: change?.cornerEntered ?? '',
            help: 'blank: as usual',
          },
        ]}
        said={(d) =>
          d.after
            ? `T${d.t} is changed after ${d.after}`
            : d.parts === null
              ? `T${d.t} runs until a sign shows`
              : `T${d.t} is changed after ${d.parts} parts`
        }
      />
      {change && (
        <p className="soft small">
          said by {change.who} <EntryBack entry={change.entryId} what={`when T${t} is changed`} />
        </p>
      )}
      {item && (
        <p className="small">
          <Link
            href={linkTo('life', {
              ...{ item, material },
              ...(minutesPerPart > 0 ? { part: partText(minutesPerPart) } : {}),
              rpm,
            })}
          >
            what a planned change of {item} would cost
          </Link>
        </p>
      )}
    </Fold>
  );
}

/** A speed as an address says it. */
const wholeSpeed = (rpm: number | null) => (rpm === null ? undefined : Math.round(rpm));

/** Parts are said instead of an amount. */
const INSTEAD = { amount: '', counts: '' };

/** Minutes of a part as an address says them; never none of something. */
const partText = (minutes: number): string => Math.max(0.001, minutes).toFixed(3);

/** After how many parts a change pays, and after how many few have failed: asked for when somebody wants to know, taken by a tap. */
function WhenItPays({
  item,
  material,
  minutes,
  rpm,
  onTake,
}: {
  item: string;
  material: string;
  minutes: number;
  /** The one speed it runs at, rev/min; left out: several, or not known. */
  rpm: number | undefined;
  onTake: (fields: Record<string, string>) => void;
}) {
  const [life, setLife] = useState<LifeSheet | 'asked' | string | null>(null);
  const look = () => {
    setLife('asked');
    ask<LifeSheet | null>('life', {
      item,
      material,
      part: partText(minutes),
      ...(rpm && { rpm: String(rpm) }),
    }).then(
      (sheet) => setLife(sheet ?? `no life of ${item} in ${material} is known yet`),
      () => setLife('no answer came: try again'),
    );
  };
  if (life === null)
    return (
      <Button size="small" variant="text" onClick={look}>
        when would a change pay?
      </Button>
    );
  if (typeof life === 'string')
    return <p className="soft small">{life === 'asked' ? 'reckoning …' : `Cannot say: ${life}.`}</p>;
  const { change } = life;
  if (!change)
    return (
      <p className="soft small">
        Cannot say:{' '}
        {life.changeAt?.noLaw ??
          life.noWeibull ??
          (life.costs.said
            ? `what an edge of ${item} costs is not known`
            : 'nobody said yet what changes cost here (on Life)')}
        .
      </p>
    );
  const risky = change.risks.flatMap(({ share, minutes: by }) => {
    const parts = Math.floor(by / minutes + 1e-9);
    return parts >= 1 ? [{ share, parts }] : [];
  });
  return (
    <>
      <p className="soft small">
        {change.parts === null
          ? `By cost: run to the sign, ${change.why ?? 'no planned change pays'}.`
          : `A planned change costs ${change.costs.planned.toFixed(2)}, a failure ${change.costs.failure.toFixed(2)}.`}
      </p>
      {life.changeAt && (
        <p className="soft small">
          By {life.changeAt.lives} lives near it, as they come to at {life.changeAt.rpm} rev/min, n{' '}
          {life.changeAt.by.n.toFixed(2)}.
        </p>
      )}
      {agesBy(life) !== 'wears out' && change.parts !== null && (
        <p className="soft small">
          The lives do not say for sure that it wears out with age: where it fails by chance, no planned
          change pays.
        </p>
      )}
      <Acts>
        {change.parts !== null && (
          <Button
            size="small"
            onClick={() => onTake({ parts: String(change.parts), basis: 'cost', ...INSTEAD })}
          >
            {change.parts} parts: costs least, saves {percent(change.saving)}
          </Button>
        )}
        {risky.map(({ share, parts }) => (
          <Button
            key={share}
            size="small"
            variant="text"
            onClick={() => onTake({ parts: String(parts), basis: 'risk', ...INSTEAD })}
          >
            {parts} parts: {percent(share)} have failed
          </Button>
        ))}
      </Acts>
    </>
  );
}
