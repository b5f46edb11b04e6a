import type { Judgement } from '@/core/because';
import { Judgements } from '@/ui/kit/figure';
import { Fold } from '@/ui/kit/page';

/** What must be looked at, and what is good in a line that unfolds. */
export function Judged({ list }: { list: readonly Judgement[] }) {
  const good = list.filter((j) => j.grade === 'good');
  const rest = list.filter((j) => j.grade !== 'good');
  return (
    <>
      <Judgements list={rest} />
      {good.length > 0 && (
        <Fold label={`● ${rest.length ? `${good.length} good` : `all ${good.length} good`}`} says>
          <Judgements list={good} />
        </Fold>
      )}
    </>
  );
}
