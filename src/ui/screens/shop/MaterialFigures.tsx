'use client';
import { ORIGIN_WORDS, ORIGINS } from '@/core/cutters';
import { middle, STARTING_MATERIALS, startingOf } from '@/core/cutting';
import type { ShopView } from '@/crib/shop';
import { VerbForm } from '@/ui/kit/form';

type Material = ShopView['materials'][number];

/** What a work material takes to cut. What ships is a place to begin, shown beside and never filled in. */
export function MaterialFigures({ material: m }: { material: Material }) {
  const name = startingOf(m.code);
  const begin = name === null ? null : STARTING_MATERIALS[name];
  const text = (n: number | null) => (n === null ? '' : String(n));
  return (
    <>
      <h2>What it takes to cut</h2>
      <p className="small">
        {m.origin === null ? 'Nobody stated it yet.' : `Stated: ${ORIGIN_WORDS[m.origin]}.`}
        {begin && (
          <span className="soft">
            {' '}
            A place to begin, from memory of tables: kc1.1 {middle(begin.kc11)}, mc {middle(begin.mc)},{' '}
            {begin.density} g/cm³.
          </span>
        )}
      </p>
      <VerbForm
        key={`${m.code} ${m.kc11} ${m.mc} ${m.density} ${m.unitPower} ${m.hardness} ${m.origin}`}
        verb="stateMaterial"
        fixed={{ material: m.code }}
        submit="State it"
        fields={[
          { name: 'kc11', label: 'kc1.1, N/mm²', kind: 'number', optional: true, start: text(m.kc11) },
          { name: 'mc', label: 'mc', kind: 'number', optional: true, start: text(m.mc) },
          {
            name: 'density',
            label: 'Density, g/cm³',
            kind: 'number',
            optional: true,
            start: text(m.density),
          },
          {
            ...{ name: 'unitPower', label: 'Unit power, hp per in³/min', kind: 'number', optional: true },
            start: text(m.unitPower),
          },
          { name: 'hardness', label: 'Hardness', optional: true, start: m.hardness ?? '' },
          {
            ...{ name: 'origin', label: 'Where from', kind: 'choice', start: m.origin ?? '' },
            options: ORIGINS.map((o) => [o, ORIGIN_WORDS[o]] as const),
          },
          { name: 'words', label: 'Which table, which measurement', optional: true, wide: true },
        ]}
        said={(d) => `what ${d.code} takes to cut is stated`}
      />
    </>
  );
}
