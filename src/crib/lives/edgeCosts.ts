import type { Likely } from '@/core/life';
import { edgesOf, loadItems } from '@/crib/catalogue';
import { manySupplies } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyLastInserts } from '@/data/stock';

/** What one fresh edge set of a cutter costs. */
export interface EdgeCost {
  /** null: not known. */
  cents: number | null;
  /** Of what it is the price: 'a new one', '5 edges of SEKN1203, of 4 each'. */
  of: string;
}

/** What a minute in the cut costs in edges, cents, with 95 % limits; null: what an edge costs, or how long it lasts, is not known. */
export interface EdgeRate {
  edge: EdgeCost;
  aMinute: { cents: number; from: number; to: number } | null;
}

/** Which of two costs less a minute in the cut, where their 95 % limits do not meet; null: cannot say. */
export const cheaperOf = (first: EdgeRate, second: EdgeRate): 'first' | 'second' | null => {
  const [a, b] = [first.aMinute, second.aMinute];
  if (!a || !b) return null;
  return a.to < b.from ? 'first' : b.to < a.from ? 'second' : null;
};

/** What an edge costs a minute of the mean life it has: the longer it lasts, the less. */
export const edgeRate = (cost: EdgeCost | undefined, mean: Likely | null): EdgeRate => {
  const edge = cost ?? { cents: null, of: 'a new one' };
  return {
    edge,
    aMinute:
      edge.cents === null || !mean
        ? null
        : { cents: edge.cents / mean.value, from: edge.cents / mean.to, to: edge.cents / mean.from },
  };
};

/**
 * What a fresh edge set costs of some cutters: a new one of a solid cutter (what is ground again is not reckoned), the edges in
 * its seats of a body, by the inserts that were put into one last. Plain arithmetic.
 */
export async function edgeCosts(
  c: Connection,
  items: readonly { id: number; kind: string }[],
): Promise<Map<number, EdgeCost>> {
  const bodies = items.filter((i) => i.kind === 'body').map((i) => i.id);
  const mounted = new Map(
    (bodies.length ? await manyLastInserts(c, bodies) : []).map((m) => [m.bodyItemId, m]),
  );
  const inserts = new Map(
    (await loadItems(c, [...new Set([...mounted.values()].map((m) => m.itemId))])).map((i) => [i.id, i]),
  );
  const prices = new Map(
    (await manySupplies(c, [...items.map((i) => i.id), ...inserts.keys()])).map((s) => [
      s.itemId,
      s.priceCents,
    ]),
  );
  return new Map(
    items.map(({ id, kind }) => {
      if (kind !== 'body') return [id, { cents: prices.get(id) ?? null, of: 'a new one' }];
      const m = mounted.get(id);
      const insert = m && inserts.get(m.itemId);
      if (!m || !insert) return [id, { cents: null, of: 'its inserts, of which none were put in' }];
      const edges = edgesOf(insert);
      const price = prices.get(insert.id) ?? null;
      return [
        id,
        {
          cents: price === null || edges === null ? null : (m.quantity * price) / edges,
          of: `${m.quantity} edges of ${insert.code}${edges === null ? '' : `, of ${edges} each`}`,
        },
      ];
    }),
  );
}
