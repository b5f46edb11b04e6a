import { familySpec, holeLimits, readThread, tapDrill, threadPercent, type HoleWork } from '../cutters';
import type { Candidate, Choice } from './candidate';
import { judgeCandidate } from './chooseCutter';
import { BLANK_CUT, type Cut } from './cut';
import { DRILLED_FROM_UM } from './featureRules';
import type { ChoosingRules } from './rules';

/** One step of a kit: what it does, what it asks for, and what does it. */
export interface KitStep {
  step: 'spot drill' | 'drill' | 'chamfer' | 'tap' | 'reamer';
  wanted: string;
  because: string;
  choices: Choice[];
  /** Nothing here does it. */
  missing: boolean;
}

/** Whether a candidate has this part in making a hole. */
const does = (c: Candidate, work: HoleWork): boolean => familySpec(c.cutter.family).hole === work;
const mm = (n: number) => `${Math.round(n * 100) / 100} mm`;
/** Stock a reamer is left on the diameter, mm: enough to clean up, not so much that it chokes (common practice). */
export const reamingAllowance = (diameter: number): number =>
  diameter <= 5 ? 0.1 : diameter <= 20 ? 0.2 : diameter <= 50 ? 0.3 : 0.5;

/**
 * The kit for a thread or a close hole: spot drill, drill, chamfer, then tap or reamer, each with what is here or
 * missing. null where the cut is neither, or the thread or class isn't one that is known. mm.
 * Example: M6, cutting: spot drill 90°, drill 5.0, chamfer past 6, tap M6.
 */
export function kitFor(cut: Cut, candidates: readonly Candidate[], rules: ChoosingRules): KitStep[] | null {
  const thread = cut.feature === 'thread' && cut.thread !== null ? readThread(cut.thread) : null;
  const limits =
    cut.feature === 'hole' && cut.cls !== null && cut.diameter !== null
      ? holeLimits(cut.diameter, cut.cls)
      : null;
  if (!thread && (!limits || limits.it >= DRILLED_FROM_UM)) return null;
  const pick = (of: (c: Candidate) => boolean, asks: Cut): Choice[] =>
    candidates
      .filter(of)
      .map((c) => judgeCandidate(asks, c, rules))
      .filter((c) => !c.fails.length)
      .sort((a, b) => b.score - a.score);
  const steps: KitStep[] = [];
  const add = (step: KitStep['step'], wanted: string, because: string, choices: Choice[]) =>
    steps.push({
      step,
      wanted,
      because,
      choices,
      missing: !choices.some((c) => c.availability !== 'to buy'),
    });
  // A hole has its diameter, a thread its own: the door asks for one of them.
  const size = thread?.major ?? cut.diameter!;
  const forming =
    thread !== null &&
    candidates.some(
      (c) => does(c, 'taps') && c.forming === true && readThread(c.thread ?? '')?.major === thread.major,
    );
  add(
    'spot drill',
    `90° or 120°, at least ${mm(size * 0.6)} across`,
    'a hole that starts where it should',
    named(candidates, rules, (c) => does(c, 'begins') && c.cutter.DC >= size * 0.6),
  );
  if (thread) {
    const before = tapDrill(thread, 'cutting');
    const fits = (c: Candidate) => {
      if (!does(c, 'drills') || !before) return false;
      // Percentages belong to the profiles of the charts; a table's drill is that drill.
      if (before.percent === null) return Math.abs(c.cutter.DC - before.drill) <= 0.1;
      const percent = threadPercent(thread, c.cutter.DC);
      return percent >= 60 && percent <= 80;
    };
    add(
      'drill',
      before ? mm(before.drill) : 'by the tap’s maker',
      !before
        ? 'no table of drills for it here'
        : before.percent === null
          ? before.words
          : `${before.words}; 60 to 80 % thread does`,
      named(candidates, rules, fits, cut.depth),
    );
    const hole = forming ? tapDrill(thread, 'forming') : null;
    if (hole) {
      add(
        'drill',
        mm(hole.drill),
        `for the forming tap: ${hole.words}`,
        named(
          candidates,
          rules,
          (c) => does(c, 'drills') && Math.abs(c.cutter.DC - hole.drill) <= 0.04,
          cut.depth,
        ),
      );
    }
  } else {
    // A hole that is no thread has its diameter.
    const allowance = reamingAllowance(cut.diameter!);
    const drill = cut.diameter! - allowance;
    add(
      'drill',
      mm(drill),
      `leaves ${mm(allowance)} for the reamer`,
      named(
        candidates,
        rules,
        (c) => does(c, 'drills') && c.cutter.DC <= drill + 0.051 && c.cutter.DC >= drill - 0.151,
        cut.depth,
      ),
    );
  }
  add(
    'chamfer',
    `past ${mm(size)}`,
    'a burr-free edge for what follows',
    named(candidates, rules, (c) => does(c, 'breaks its edge') && c.cutter.DC > size),
  );
  if (thread)
    add(
      'tap',
      // Only a thread comes here.
      cut.thread!,
      'the thread itself',
      pick((c) => does(c, 'taps'), cut),
    );
  else
    add(
      'reamer',
      // A close hole has its diameter.
      `${mm(cut.diameter!)} ${cut.cls}`,
      'the close hole itself',
      pick((c) => does(c, 'reams'), cut),
    );
  return steps;
}

/** Candidates that do a step, on hand first. */
function named(
  candidates: readonly Candidate[],
  rules: ChoosingRules,
  of: (c: Candidate) => boolean,
  depth: number | null = null,
): Choice[] {
  return candidates
    .filter(of)
    .map((c) => {
      const feature = does(c, 'breaks its edge') ? 'chamfer' : 'hole';
      const choice = judgeCandidate(
        { ...BLANK_CUT, feature, depth: feature === 'hole' && does(c, 'drills') ? depth : null },
        c,
        rules,
      );
      // A spot drill drills no hole: here it only begins one.
      return does(c, 'begins') ? { ...choice, fails: [] } : choice;
    })
    .filter((c) => !c.fails.length)
    .sort(
      (a, b) =>
        Number(a.availability === 'to buy') - Number(b.availability === 'to buy') || b.score - a.score,
    );
}
