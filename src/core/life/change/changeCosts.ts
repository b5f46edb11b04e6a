import type { Figure } from '../../because';
import { DEFAULTS } from '../../defaults';
import { money } from '../../units';
import type { ChangeCosts } from './ageReplacement';

/** What a change and a failure cost a shop beside the edge, as somebody said it. */
export interface CostsSaid {
  /** A minute of machine and person, cents. */
  minuteCents: number;
  /** Minutes a planned change takes. */
  changeMinutes: number;
  /** Minutes lost beside that when one fails in the cut. */
  failureMinutes: number;
  /** A lost part, cents; null: nobody said. */
  partCents: number | null;
}

/** What failures lost, as they were written down; of each only those of which somebody wrote it. */
export interface LossesSeen {
  minutes: { failures: number; mean: number } | null;
  parts: { failures: number; mean: number } | null;
}

/** What was said counts as so many failures beside those that were seen, as an assumed life does beside lives. */
const COUNTS_AS = DEFAULTS.assumedCountsAs;
/** A failure in the cut is taken to lose its part, until it is seen how many are lost. */
const PARTS_LOST = 1;

const beside = (said: number, seen: { failures: number; mean: number } | null): number =>
  seen ? (COUNTS_AS * said + seen.failures * seen.mean) / (COUNTS_AS + seen.failures) : said;

/**
 * What a planned change and a failure cost, in the shop's currency: the edge, the minutes, and of a failure what it loses
 * besides. What was said of losses counts as three failures and fades as real ones are written down. null: what an edge costs
 * is not known, or nobody said what a minute is.
 * Source: common practice; arithmetic. Example: an edge of 30.00, a minute of 1.50, 4 min to change, 20 min lost and no part:
 * 36.00 planned and 66.00 failed.
 */
export function changeCosts(
  edgeCents: number | null,
  said: CostsSaid | null,
  seen: LossesSeen,
): Figure<ChangeCosts> | null {
  if (edgeCents === null || !(edgeCents > 0) || !said) return null;
  const minutes = beside(said.failureMinutes, seen.minutes);
  const parts = beside(PARTS_LOST, seen.parts);
  const planned = edgeCents + said.minuteCents * said.changeMinutes;
  const failure = planned + said.minuteCents * minutes + (said.partCents ?? 0) * parts;
  const seenWords = (of: LossesSeen['minutes']) =>
    of ? `said, and of ${of.failures} failures that were written down` : 'said';
  return {
    value: { planned: planned / 100, failure: failure / 100 },
    because: {
      words: 'The edge and the minutes to change it; a failure loses more minutes and parts besides.',
      formula: 'planned = edge + minute × change; failure = planned + minute × lost + part × parts lost',
      values: [
        { name: 'edge', value: money(Math.round(edgeCents)) },
        { name: 'a minute', value: money(said.minuteCents), source: 'said' },
        { name: 'minutes to change it', value: String(said.changeMinutes), source: 'said' },
        { name: 'minutes a failure loses', value: minutes.toFixed(1), source: seenWords(seen.minutes) },
        {
          name: 'parts a failure loses',
          value: parts.toFixed(2),
          source: seen.parts ? seenWords(seen.parts) : 'assumed: the part it was in',
        },
        {
          name: 'a part',
          value: said.partCents === null ? 'not known: left out' : money(said.partCents),
          source: said.partCents === null ? undefined : 'said',
        },
      ],
    },
    assumed: said.partCents === null ? ['what a part costs'] : [],
  };
}
