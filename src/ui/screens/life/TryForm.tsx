'use client';
import { DEFAULTS } from '@/core/defaults';
import { timesTold } from '@/core/life';
import type { LifeSheet, LifeView } from '@/crib/life';
import { VerbForm } from '@/ui/kit/form';
import { items } from '@/ui/screens/common/found';

/** Tries another cutter against the one that is open, in the same material. */
export function TryForm({ line, onDone }: { line: LifeSheet; onDone: () => void }) {
  const shape = line.weibull?.shape ?? DEFAULTS.shapeOfLives;
  return (
    <>
      <h2>Try another against {line.item.code}</h2>
      <p className="soft small">
        The two go in by turns, so that what changes in the shop meets both alike: whoever ends a life or
        builds is offered whose turn it is.
      </p>
      <VerbForm
        verb="beginTrial"
        fixed={{ item: line.item.code, material: line.material.code }}
        submit="Begin the trial"
        fields={[
          { name: 'against', label: 'The other one', kind: 'search', wide: true, search: items },
          { name: 'failuresEach', label: 'Failures of each', kind: 'whole', start: '6' },
          { name: 'why', label: 'Why', optional: true, wide: true },
        ]}
        below={({ failuresEach }) => {
          const n = Number(failuresEach);
          if (!(Number.isInteger(n) && n > 0 && n <= 50)) return null;
          const times = timesTold(n, shape);
          return (
            <p className="soft small">
              {times === null
                ? `${n} of each tell next to nothing: take more.`
                : `${n} of each tell one that lasts ${times.toFixed(1)} times as long in four of five trials at least; less of a difference mostly stays open.`}
            </p>
          );
        }}
        begin
        onDone={onDone}
        said={(d) => `${d.number}: ${d.first} tried against ${d.second}`}
      />
    </>
  );
}

/** Decides a trial: which won, or neither, and why where the lives do not say so. */
export function EndTrialForm({
  trial: t,
  onDone,
}: {
  trial: LifeView['trials'][number];
  onDone: () => void;
}) {
  const { row } = t;
  return (
    <VerbForm
      verb="endTrial"
      fixed={{ trial: row.number }}
      submit="End it"
      fields={[
        {
          name: 'winner',
          label: 'Which one won',
          kind: 'choice',
          optional: true,
          options: (['first', 'second'] as const).map((side) => [side, row[side]] as const),
          start: t.longer ?? '',
          help: 'left open: neither; what lies of the loser is used up first',
        },
        {
          name: 'words',
          label: 'Why',
          wide: true,
          optional: t.state !== 'going',
          help: 'needed where the lives do not say so themselves',
        },
      ]}
      begin
      onDone={onDone}
      said={(d) => `${row.number} ended${d.winner === null ? '' : `: ${d.winner} won`}`}
    />
  );
}
