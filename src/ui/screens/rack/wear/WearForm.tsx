'use client';
import { useState } from 'react';
import { CHIPS, CHIPS_NAMES, type SignSeen } from '@/core/life';
import type { AssemblyView } from '@/crib/rack';
import { VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { useLengths } from '@/ui/shell';
import { SignPicks } from './SignPicks';

/** What was read of an edge: one figure is enough, and what was not looked at stays empty. */
export function WearForm({ card, onDone }: { card: AssemblyView; onDone: () => void }) {
  const { show } = useLengths();
  const [signs, setSigns] = useState<SignSeen[]>([]);
  const { wear } = card;
  return (
    <>
      <h2>Wear of its edge</h2>
      <VerbForm
        verb="recordWear"
        fixed={signs.length ? { tag: card.tag, signs } : { tag: card.tag }}
        submit="Record"
        when
        fields={[
          {
            name: 'flankWear',
            label: 'Flank wear VB',
            kind: 'length',
            help: `worn at ${show(wear.limitMm, 2)}. ${wear.limit.because.words}`,
          },
          {
            name: 'corner',
            label: 'Corner, or one spot',
            kind: 'length',
            help: `worn at ${show(wear.cornerLimitMm, 2)}`,
          },
          {
            name: 'chips',
            label: 'Chips out of the edge',
            kind: 'choice',
            options: CHIPS_NAMES.map((c) => [c, CHIPS[c]] as const),
          },
          { name: 'drift', label: 'Size since it was fresh', kind: 'length', help: '+ grew, − shrank' },
          { name: 'zoneFrom', label: 'Worn from', kind: 'length', help: 'from the tip; blank is the tip' },
          { name: 'zoneTo', label: 'Worn to', kind: 'length', help: 'where a sharp flute begins' },
          { name: 'runout', label: 'Runout at the tip', kind: 'length' },
        ]}
        said={() => `the edge of ${card.tag} read`}
        onDone={onDone}
      >
        <SignPicks value={signs} onChange={setSigns} />
      </VerbForm>
      <Caution>
        Read wear with the spindle stopped and the coolant off, or the tool out of the machine; the edge cuts
        even worn.
      </Caution>
    </>
  );
}
