import { type LabelCode, labelCode } from '@/core/links';
import type { Connection } from '@/data/database';
import { labelOf } from './label';
import { assemblyView } from './views/assemblyView';

/**
 * What is wrong with a label that was scanned, in words; null: it says what one that is printed now would say. Its
 * assembly stands.
 */
export async function staleLabel(c: Connection, scanned: LabelCode, zone: string): Promise<string | null> {
  const card = await assemblyView(c, scanned.tag, zone);
  if (!card) return null;
  if (labelOf(card, zone).code === labelCode(scanned)) return null;
  const { measured } = card;
  const why =
    measured.state === 'in question'
      ? 'its length is in question'
      : measured.state === 'not measured'
        ? 'its length counts no more'
        : measured.measurement.entryId !== scanned.measurement
          ? scanned.measurement === 0
            ? 'it was measured since'
            : 'it was measured again'
          : 'a figure on it changed';
  return `STALE LABEL: ${why}. Take it off and print a new one`;
}
