'use client';
import { useState } from 'react';
import type { HolderRule } from '@/core/holders';
import { VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';

/** Gives one of an item that lies here its mark. */
export function MarkTag({ closeHref }: { closeHref: string }) {
  const query = useQuery('holders');
  const [mark, setMark] = useState<string | null>(null);
  return (
    <Tag over="New" number="Mark" closeHref={closeHref}>
      <p className="soft">
        One holder, extension or collet that lies in the crib gets a number of its own. One that is built is
        marked on its tag on the rack.
      </p>
      <VerbForm
        verb="markHolder"
        submit="Give it a mark"
        fields={[
          { name: 'item', label: 'What it is', kind: 'search', search: items, wide: true },
          { name: 'since', label: 'In use since', kind: 'day', optional: true },
        ]}
        said={(d) => `${d.mark} is a ${d.item}: put that number on it`}
        onDone={(d) => setMark(d.mark)}
      />
      {mark && (
        <p>
          <strong className="fig">{mark}</strong>: write it on with an etching pen or a label, never with a
          punch on a taper or flange. <a href={query.href({ new: null, open: mark })}>Open it</a>
        </p>
      )}
    </Tag>
  );
}

/** What somebody found who looked it over on the bench. */
export const LookForm = ({ mark, onDone }: { mark: string; onDone: () => void }) => (
  <>
    <h2>Look it over</h2>
    <ul className="small">
      <li>Taper and flange under good light: bruises, rust, polished or fretted rings.</li>
      <li>Contact with blue in a ring gauge, where there is one.</li>
      <li>Bore or nut: worn, bell-mouthed, thread that binds. Screws and key slots.</li>
      <li>A test bar in it under a dial: runout near the nose and farther out.</li>
    </ul>
    <VerbForm
      verb="lookOverHolder"
      fixed={{ mark }}
      submit="Record it"
      when
      begin
      fields={[
        {
          name: 'found',
          label: 'Found',
          kind: 'choice',
          options: [
            ['good', 'good'],
            ['doubt', 'in doubt: somebody who knows must see it'],
            ['bad', 'no good: out of use'],
          ],
        },
        { name: 'runout', label: 'Runout on the test bar', kind: 'length', optional: true },
        { name: 'words', label: 'What was found', wide: true, optional: true },
      ]}
      said={(d) => `${d.mark}: recorded`}
      onDone={onDone}
    />
    <Caution>
      Do not stone or file a taper here to make it fit: what is bruised goes to the maker or to scrap, by your
      shop’s rule.
    </Caution>
  </>
);

export const StudForm = ({ mark, onDone }: { mark: string; onDone: () => void }) => (
  <>
    <h2>Its pull stud was changed</h2>
    <VerbForm
      verb="changeStud"
      fixed={{ mark }}
      submit="Record it"
      when
      begin
      fields={[
        { name: 'stud', label: 'Which is in now', kind: 'search', search: items, wide: true, optional: true },
        { name: 'torque', label: 'Tightened to, N m', kind: 'number', optional: true },
        { name: 'words', label: 'Note of it', wide: true, optional: true },
      ]}
      said={(d) => `${d.mark} has a new pull stud`}
      onDone={onDone}
    />
    <Caution>
      The stud of this machine and no other, new, to its maker’s torque: the wrong one, or one that cracked,
      lets the tool go at speed. Whoever is trained for it changes it.
    </Caution>
  </>
);

export const FellForm = ({ of, onDone }: { of: { mark: string } | { tag: string }; onDone: () => void }) => (
  <>
    <h2>It was dropped</h2>
    <p className="soft small">
      It runs nowhere until somebody looked it over, and what was measured of it is measured again. Nobody is
      blamed: what is not said hurts somebody.
    </p>
    <VerbForm
      verb="dropHolder"
      fixed={of}
      submit="It was dropped"
      when
      begin
      fields={[
        { name: 'words', label: 'How, and on what', wide: true, optional: true },
        { name: 'by', label: 'Who can tell more', optional: true },
      ]}
      said={(d) => `${d.marks.join(', ')} must be looked over`}
      onDone={onDone}
    />
    <Caution>
      A cutter that fell may be cracked, a carbide one above all: eyes covered, and look at its edges under a
      loupe.
    </Caution>
  </>
);

/** The shop's rule, or an item's own; what is left empty is not asked for. */
export function RuleForm({ rule, item }: { rule: HolderRule; item: string | null }) {
  const { show } = useLengths();
  // What was said before stands in it, so that who changes one figure does not drop the others.
  const isSaid = rule.from === (item === null ? 'the shop’s' : 'its own');
  const now = (n: number | null) => (n === null ? {} : isSaid ? { start: String(n) } : { help: `now ${n}` });
  return (
    <>
      <VerbForm
        key={JSON.stringify(rule)}
        verb="setHolderRule"
        fixed={item === null ? {} : { item }}
        submit={item === null ? 'It is our rule' : `It is the rule of ${item}`}
        fields={[
          {
            name: 'lookMonths',
            label: 'Look over after, months',
            kind: 'number',
            optional: true,
            ...now(rule.lookMonths),
          },
          {
            name: 'lookClampings',
            label: 'or after clampings',
            kind: 'number',
            optional: true,
            ...now(rule.lookClampings),
          },
          {
            name: 'studMonths',
            label: 'New pull stud after, months',
            kind: 'number',
            optional: true,
            ...now(rule.studMonths),
          },
          {
            name: 'runout',
            label: 'Runout at most',
            kind: 'length',
            optional: true,
            ...(isSaid ? { start: `${rule.runoutMm} mm` } : { help: `now ${show(rule.runoutMm, 3)}` }),
          },
        ]}
        said={(d) => (d.item ? `rule of ${d.item} recorded` : 'the shop’s rule recorded')}
      />
      <p className="soft small">
        What is left empty is not asked for. The makers of holder, collet and stud state their own times:
        those go before what is assumed here.
      </p>
    </>
  );
}
