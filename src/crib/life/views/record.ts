import { ENDINGS } from '@/core/life';
import type { LifeRow } from '@/data/life';
import { type ForetoldLife, foretoldOf } from './foretoldYear';

/** One life as the screens show it. */
export interface LifeRecord {
  edgeSetId: number;
  mark: string;
  minutes: number;
  parts: number;
  /** null: not known of everything it cut. */
  holes: number | null;
  metres: number | null;
  lowerBound: boolean;
  began: Date;
  ended: string | null;
  endedAt: Date | null;
  counts: 'failure' | 'censored';
  signs: string[];
  costCents: number | null;
  note: string | null;
  endedEntry: number | null;
  /** Between which minutes nine in ten of such were to fail, as it was said when it began, and what came; null: nothing was said. */
  foretold: ForetoldLife | null;
}

/** A life as it was read, in the words of the screens. */
export const record = (l: LifeRow): LifeRecord => ({
  edgeSetId: l.edgeSetId,
  mark: l.mark,
  minutes: l.minutes,
  parts: l.parts,
  holes: l.holes,
  metres: l.cutMm === null ? null : l.cutMm / 1000,
  lowerBound: l.lowerBound,
  began: l.beganAt,
  ended: l.ended && ENDINGS[l.ended].words,
  endedAt: l.endedAt,
  counts: l.ended ? ENDINGS[l.ended].counts : 'censored',
  signs: l.signs ?? [],
  costCents: l.costCents,
  note: l.note,
  endedEntry: l.endedEntryId,
  foretold: foretoldOf(l),
});
