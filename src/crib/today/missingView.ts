import {
  missingFacts,
  neededFor,
  type Blocked,
  type Family,
  type ItemKind,
  type MissingFact,
} from '@/core/cutters';
import { proposals } from '@/crib/buying';
import { readOnce, type ReadOnce } from '@/crib/door';
import { standingCards, type AssemblyCard } from '@/crib/rack';
import type { Connection } from '@/data/database';

/** Names in judgements and drawings, and whose fact each is. */
const OF_CUTTER: Record<string, string> = {
  DMM: 'DMM',
  LCF: 'LCF',
  OAL: 'OAL',
  SIG: 'SIG',
  TAPER: 'TAPER',
  KAPR: 'KAPR',
  DCX: 'DCX',
  APMX: 'APMX',
  CW: 'CW',
};
const OF_HOLDER: Record<string, string> = {
  'smallest shank': 'CLAMP_MIN',
  'largest shank': 'CLAMP_MAX',
  'least grip': 'GRIP_MIN',
  'greatest depth': 'DEPTH_MAX',
};
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
  const out: Blocked[] = [];
  for (const j of a.judgements.filter((x) => x.grade === 'not judged' && x.code in RESULTS))
    for (const v of j.because.values.filter((x) => x.value === 'not known')) {
      const mine = OF_CUTTER[v.name];
      const its = OF_HOLDER[v.name];
      if (mine)
        out.push({
          ...base,
          item: a.cutter.code,
          symbol: mine,
          state: 'not known',
          result: RESULTS[j.code]!,
        });
      else if (its)
        out.push({ ...base, item: a.holder.code, symbol: its, state: 'not known', result: RESULTS[j.code]! });
    }
  for (const words of a.outline.assumed) {
    const symbol = /^([A-Z]+) not known/.exec(words)?.[1];
    if (symbol) out.push({ ...base, item: a.cutter.code, symbol, state: 'not known', result: 'its outline' });
    else if (words.startsWith('holder outline'))
      out.push({
        ...base,
        item: a.holder.code,
        symbol: 'outline',
        state: 'not known',
        result: 'its outline',
      });
  }
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
