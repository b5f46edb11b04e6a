'use client';
import type { CostsSaid } from '@/core/life';
import { money } from '@/core/units';
import { VerbForm } from '@/ui/kit/form';

/** What a change and a failure cost here beside the edge, said once for all cutters; what was said stands in it, to be changed. */
export function CostsForm({ said }: { said: CostsSaid | null }) {
  return (
    <>
      <VerbForm
        key={JSON.stringify(said)}
        verb="setChangeCosts"
        submit="It costs that here"
        fields={[
          {
            name: 'minuteCents',
            label: 'A minute of machine and person',
            kind: 'money',
            start: said ? money(said.minuteCents) : '',
          },
          {
            name: 'changeMinutes',
            label: 'Minutes a planned change takes',
            kind: 'number',
            start: said ? String(said.changeMinutes) : '',
          },
          {
            name: 'failureMinutes',
            label: 'Minutes a failure loses besides',
            kind: 'number',
            start: said ? String(said.failureMinutes) : '',
          },
          {
            name: 'partCents',
            label: 'A lost part',
            kind: 'money',
            optional: true,
            start: said?.partCents == null ? '' : money(said.partCents),
          },
        ]}
        said={() => 'recorded: every cutter is reckoned with it'}
      />
      <p className="soft small">
        What failures lose is learnt from those that were written down at the machine; what is said here
        counts as three of them.
      </p>
    </>
  );
}
