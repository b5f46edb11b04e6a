'use client';
import { DEFAULTS } from '@/core/defaults';
import { timesTold } from '@/core/life';
import type { LifeSheet } from '@/crib/life';
import { VerbForm } from '@/ui/kit/form';
import { Fold } from '@/ui/kit/page';
import { items } from '@/ui/screens/common/found';

/** Tries another cutter against the one that is open, in the same material. */
export function TryForm({ line }: { line: LifeSheet }) {
  const shape = line.weibull?.shape ?? DEFAULTS.shapeOfLives;
  return (
    <Fold label={`try another against ${line.item.code}`}>
      <p className="soft small">
        The two go in by turns, so that what changes in the shop meets both alike: whoever ends a life or
        builds is offered whose turn it is.
      </p>
      <VerbForm
        verb="beginTrial"
        fixed={{ first: line.item.code, material: line.material.code }}
        submit="Begin the trial"
        fields={[
          { name: 'second', label: 'The other one', kind: 'search', wide: true, search: items },
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
        said={(d) => `${d.number}: ${d.first} tried against ${d.second}`}
      />
    </Fold>
  );
}
