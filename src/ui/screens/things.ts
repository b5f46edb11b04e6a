import type { ItemLine } from '@/crib/stock';

type Option = readonly [value: string, words: string];

/**
 * What of an item can be taken from places of some kinds, as choices: ordinary stock by its place, a parcel that is
 * told apart by its lot, owner and edges left, a used cutter by its mark.
 */
export function thingOptions(item: ItemLine, at: (kind: string) => boolean): Option[] {
  const parcels = item.places
    .filter((p) => at(p.place_kind) && p.quantity > p.pieces)
    .map((p): Option => {
      const apart = [
        p.lot && `lot ${p.lot}`,
        p.owner && `${p.owner}’s until used`,
        p.edges_left !== null && `${p.edges_left} edges left each`,
      ].filter(Boolean);
      const value =
        p.lot_id === null
          ? p.place
          : JSON.stringify({
              from: p.place,
              ...(p.lot ? { lot: p.lot } : {}),
              ...(p.owner ? { supplier: p.owner } : {}),
              ...(p.edges_left !== null ? { edgesLeft: p.edges_left } : {}),
            });
      return [value, [`${p.place}, ${p.quantity - p.pieces} there`, ...apart].join(', ')];
    });
  const marked = [...item.pieces, ...item.lent]
    .filter((p) => at(p.place_kind ?? ''))
    .map((p): Option => [
      JSON.stringify({ piece: p.mark }),
      `${p.mark} at ${p.place}${p.grade ? `, graded ${p.grade}` : p.ended_entry_id ? ', to grade' : ', used'}`,
    ]);
  return [...parcels, ...marked];
}

/** The input of a verb from a form whose `from` is such a choice. A marked piece is one, whatever count was typed. */
export function thingInput({ from, ...input }: Record<string, unknown>): Record<string, unknown> {
  if (typeof from !== 'string' || !from.startsWith('{'))
    return from === undefined ? input : { ...input, from };
  const thing = JSON.parse(from) as Record<string, unknown>;
  if (!thing.piece) return { ...input, ...thing };
  const { item: _item, quantity: _quantity, ...rest } = input;
  return { ...rest, piece: thing.piece };
}
