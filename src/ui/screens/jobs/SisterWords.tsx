import { linkTo } from '@/core/links';
import type { SisterLine } from '@/crib/jobs';
import { GradeMark } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';

/** Where a sister stands, what she is good for, and why she may not run. */
export const SisterWords = ({ of: s }: { of: SisterLine }) => (
  <>
    <div className="small">
      Sister{' '}
      <Link className="fig" href={linkTo('rack', { open: s.tag })}>
        {s.tag}
      </Link>{' '}
      in pocket {s.pocket}
      {s.h === null ? '' : `, H${s.h}`}
      {s.d === null ? '' : ` D${s.d}`}
      {s.goodFor === null ? '' : `: good for about ${s.goodFor}`}
    </div>
    {s.use.grade !== 'good' && <GradeMark grade={s.use.grade}>{s.use.why ?? 'may not run'}</GradeMark>}
  </>
);
