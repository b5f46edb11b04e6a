import type { Grade } from '@/core/because';
import type { EdgeShare, KitState } from '@/core/pockets';
import type { PlannedLine } from '@/crib/jobs';
import type { TurnAt } from '@/crib/lives';

/** Something that lies somewhere and goes into a build. */
export interface KitPiece {
  what: 'cutter' | 'holder' | 'part';
  item: string;
  words: string;
  /** 'EM8|CAB1-A', or a piece's mark: what a build is begun with. */
  from: string;
  /** '3 unused at CAB1-A'. */
  take: string;
  place: string;
  /** Why it is not to be taken without asking; null: nothing speaks against it. */
  caution: string | null;
}

/** A T of a job as the one who brings its kit together sees it. */
export interface KitTool {
  t: number;
  /** What it does and is to be, as planned; null: nobody said. */
  plan: PlannedLine | null;
  /** What the program calls it; null: it names none. */
  named: string | null;
  /** The program in force calls it. */
  called: boolean;
  tag: string | null;
  words: string | null;
  state: KitState;
  grade: Grade;
  why: string | null;
  /** It is worn: its cutter is changed before it goes anywhere. */
  worn: boolean;
  pocket: number | null;
  pulled: { who: string; cart: string | null } | null;
  /** Where it is, in words, where that is neither this machine nor the rack: in another one, or pulled for another job. */
  elsewhere: string | null;
  /** What is left of its edge where other open jobs count on it too; null: none does. */
  shared: EdgeShare | null;
  /** What stands, is tied to nothing open, and is what is planned: it only needs tying. */
  standing: string[];
  /** What it can be built from, its own first; empty: nothing lies here, or nobody said what it is to be. */
  pieces: KitPiece[];
  /** How many of the first of them are set aside for this job already. */
  aside: number;
  /** What of it is wanted and lies nowhere. */
  lacking: string[];
  /** The build sheet that says the rest; null: none is planned. */
  sheet: string | null;
  /** What trials say of its next edge, beside what stands at its pieces. */
  turns: TurnAt[];
}
