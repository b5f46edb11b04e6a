import type { LengthUnit } from '@/core/units';

/** How numbers came into a control: as a file that was run there, or typed in and read back from it. */
export const HOW_GIVEN = ['sent', 'read back'] as const;
export type HowGiven = (typeof HOW_GIVEN)[number];

/** What a machine was given last under a T. */
export interface GivenRow {
  t: number;
  tag: string;
  h: string | null;
  d: string | null;
  unit: LengthUnit;
  how: HowGiven;
  happenedAt: Date;
  who: string;
  entryId: number;
}
