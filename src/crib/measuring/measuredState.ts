import { measurementCounts } from '@/core/measuring';
import type { MeasuredRow, MeasurementRow } from '@/data/assemblies';

export type MeasuredState =
  | { state: 'not measured' }
  | { state: 'in question'; measurement: MeasurementRow; last: MeasurementRow | null }
  | { state: 'measured'; measurement: MeasurementRow };

/**
 * What may be believed of an assembly's length: the newest measurement that nobody rejected decides. In question shows
 * no register, even where an older good one exists: the tool may have moved.
 */
export function measuredState({ newest, good }: MeasuredRow): MeasuredState {
  if (!newest) return { state: 'not measured' };
  if (measurementCounts(newest)) return { state: 'measured', measurement: newest };
  return { state: 'in question', measurement: newest, last: good };
}
