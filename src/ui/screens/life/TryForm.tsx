'use client';
import { useMemo, useState } from 'react';
import { DEFAULTS } from '@/core/defaults';
import { timesTold, type Tried } from '@/core/life';
import type { LifeSheet, LifeView } from '@/crib/life';
import { PickOne } from '@/ui/kit/field';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { holderItems, items, recipesFor } from '@/ui/screens/common/found';

const WAYS: readonly (readonly [Tried, string])[] = [
  ['cutter', 'another cutter'],
  ['holder', 'two kinds of holders'],
  ['recipe', 'two recipes'],
];
/** How the turns come to be taken. */
const BY_TURNS: Readonly<Record<Tried, string>> = {
  cutter: 'whoever ends a life or builds is offered whose turn it is',
  holder: 'whoever builds is offered whose turn it is, and the machine’s screen says it',
  recipe: 'the machine’s screen says by which the next edge runs: plan its T so, and call the program of it',
};

/** Tries another cutter against the one that is open, or two holders or recipes by its lives, in the same material. */
export function TryForm({ line, onDone }: { line: LifeSheet; onDone: () => void }) {
  const [tries, setTries] = useState<Tried>('cutter');
  const shape = line.weibull?.shape ?? DEFAULTS.shapeOfLives;
  const recipes = useMemo(
    () => recipesFor(line.item.code, line.material.code),
    [line.item.code, line.material.code],
  );
  const search = { cutter: items, holder: holderItems, recipe: recipes }[tries];
  const pair: FieldSpec[] =
    tries === 'cutter'
      ? [{ name: 'against', label: 'The other one', kind: 'search', wide: true, search }]
      : [
          { name: 'first', label: 'The one', kind: 'search', wide: true, search },
          { name: 'against', label: 'The other one', kind: 'search', wide: true, search },
        ];
  return (
    <>
      <h2>Try another against {line.item.code}</h2>
      <PickOne label="What is tried" options={WAYS} value={tries} onChange={setTries} />
      <p className="soft small">
        The two go in by turns, so that what changes in the shop meets both alike: {BY_TURNS[tries]}.
        {tries !== 'cutter' && ` The lives of ${line.item.code} tell.`}
      </p>
      <VerbForm
        key={tries}
        verb="beginTrial"
        fixed={{ item: line.item.code, material: line.material.code, tries }}
        submit="Begin the trial"
        fields={[
          ...pair,
          { name: 'failuresEach', label: 'Failures of each', kind: 'whole', start: '6' },
          { name: 'why', label: 'Why', optional: true, wide: true },
        ]}
        shape={(input) => input}
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
          // Minutes alone decide nothing between recipes: the faster one takes off more in each.
          start: row.tried === 'recipe' ? '' : (t.longer ?? ''),
          help:
            row.tried === 'cutter'
              ? 'left open: neither; what lies of the loser is used up first'
              : 'left open: neither; the one that won goes first',
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
