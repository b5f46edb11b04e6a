'use client';
import { type ChoosingRules, GROUP_WORDS, GROUPS, REASON_NAMES, REASONS } from '@/core/choosing';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';

export function RulesTag({ rules }: { rules: ChoosingRules }) {
  const query = useQuery('choose');
  return (
    <Tag over="How it is ranked" number="rules" closeHref={query.href({ show: null })}>
      <p className="soft small">
        What is on hand comes first, then graded, built, to buy. Within each, points are a share from 0 to 1
        times these weights. They are the shop’s own: change them, and see what it does.
      </p>
      <VerbForm
        key={JSON.stringify(rules)}
        verb="setChoosingRules"
        submit="Set the rules"
        fields={[
          ...REASON_NAMES.map((r) => ({
            name: `weights.${r}`,
            label: REASONS[r],
            kind: 'number' as const,
            start: String(rules.weights[r]),
            wide: true,
          })),
          { name: 'l1', label: 'Where people differ', kind: 'legend' as const },
          {
            name: 'bulk',
            label: 'The bulk is taken by',
            kind: 'choice' as const,
            options: [
              ['indexable first', 'indexable cutters first'],
              ['solid first', 'solid cutters first'],
            ] as const,
            start: rules.bulk,
          },
          {
            name: 'finishing',
            label: 'Roughing and finishing',
            kind: 'choice' as const,
            options: [
              ['kept apart', 'by separate cutters'],
              ['one for both', 'by one cutter'],
            ] as const,
            start: rules.finishing,
          },
          { name: 'l2', label: 'Flutes by material, fewest and most', kind: 'legend' as const },
          ...GROUPS.flatMap((g) =>
            ([0, 1] as const).map((i) => ({
              name: `flutes.${g}.${i}`,
              label: `${g} ${GROUP_WORDS[g]}, ${i === 0 ? 'fewest' : 'most'}`,
              kind: 'whole' as const,
              start: rules.flutes[g] ? String(rules.flutes[g][i]) : '',
              optional: true,
            })),
          ),
        ]}
        shape={(input) => ({ ...input, flutes: pairs(input.flutes) })}
        said={() => 'rules for choosing set'}
      />
    </Tag>
  );
}

/** { N: { 0: '2', 1: '3' } } as the form nests it becomes { N: ['2', '3'] }; half a pair is left out. */
function pairs(nested: unknown): Record<string, string[]> {
  if (typeof nested !== 'object' || nested === null) return {};
  return Object.fromEntries(
    Object.entries(nested).flatMap(([g, { 0: from, 1: to }]: [string, { 0?: string; 1?: string }]) =>
      from === undefined || to === undefined ? [] : [[g, [from, to]]],
    ),
  );
}
