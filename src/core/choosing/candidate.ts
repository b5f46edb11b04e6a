import type { CutterGeometry } from '../cutters';
import type { Reservation, UsedPiece } from '../stock';
import type { Reason } from './rules';

/** A cutter as far as choosing needs it. */
export interface Candidate {
  code: string;
  words: string;
  cutter: CutterGeometry;
  indexable: boolean;
  substrate: string | null;
  coating: string | null;
  centreCutting: boolean | null;
  thread: string | null;
  /** Pitch of a thread mill's teeth, mm. */
  pitch: number | null;
  /** Whether a tap forms; null: not known, or no tap. */
  forming: boolean | null;
  /** A tap's chamfer form, DIN 2197: A to E. */
  chamfer: string | null;
  /** Helix of its flutes, degrees. */
  helix: number | null;
  cls: string | null;
  /** A reamer's measured diameter. */
  measured: number | null;
  standing: 'approved' | 'trial' | 'discontinued' | 'rejected' | null;
  /** A newer version follows it. */
  followed: boolean;
  guesses: readonly string[];
  unused: number;
  /** What of them is set aside for jobs. */
  reserved: readonly Reservation[];
  /** Builds it stands in: their tags, and how far it stands out of the holder, mm. */
  built: readonly { tag: string; stickoutMm: number }[];
  /** Used pieces in the crib with what they are graded for. */
  graded: readonly (UsedPiece & { mark: string; goodTo: number | null })[];
  priceCents: number | null;
}

export type Availability = 'on hand' | 'graded' | 'built' | 'reserved' | 'to buy';

/** What was found of one candidate. */
export interface Choice {
  code: string;
  words: string;
  availability: Availability;
  /** What of it can be taken: places of stock, marks, tags. */
  take: string[];
  /** Builds it stands in that do not do, each with by how much: the holder would be in the work. */
  shortBuilds: string[];
  /** What of it is set aside, for which jobs; null: none is. */
  reserved: string | null;
  /** Why it can't: each with by how much. Empty: it fits. */
  fails: string[];
  /** What could not be judged, since a fact is missing. */
  open: string[];
  reasons: { reason: Reason; words: string; points: number }[];
  score: number;
}
