'use client';
import { useRouter } from 'next/navigation';
import { FAMILY_NAMES, familySpec } from '@/core/cutters';
import type { KitView } from '@/crib/pockets';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';

/** What a T does, and what it is to be, before it is built. */
export function PlanTag({ kit, t }: { kit: KitView; t: number | null }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const plan = kit.tools.find((x) => x.t === t)?.plan ?? null;
  const mm = (n: number | undefined) => (n === undefined ? '' : `${n} mm`);
  // One that is out of use by now stays chosen until somebody chooses another.
  const offered = kit.recipes.map((r) => [r.code, `${r.code} ${r.words}`] as const);
  const recipes =
    plan?.recipe && !kit.recipes.some((r) => r.code === plan.recipe)
      ? [[plan.recipe, `${plan.recipe} as it was planned`] as const, ...offered]
      : offered;
  const next = Math.max(0, ...kit.tools.map((x) => x.t)) + 1;
  const fields: FieldOf<'planTool'>[] = [
    ...(t === null ? [{ name: 't' as const, label: 'T', kind: 'whole' as const, start: String(next) }] : []),
    { name: 'does', label: 'What it does', wide: true, optional: true, start: plan?.does ?? '' },
    {
      ...{ name: 'leavesSide', label: 'Leaves at the side', kind: 'length', optional: true },
      ...{ start: mm(plan?.leaves.side ?? undefined), help: '0: cuts to size' },
    },
    {
      ...{ name: 'leavesFloor', label: 'Leaves on the floor', kind: 'length', optional: true },
      start: mm(plan?.leaves.floor ?? undefined),
    },
    {
      ...{ name: 'recipe', label: 'Runs by the recipe', kind: 'choice', wide: true, optional: true },
      ...{ start: plan?.recipe ?? '', options: recipes },
    },
    {
      ...{ name: 'item', label: 'It is this cutter', kind: 'search', search: items },
      ...{ wide: true, optional: true, start: plan?.item ?? '' },
    },
    {
      ...{ name: 'sheet', label: 'or built by this sheet', optional: true, wide: true },
      ...{ start: plan?.sheet ?? '', help: 'code of a build sheet: BS-1' },
    },
    { name: 'must', label: 'or any that has', kind: 'legend' },
    {
      ...{
        name: 'must.family',
        label: 'Family',
        kind: 'choice',
        optional: true,
        start: plan?.must?.family ?? '',
      },
      options: FAMILY_NAMES.map((f) => [f, familySpec(f).words] as const),
    },
    { name: 'must.DC', label: 'DC', kind: 'length', optional: true, start: mm(plan?.must?.DC) },
    {
      name: 'must.LCF',
      label: 'Flute, at least',
      kind: 'length',
      optional: true,
      start: mm(plan?.must?.LCF),
    },
    { name: 'must.RE', label: 'Corner RE', kind: 'length', optional: true, start: mm(plan?.must?.RE) },
    {
      ...{ name: 'must.NOF', label: 'Flutes NOF', kind: 'whole', optional: true },
      start: plan?.must?.NOF === undefined ? '' : String(plan.must.NOF),
    },
  ];
  const fixed = {
    operation: kit.operation,
    ...(t === null ? {} : { t }),
    ...(plan ? { over: plan.entryId } : {}),
  };
  const closed = query.href({ do: 'kit', t: null });
  return (
    <Tag
      over={`${kit.job}, operation ${kit.number}`}
      number={t === null ? 'A tool' : `T${t}`}
      words="What is tied to it is held against this: another diameter or corner is a stop."
      closeHref={closed}
    >
      <VerbForm
        verb="planTool"
        fixed={fixed}
        submit="Plan it"
        fields={fields}
        said={(d) => `T${d.t} planned`}
        onDone={() => router.push(closed, { scroll: false })}
      />
      {plan && (
        <>
          <h2>Not wanted any more</h2>
          <VerbForm
            verb="planTool"
            fixed={{ ...fixed, gone: true }}
            submit={`Plan no T${t}`}
            fields={[]}
            said={(d) => `T${d.t} is planned no more`}
            onDone={() => router.push(closed, { scroll: false })}
          />
        </>
      )}
    </Tag>
  );
}
