import { namesOf } from '../../names';
import { ball } from './ball';
import { barrel } from './barrel';
import { boringBar } from './boringBar';
import { boringHead } from './boringHead';
import { centreDrill } from './centreDrill';
import { chamfer } from './chamfer';
import { cornerRadiusMill } from './cornerRadius';
import { cornerRounding } from './cornerRounding';
import { countersink } from './countersink';
import { dovetail } from './dovetail';
import { drill } from './drill';
import { engraver } from './engraver';
import { face } from './face';
import { highFeed } from './highFeed';
import { lollipop } from './lollipop';
import { reamer } from './reamer';
import { roughing } from './roughing';
import { router } from './router';
import { slittingSaw } from './slittingSaw';
import { spotDrill } from './spotDrill';
import { square } from './square';
import { stepDrill } from './stepDrill';
import { tSlot } from './tSlot';
import { tap } from './tap';
import { tapered } from './tapered';
import { threadMill } from './threadMill';
import type { FamilySpec, HoleWork, Work } from './family';
export type {
  Assumed,
  FamilySpec,
  HoleWork,
  ItemFault,
  Known,
  Need,
  OutlinePoint,
  Say,
  Work,
} from './family';
export { short } from './family';

/** Cutter families in the trade's words, in the order people are asked. A new one is one file, its test and a line here. */
export const FAMILIES = {
  square,
  'corner-radius': cornerRadiusMill,
  ball,
  barrel,
  lollipop,
  tapered,
  roughing,
  'high-feed': highFeed,
  face,
  't-slot': tSlot,
  'slitting-saw': slittingSaw,
  dovetail,
  chamfer,
  'corner-rounding': cornerRounding,
  engraver,
  countersink,
  'thread-mill': threadMill,
  drill,
  'step-drill': stepDrill,
  'spot-drill': spotDrill,
  'centre-drill': centreDrill,
  'boring-head': boringHead,
  'boring-bar': boringBar,
  reamer,
  tap,
  router,
} satisfies Record<string, FamilySpec>;

export type Family = keyof typeof FAMILIES;
export const FAMILY_NAMES = namesOf(FAMILIES);
export const familySpec = (family: Family): FamilySpec => FAMILIES[family];

const those = (of: (spec: FamilySpec) => boolean): Family[] => FAMILY_NAMES.filter((f) => of(familySpec(f)));
/** Families an indexable body comes in. */
export const BODY_FAMILIES: readonly Family[] = those((f) => f.body === true);
/** Families that do a kind of work. Example: 'chamfer' -> chamfer mill and countersink. */
export const familiesThatCut = (work: Work): Family[] => those((f) => f.cuts.includes(work));
/** Families with a part in making a hole or a thread. Example: 'reams' -> reamer. */
export const familiesOfHole = (work: HoleWork): Family[] => those((f) => f.hole === work);
