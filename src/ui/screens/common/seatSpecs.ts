import type { FieldSpec } from '@/ui/kit/form';
import { parcelOf, inserts } from './found';

/** Which inserts of a body are turned, which are broken, and where new ones come from. */
export function seatSpecs(numbers: readonly number[]): FieldSpec[] {
  const options = numbers.map((n) => [String(n), String(n)] as const);
  return [
    {
      name: 'seats',
      label: 'Seats turned',
      kind: 'several',
      options,
      optional: true,
      wide: true,
      help: 'none ticked: all',
    },
    { name: 'brokenSeats', label: 'Of them broken', kind: 'several', options, optional: true, wide: true },
    {
      name: 'fresh',
      label: 'New ones from, where one can’t be turned',
      kind: 'search',
      search: inserts,
      optional: true,
      wide: true,
    },
  ];
}

/** The input of a form with those fields. */
export const seatShape = <Input extends { fresh?: unknown }>({ fresh, ...input }: Input) => ({
  ...input,
  ...(fresh ? { fresh: parcelOf(fresh) } : {}),
});
