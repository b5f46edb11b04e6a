import type { SpeedsApart } from '@/core/life';
import { GradeMark } from '@/ui/kit/figure';

/** Two that are held beside each other ran at speeds apart: what tells them apart may be that. */
export const RanApart = ({
  of,
  names,
}: {
  of: SpeedsApart;
  names: Readonly<Record<'first' | 'second', string>>;
}) => (
  <GradeMark grade="question">
    {names.first} ran at {of.first.toFixed(0)} m/min in the mean, {names.second} at {of.second.toFixed(0)}:
    some of the difference may be that
  </GradeMark>
);
