import { type ChoosingRules, DEFAULT_RULES } from '@/core/choosing';
import { maybeChoosingRules } from '@/data/catalogue';
import type { Connection } from '@/data/database';

/** The rules the shop set last, or the usual ones. */
export async function rulesInForce(c: Connection): Promise<ChoosingRules> {
  const row = await maybeChoosingRules<ChoosingRules>(c);
  return {
    ...DEFAULT_RULES,
    ...row?.rules,
    weights: { ...DEFAULT_RULES.weights, ...row?.rules.weights },
    flutes: { ...DEFAULT_RULES.flutes, ...row?.rules.flutes },
  };
}
