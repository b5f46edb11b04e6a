'use client';
import type { Gear } from '@/core/cutting';
import { type FieldOf, VerbForm } from '@/ui/kit/form';

/** What the spindle of a machine gives, gear by gear: the bench holds a cut against it. */
export function Spindle({ machine, gears }: { machine: string; gears: readonly Gear[] }) {
  return (
    <>
      <h2>What its spindle gives</h2>
      <p className="soft small">
        Torque up to where that comes to its power, power from there on: as its plate or its maker’s chart
        says. One without gears is stated as its only one.
      </p>
      <VerbForm
        key={JSON.stringify(gears)}
        verb="stateSpindle"
        fixed={{ machine }}
        submit="State it"
        fields={(['only', 'low', 'high'] as const).flatMap((name) =>
          fieldsOf(
            name,
            gears.find((g) => g.name === name),
          ),
        )}
        said={(d) => `${d.code}: what its spindle gives is stated`}
      />
    </>
  );
}

const WORDS = { only: 'Its only gear', low: 'or its low gear', high: 'and its high gear' } as const;

function fieldsOf(name: Gear['name'], gear: Gear | undefined): FieldOf<'stateSpindle'>[] {
  const figure = (of: 'from' | 'to' | 'kw' | 'nm', label: string): FieldOf<'stateSpindle'> => ({
    ...{ name: `${name}.${of}`, label, kind: 'number', optional: true },
    start: gear ? String(gear[of]) : '',
  });
  return [
    { name, label: WORDS[name], kind: 'legend' },
    figure('from', 'from rev/min'),
    figure('to', 'to rev/min'),
    figure('kw', 'kW'),
    figure('nm', 'N m'),
  ];
}
