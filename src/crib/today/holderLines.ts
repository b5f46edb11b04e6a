import { linkTo } from '@/core/links';
import { type HolderLine, lateHolders } from '@/crib/holders';
import type { Connection } from '@/data/database';
import type { WorkLine } from './worklist';

type Line = Pick<WorkLine, 'kind' | 'todo' | 'why' | 'because' | 'href' | 'by'>;

/** What waits because a marked holder fell, is in doubt, or is due: what stands in a build must not run and comes first. */
export async function holderLines(c: Connection, today: string, zone: string): Promise<Line[]> {
  return (await lateHolders(c, today, zone)).flatMap((h) => lineOf(h) ?? []);
}

function lineOf(h: HolderLine): Line | null {
  const worst = h.against.find((j) => j.grade === h.grade);
  const where = h.tag ? ` in ${h.tag}` : '';
  const href = linkTo('holders', { open: h.mark });
  if (worst?.code === 'HOLDER_OUT' && h.tag)
    return {
      kind: 'stop',
      todo: `Take ${h.tag} down`,
      why: worst.words,
      because: worst.because,
      href: linkTo('rack', { open: h.tag, do: 'down' }),
      by: null,
    };
  if (worst)
    return {
      // What lies in a drawer hurts nobody before it is built with, which is asked there.
      kind: h.tag ? (worst.grade === 'stop' ? 'stop' : 'in question') : 'holder',
      todo: `Look over ${h.mark}${where}`,
      why: worst.words,
      because: worst.because,
      href,
      by: null,
    };
  const due = h.dues.find((d) => d.late);
  return due
    ? {
        kind: 'holder',
        todo:
          due.what === 'stud' ? `Change the pull stud of ${h.mark}${where}` : `Look over ${h.mark}${where}`,
        why: due.words,
        because: due.because,
        href,
        by: null,
      }
    : null;
}
