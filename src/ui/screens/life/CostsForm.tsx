'use client';
import type { CostsSaid } from '@/core/life';
import { money } from '@/core/units';
import { VerbForm } from '@/ui/kit/form';

/** What a change and a failure cost here beside the edge, said once for all cutters. */
export function CostsForm({ said }: { said: CostsSaid | null }) {
  const now = (text: string | undefined) => (text === undefined ? undefined : `now ${text}`);
  return (
    <>
      <VerbForm
        verb="setChangeCosts"
        submit="It costs that here"
        fields={[
          {
            name: 'minuteCents',
            label: 'A minute of machine and person',
            kind: 'money',
            help: now(said ? money(said.minuteCents) : undefined),
          },
          {
            name: 'changeMinutes',
            label: 'Minutes a planned change takes',
            kind: 'number',
            help: now(said ? String(said.changeMinutes) : undefined),
          },
          {
            name: 'failureMinutes',
            label: 'Minutes a failure loses besides',
            kind: 'number',
            help: now(said ? String(said.failureMinutes) : undefined),
          },
          {
            name: 'partCents',
            label: 'A lost part',
            kind: 'money',
            optional: true,
            help: now(said?.partCents == null ? undefined : money(said.partCents)),
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
