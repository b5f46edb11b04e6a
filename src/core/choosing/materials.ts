import { familySpec } from '../cutters';
import type { Candidate } from './candidate';
import type { Cut } from './cut';
import type { Reason } from './rules';
import type { Verdict } from './verdict';

/** Coatings with aluminium in them weld to aluminium; bare edges made for aluminium don't stand steel (common practice). */
const FOR_STEEL = /al.?ti.?n|ti.?al|al.?cr/i;
const bare = (coating: string | null) => coating !== null && /^(none|uncoated|bright)$/i.test(coating.trim());

/** What speaks for an edge and its coating in a material. */
export function edgeReason(
  cut: Cut,
  c: Candidate,
  add: (r: Reason, share: number | null, words: string) => void,
): void {
  if (cut.group === null) return;
  const light = cut.group === 'N' || cut.group === 'O';
  if (light) {
    if (bare(c.coating)) add('edge', 1, 'uncoated, for a sharp edge');
    else if (c.coating === null) add('edge', 0.4, 'coating not known');
    else if (!FOR_STEEL.test(c.coating)) add('edge', 0.6, `coated ${c.coating}`);
  } else if (c.coating !== null && !bare(c.coating)) add('edge', 1, `coated ${c.coating}`);
  else if (c.coating === null) add('edge', 0.4, 'coating not known');
}

/** Edges that don't go with a material: a steel coating never to aluminium, bare carbide for aluminium not to steel. */
export function materialRules(cut: Cut, c: Candidate, v: Verdict): void {
  if (c.coating === null || cut.group === null) return;
  if (cut.group === 'N' && FOR_STEEL.test(c.coating)) {
    if (cut.alloy === 'aluminium' || cut.alloy === 'magnesium')
      v.fails.push(`coated ${c.coating}: ${cut.alloy} welds to it`);
    // Bronze, brass and copper stand it; the letter alone does not say which it is.
    else if (cut.alloy === null) v.open.push(`coated ${c.coating}: aluminium welds to it, bronze does not`);
  }
  if (
    ['P', 'M', 'K', 'S', 'H'].includes(cut.group) &&
    bare(c.coating) &&
    c.substrate === 'carbide' &&
    familySpec(c.cutter.family).mills
  )
    v.open.push('bare carbide: is it an edge for aluminium?');
}
