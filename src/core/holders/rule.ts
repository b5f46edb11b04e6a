import { DEFAULTS } from '../defaults';

/** When holders are looked over, their pull studs changed, and the runout they may have, as somebody said it. */
export interface RuleSaid {
  /** Months after which it is looked over again; null: not by age. */
  lookMonths: number | null;
  /** Clampings after which it is looked over again; null: not by their number. */
  lookClampings: number | null;
  /** Months after which a pull stud is changed; null: not by age. */
  studMonths: number | null;
  /** mm on a test bar; null: what is assumed. */
  runoutMm: number | null;
}

export interface HolderRule extends RuleSaid {
  runoutMm: number;
  /** Whose rule it is. */
  from: 'its own' | 'the shop’s' | 'assumed';
}

/** What holds until a shop says its own. Common practice, from memory; the maker's and local rules go before it. */
export const RULE_ASSUMED: HolderRule = {
  lookMonths: DEFAULTS.holderLookMonths,
  lookClampings: null,
  studMonths: DEFAULTS.pullStudMonths,
  runoutMm: DEFAULTS.holderRunoutMm,
  from: 'assumed',
};

/**
 * The rule a holder is held to: its item's own where somebody said one, else the shop's, else what is assumed. A rule that
 * was said holds as a whole: what it leaves out is not asked for, but for the runout, which has a limit in any case.
 * Example: nothing said: looked over every 12 months, studs changed after 36.
 */
export function holderRule(own: RuleSaid | null, shops: RuleSaid | null): HolderRule {
  const said = own ?? shops;
  if (!said) return RULE_ASSUMED;
  return { ...said, runoutMm: said.runoutMm ?? RULE_ASSUMED.runoutMm, from: own ? 'its own' : 'the shop’s' };
}
