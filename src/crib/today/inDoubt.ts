import { GAUGE } from '@/core/life';
import { linkTo } from '@/core/links';
import type { AssemblyCard } from '@/crib/rack';
import type { WorkLine } from './worklist';

/** What is to be done again because what it was done with was off; null: nothing. */
export function inDoubt({
  tag,
  measured,
  tightened,
  holders,
}: AssemblyCard): Pick<WorkLine, 'todo' | 'why' | 'href'> | null {
  if (measured.state === 'measured' && measured.measurement.deviceDoubt)
    return {
      todo: `Measure ${tag} again`,
      why: `${measured.measurement.device}, which measured it, was off`,
      href: linkTo('measure', { tag }),
    };
  const fell = holders.against.find((j) => j.code === 'MEASURED_BEFORE_FALL');
  // What is to be looked over is looked over first.
  if (fell && !holders.against.some((j) => j.grade === 'stop'))
    return { todo: `Measure ${tag} again`, why: fell.words, href: linkTo('measure', { tag }) };
  return tightened?.doubted
    ? {
        todo: `Tighten ${tag} again`,
        why: `${tightened.wrench}, which tightened it, was found off`,
        href: linkTo('rack', { open: tag, do: 'tighten' }),
      }
    : null;
}

/** Where an edge is worn, and its limit. */
export const wornWords = (w: AssemblyCard['wear']): string =>
  w.wornAt === 'gauge' && w.gauge !== null
    ? `what it makes is ${GAUGE[w.gauge]}`
    : w.wornAt === 'corner'
      ? `its corner is worn by ${(w.cornerMm ?? 0).toFixed(2)} mm, at the limit of ${w.cornerLimitMm.toFixed(2)} mm`
      : `flank wear ${(w.flankMm ?? 0).toFixed(2)} mm is at the limit of ${w.limitMm.toFixed(2)} mm`;
