import type { MeasurementRow } from '@/data/assemblies';

/** A measurement counts when nothing questioned it, or a person accepted it with a reason. */
export const counts = (m: MeasurementRow): boolean =>
  m.questions.length === 0 ? m.accepted !== false : m.accepted === true;

/** The last measurement that counts, from a list newest first. */
export const goodMeasurement = (newestFirst: readonly MeasurementRow[]): MeasurementRow | null =>
  newestFirst.find(counts) ?? null;

export type MeasuredState =
  | { state: 'not measured' }
  | { state: 'in question'; measurement: MeasurementRow; last: MeasurementRow | null }
  | { state: 'measured'; measurement: MeasurementRow };

/**
 * What may be believed of an assembly's length, from its measurements newest first: the newest decides, rejected
 * ones passed over. In question shows no register, even where an older good one exists: the tool may have moved.
 */
export function measuredState(newestFirst: readonly MeasurementRow[]): MeasuredState {
  const newest = newestFirst.find((m) => m.accepted !== false);
  if (!newest) return { state: 'not measured' };
  if (counts(newest)) return { state: 'measured', measurement: newest };
  return { state: 'in question', measurement: newest, last: goodMeasurement(newestFirst) };
}
