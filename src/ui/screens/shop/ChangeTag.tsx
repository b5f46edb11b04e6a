'use client';
import type { SetUpKind } from '@/core/setUp';
import type { ShopView } from '@/crib/shop';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { MaterialFigures } from './MaterialFigures';

/** One of what was set up once, as it stands in a list. */
export interface SetUpLine {
  code: string;
  name: string;
  inUse: boolean;
  /** What stands beside its name. */
  more: string;
  leadTimeDays?: number | null;
  /** Of a material: what it takes to cut. */
  material?: ShopView['materials'][number];
}

/** What is set up once, by its kind; built-in places are nobody's to change. */
export const linesOf = (shop: ShopView): Record<SetUpKind, SetUpLine[]> => ({
  person: shop.people.map((p) => ({ ...p, code: p.initials, more: '' })),
  place: shop.places.flatMap((p) => (p.entryId === null ? [] : [{ ...p, more: '' }])),
  machine: shop.machines.map((m) => ({ ...m, more: m.taper })),
  material: shop.materials.map((m) => ({ ...m, more: `ISO ${m.isoGroup}`, material: m })),
  supplier: shop.suppliers.map((s) => ({
    ...s,
    more: s.leadTimeDays === null ? 'lead time not known' : `${s.leadTimeDays} days`,
  })),
});

const GOES: Record<SetUpKind, string> = {
  person: 'Out of use: signs nothing more and is lent nothing. What they signed stays signed.',
  place: 'Out of use: nothing goes there any more. It must be empty first.',
  machine: 'Out of use: no new job goes on it. Its jobs must be done, closed or cancelled first.',
  material: 'Out of use: no new job is cut in it. Lives in it stay known.',
  supplier: 'Out of use: nothing is ordered there any more. What is on order can still come.',
};

/** Calls it otherwise, or says whether it is still in use. */
export const ChangeForm = ({ kind, line }: { kind: SetUpKind; line: SetUpLine }) => (
  <>
    <p className="soft small">{GOES[kind]}</p>
    <VerbForm
      key={`${line.code} ${line.name} ${line.inUse}`}
      verb="changeSetUp"
      fixed={{ what: kind, code: line.code }}
      submit="Change"
      fields={[
        { name: 'name', label: 'Name', start: line.name, wide: true },
        ...(kind === 'supplier' ? [leadTime(line.leadTimeDays ?? null)] : []),
        {
          name: 'inUse',
          label: 'It is',
          kind: 'choice',
          start: line.inUse ? 'yes' : 'no',
          options: [
            ['yes', 'in use'],
            ['no', 'out of use'],
          ],
        },
        { name: 'reason', label: 'Why', optional: true, wide: true },
      ]}
      said={(d) => `${d.code}, ${d.name}: ${d.inUse ? 'in use' : 'out of use'}`}
    />
  </>
);

const leadTime = (days: number | null): FieldSpec<'leadTimeDays'> => ({
  name: 'leadTimeDays',
  label: 'Lead time, calendar days',
  kind: 'whole',
  optional: true,
  start: days === null ? '' : String(days),
});

/** One person, place, material or supplier, open to be changed. */
export function ChangeTag({ kind, line, over }: { kind: SetUpKind; line: SetUpLine; over: string }) {
  const query = useQuery('machines');
  return (
    <Tag
      over={over}
      number={line.code}
      words={[line.name, line.more, !line.inUse && 'out of use'].filter(Boolean).join(', ')}
      closeHref={query.href({ open: null, what: null })}
    >
      {line.material && <MaterialFigures material={line.material} />}
      <ChangeForm kind={kind} line={line} />
    </Tag>
  );
}
