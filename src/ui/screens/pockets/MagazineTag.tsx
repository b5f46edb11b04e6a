'use client';
import { MAGAZINES } from '@/core/pockets';
import type { Takes } from '@/core/registers';
import type { PocketsView } from '@/crib/pockets';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useLengths } from '@/ui/shell';

const WORDS: Record<(typeof MAGAZINES)[number], string> = {
  carousel: 'carousel',
  chain: 'chain',
  rack: 'rack, in a line',
  turret: 'turret',
  'by hand': 'none: swapped by hand',
};

const TAKES_WORDS: readonly (readonly [Takes | '', string])[] = [
  ['', 'not known'],
  ['its own', 'those of the tool it put in'],
  ['as called', 'those the program calls'],
];

/** How a machine keeps its tools, with its maker's limits. */
export function MagazineTag({
  view: { machine, magazine: m },
  closeHref,
}: {
  view: PocketsView;
  closeHref: string;
}) {
  const { unit } = useLengths();
  const start = (text: string | null | undefined) => ({ start: text ?? '' });
  return (
    <Tag over={machine.code} number="Magazine" closeHref={closeHref}>
      <p className="soft">
        By its maker’s sheet. What is left blank is not known, and a tool is not judged by it.
      </p>
      <VerbForm
        key={`${unit} ${m?.entryId ?? ''}`}
        verb="stateMagazine"
        fixed={{ machine: machine.code }}
        submit="State it"
        fields={[
          {
            name: 'kind',
            label: 'Kind',
            kind: 'choice',
            options: MAGAZINES.map((k) => [k, WORDS[k]] as const),
            ...start(m?.kind),
          },
          {
            name: 'pockets',
            label: 'Pockets',
            kind: 'whole',
            help: '0 where there is none',
            ...start(m && String(m.pockets)),
          },
          {
            name: 'weight',
            label: 'Heaviest tool, kg',
            kind: 'number',
            optional: true,
            ...start(m?.weight == null ? null : String(m.weight)),
          },
          { name: 'length', label: 'Longest', kind: 'length', optional: true, ...start(m?.lengthEntered) },
          {
            name: 'diameter',
            label: 'Widest beside others',
            kind: 'length',
            optional: true,
            ...start(m?.diameterEntered),
          },
          { name: 'alone', label: 'Widest alone', kind: 'length', optional: true, ...start(m?.aloneEntered) },
          {
            name: 'takes',
            label: 'H and D after a change to a sister',
            kind: 'choice',
            optional: true,
            wide: true,
            options: TAKES_WORDS,
            ...start(m?.takes),
          },
        ]}
        said={(d) => `magazine of ${d.machine} stated`}
      />
    </Tag>
  );
}

/** A cutter kept in some machines under one number. */
export function KeepTag({
  view,
  machines,
  closeHref,
}: {
  view: PocketsView;
  machines: readonly string[];
  closeHref: string;
}) {
  return (
    <Tag over="In many machines under the same number" number="Keep a tool" closeHref={closeHref}>
      <p className="soft">
        What is kept here goes out last when room is made for a job. Without a cutter, nothing is kept under
        the number any more.
      </p>
      <VerbForm
        verb="keepTool"
        submit="Keep it"
        fields={[
          {
            name: 'machines',
            label: 'Machines',
            kind: 'several',
            wide: true,
            options: machines.map((m) => [m, m] as const),
            start: view.machine.code,
          },
          { name: 't', label: 'T', kind: 'whole' },
          { name: 'item', label: 'Cutter', kind: 'search', search: items, optional: true, wide: true },
        ]}
        said={(d) => (d.item ? `${d.item} is kept as T${d.t}` : `nothing is kept as T${d.t}`)}
      />
    </Tag>
  );
}
