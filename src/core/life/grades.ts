/**
 * Where a cutter whose life ended may still go, down the ladder of second lives (common practice), last of all to
 * scrap. Only within what geometry and coating allow: people grade, the list only names the rungs.
 */
export const GRADES = [
  'plastics',
  'aluminium',
  'slotting steel',
  'squaring with the upper flute',
  'scrap',
] as const;
export type CutterGrade = (typeof GRADES)[number];
