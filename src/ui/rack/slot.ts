import type { Grade } from '@/core/because';
import type { RackCard } from '@/crib/rack';

/** A place on the rack: an assembly, or a T that has none yet. */
export interface RackSlot {
  key: string;
  title: string;
  card: RackCard | null;
  /** Whether it may run where it is tied, or what is known of it by itself. */
  use: { grade: Grade; why: string | null };
  /** Reach its job needs, mm from the tip up; drawn as a line. */
  reachMm: number | null;
  missing?: string;
}
