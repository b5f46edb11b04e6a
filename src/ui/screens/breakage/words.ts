import type { Break, CostSum } from '@/core/breakage';
import { money } from '@/core/units';

/** What a sum comes to, in words; what has no amount is said, not left out. Example: '120.00 and 1 without an amount'. */
export function costWords(sum: Pick<CostSum, 'cents' | 'unpriced' | 'cases'>): string {
  if (sum.unpriced === sum.cases) return 'no amount known';
  return sum.unpriced > 0 ? `${money(sum.cents)} and ${sum.unpriced} without an amount` : money(sum.cents);
}

/** How it ended, as a heading says it. */
export const BROKE_WORDS: Record<Break, string> = {
  broken: 'broke',
  chipped: 'chipped',
  crash: 'crashed',
  'pulled-out': 'was pulled out',
};
