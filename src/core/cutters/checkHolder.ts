import type { HolderGeometry } from './geometry';

interface HolderFault {
  field: string;
  value: number;
  limit: string;
  words: string;
}

/**
 * The rules of geometry that a holder's facts break; empty when it can exist. mm and rev/min; null is not judged.
 * The outline runs from the gauge line to the face, so its segments must add up to LF (within 0.01 mm).
 * Example: LF 60 with segments of 20 and 35 is refused: 'segments add up to 55'.
 */
export function checkHolder(h: HolderGeometry): HolderFault[] {
  const faults: HolderFault[] = [];
  const fault = (field: string, value: number, limit: string, words: string) =>
    faults.push({ field, value, limit, words });
  const range = (field: string, value: number | null, least: number, most: number) => {
    if (value !== null && !(value >= least && value <= most))
      fault(field, value, `${least} to ${most}`, 'outside what a holder can have');
  };
  range('LF', h.LF, 5, 1000);
  range('CLAMP_MIN', h.CLAMP_MIN, 0.1, 200);
  range('CLAMP_MAX', h.CLAMP_MAX, 0.1, 200);
  range('GRIP_MIN', h.GRIP_MIN, 0.1, 300);
  range('DEPTH_MAX', h.DEPTH_MAX, 1, 500);
  range('RPM_MAX', h.RPM_MAX, 100, 100_000);
  h.segments.forEach((s, i) => {
    range(`segments/${i}/length`, s.length, 0.1, 500);
    range(`segments/${i}/upper`, s.upper, 1, 500);
    range(`segments/${i}/lower`, s.lower, 1, 500);
  });
  if (h.CLAMP_MIN !== null && h.CLAMP_MAX !== null && h.CLAMP_MIN > h.CLAMP_MAX)
    fault('CLAMP_MIN', h.CLAMP_MIN, `at most ${h.CLAMP_MAX}`, 'the smallest shank exceeds the largest');
  if (h.GRIP_MIN !== null && h.DEPTH_MAX !== null && h.GRIP_MIN > h.DEPTH_MAX)
    fault('GRIP_MIN', h.GRIP_MIN, `at most ${h.DEPTH_MAX}`, 'the least grip exceeds the greatest depth');
  const sum = h.segments.reduce((total, s) => total + s.length, 0);
  if (h.segments.length > 0 && Math.abs(sum - h.LF) > 0.01)
    fault('segments', sum, `LF = ${h.LF}`, 'the outline must reach from the gauge line to the face');
  return faults;
}
