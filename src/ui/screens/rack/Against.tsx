import type { ReactNode } from 'react';
import type { Judgement } from '@/core/because';
import { linkTo } from '@/core/links';
import type { AssemblyView } from '@/crib/rack';
import { Link } from '@/ui/kit/link';
import { Notice } from '@/ui/kit/page';

/**
 * What speaks against an assembly by itself, each with what to do about it. Where it is tied its wear and what is asked of it
 * stand at its T.
 */
export function Against({ card }: { card: AssemblyView }) {
  const marked = new Set(card.holders.against.map((j) => j.code));
  const built = new Set(card.judgements.filter((j) => j.grade === 'stop').map((j) => j.code));
  const wayOut = ({ code, because }: Judgement): ReactNode => {
    if (marked.has(code))
      return card.holders.marked.map(({ mark }) => (
        <Link key={mark} className="fig" href={linkTo('holders', { open: mark })}>
          {mark}
        </Link>
      ));
    if (built.has(code)) return 'It was built despite this, and the stop stands until the build is changed.';
    if (code === 'HELD_BACK')
      return (
        <>
          It runs nowhere until somebody <Link href={linkTo('held')}>says what was found</Link>.
        </>
      );
    return because.words;
  };
  return card.itself.judgements
    .filter((j) => !card.ties.length || marked.has(j.code) || (j.grade === 'stop' && j.code !== 'WEAR'))
    .map((j) => (
      <Notice key={`${j.code} ${j.words}`} kind={j.grade === 'stop' ? 'stop' : 'question'}>
        <strong>{j.words}.</strong> {wayOut(j)}
      </Notice>
    ));
}
