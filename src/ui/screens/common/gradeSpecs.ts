import { SIGNS } from '@/core/life';
import type { FieldSpec } from '@/ui/kit/form';

/** What a used cutter is graded by: where it may be used next, what is still good, what was seen. */
export const gradeSpecs = (
  grades: readonly (readonly [string, string])[],
  optional: boolean,
): FieldSpec<'grade' | 'goodFrom' | 'goodTo' | 'goodZone' | 'signs'>[] => [
  {
    name: 'grade',
    label: optional ? 'If used: good for' : 'Good for',
    kind: 'choice',
    options: grades,
    optional,
  },
  { name: 'goodFrom', label: 'Flute good from, above the tip', kind: 'length', optional: true },
  { name: 'goodTo', label: 'Flute good up to', kind: 'length', optional: true },
  { name: 'goodZone', label: 'In words', optional: true },
  {
    name: 'signs',
    label: 'Signs seen',
    kind: 'several',
    options: SIGNS.map((s) => [s, s] as const),
    wide: true,
    optional: true,
  },
];
