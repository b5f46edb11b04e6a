import type { Because } from '@/core/because';
import { isPastUsual, lifeState } from '@/core/life';
import type { SisterLine } from '@/crib/jobs';
import type { AssemblyCard } from '@/crib/rack';

/** What is to be done of an edge that is at its count, or near or past its expected life. */
interface EndingLine {
  kind: 'life';
  todo: string;
  why: string;
  because: Because | null;
}

/**
 * Of one that stands: the cutter is changed, or another made ready; where a sister stands beside it, it is gone on with her.
 * What is worn has nothing left, whatever its minutes say, and has a line of its own.
 */
export async function endingLines(
  a: AssemblyCard,
  wanted: AssemblyCard['ties'],
  readySister: (ties: AssemblyCard['ties']) => Promise<SisterLine | null>,
): Promise<EndingLine[]> {
  if (a.wear.worn) return [];
  const due = wanted
    .flatMap((t) => t.use.judgements)
    .find((j) => j.code === 'CHANGE' && j.grade === 'question');
  const state = lifeState(a.life.used);
  const pastUsual = isPastUsual(a.life.usualUsed ?? null, a.wear.left);
  const ends = state === 'past' || state === 'ending';
  if (!due && !ends && !pastUsual) return [];
  const sister = await readySister(wanted);
  const goOn = sister && `Go on with ${sister.tag} in place of ${a.tag}`;
  const itIs = sister ? `; its sister is in pocket ${sister.pocket}` : '';
  if (due)
    return [
      {
        kind: 'life',
        todo: goOn ?? `Change the cutter of ${a.tag}`,
        why: `${due.words}${itIs}`,
        because: due.because,
      },
    ];
  if (pastUsual)
    return [
      {
        kind: 'life',
        todo: `Read the wear of ${a.tag}`,
        why: 'past its usual life, and worn on its T at another wear than that was counted to',
        because: a.life.because,
      },
    ];
  // Another is ready where a sister stands beside it: then nothing is to be done before it is through.
  if (a.life.used === null || (sister && state !== 'past')) return [];
  const used = `${Math.round(a.life.used * 100)} %`;
  return [
    {
      kind: 'life',
      todo: goOn ?? `Have another ready for ${a.tag}`,
      why:
        state === 'past'
          ? `past its expected life: ${used} used${itIs}`
          : `${used} of its expected life used`,
      because: a.life.because,
    },
  ];
}
