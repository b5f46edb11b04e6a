'use client';
import type { ItemLine } from '@/crib/catalogue';
import { VerbForm } from '@/ui/kit/form';

export function StandingForms({ item }: { item: ItemLine }) {
  return (
    <>
      <h2>How it stands</h2>
      <VerbForm
        verb="stateStanding"
        fixed={{ item: item.code }}
        submit="Say so"
        fields={[
          {
            name: 'standing',
            label: 'It is',
            kind: 'choice',
            options: [
              ['approved', 'approved'],
              ['trial', 'on trial'],
              ['discontinued', 'no longer made'],
              ['rejected', 'not to be used here'],
            ],
          },
          { name: 'reason', label: 'Why' },
        ]}
        said={(d) => `${item.code}: ${d.standing}`}
      />
      <h2>It follows another</h2>
      <VerbForm
        verb="linkItem"
        fixed={{ item: item.code }}
        submit="Link"
        fields={[
          { name: 'earlier', label: 'The other, by code' },
          {
            name: 'relation',
            label: 'This one is its',
            kind: 'choice',
            options: [
              ['version', 'newer version'],
              ['substitute', 'approved substitute'],
            ],
          },
          { name: 'reason', label: 'Why: renamed grade, changed geometry, number dropped', wide: true },
        ]}
        said={(d) => `${item.code} linked to ${d.earlier}`}
      />
    </>
  );
}
