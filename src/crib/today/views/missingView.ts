import {
  type Blocked,
  type Family,
  type ItemKind,
  type MissingFact,
  missingFacts,
  neededFor,
} from '@/core/cutters';
import { proposals } from '@/crib/buying';
import { type ReadOnce, readOnce } from '@/crib/door';
import { type AssemblyCard, standingCards } from '@/crib/rack';
import type { Connection } from '@/data/database';

/** What is not judged for want of a fact, in words. */
const RESULTS: Record<string, string> = {
  SHANK_FITS: 'whether the shank fits',
  FLUTES_GRIPPED: 'whether flutes are gripped',
  GRIP: 'whether enough is gripped',
  DEPTH: 'whether the shank goes that deep',
};

/** Facts of one assembly that block a judgement or its drawing, and guesses that these lean on. */
function blockedBy(a: AssemblyCard): Blocked[] {
  const minutes = a.ties.reduce((n, t) => n + t.partsLeft * t.minutesPerPart, 0);
  const base = { of: a.tag, minutes };
  const lacks = (of: 'cutter' | 'holder', symbol: string, result: string): Blocked => ({
    ...base,
    item: a[of].code,
    symbol,
    state: 'not known',
    result,
  });
  const out = [
    ...a.judgements.flatMap((j) =>
      (j.lacking ?? []).flatMap(({ of, symbol }) => {
        const result = RESULTS[j.code];
        return result ? [lacks(of, symbol, result)] : [];
      }),
    ),
    ...a.outline.assumed.map(({ of, symbol }) => lacks(of, symbol, 'its outline')),
  ];
  const guessed = (item: string, kind: ItemKind, family: Family | null, symbols: readonly string[]) =>
    symbols.flatMap((symbol) =>
      neededFor(kind, family, symbol).map((result): Blocked => ({
        ...base,
        item,
        symbol,
        state: 'guess',
        result,
      })),
    );
  return [
    ...out,
    ...guessed(a.cutter.code, a.cutter.kind, a.cutter.family, a.cutter.guesses),
    ...guessed(a.holder.code, 'holder', null, a.holder.guesses),
  ];
}

/** What is missing of cutters and holders that something booked waits for, the worst first. */
export async function missingView(
  c: Connection,
  today: string,
  once: ReadOnce = readOnce(c, today),
): Promise<{ facts: MissingFact[] }> {
  const assemblies = await once(standingCards);
  const blocked = assemblies.filter((a) => a.ties.some((t) => t.partsLeft > 0)).flatMap(blockedBy);
  for (const line of (await once(proposals)).lines)
    if (line.proposal.say === 'cannot say')
      blocked.push({
        item: line.item.code,
        symbol: 'life',
        state: 'not known',
        result: 'how many to buy',
        of: 'buying',
        minutes: 0,
      });
  return { facts: missingFacts(blocked) };
}
