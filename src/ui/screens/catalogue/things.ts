import type { ItemLine } from '@/crib/catalogue';

type Option = readonly [value: string, words: string];

/**
 * What of an item can be taken from places of some kinds, as choices: ordinary stock by its place, a parcel that is
 * told apart by its lot, owner and edges left, a used cutter by its mark.
 */
export function thingOptions(item: ItemLine, at: (kind: string) => boolean): Option[] {
  const parcels = item.places
    .filter((p) => at(p.placeKind) && p.quantity > p.pieces)
    .map((p): Option => {
      const apart = [
        p.lot && `lot ${p.lot}`,
        p.owner && `${p.owner}’s until used`,
        p.edgesLeft !== null && `${p.edgesLeft} edges left each`,
      ].filter(Boolean);
      const value =
        p.lotId === null
          ? p.place
          : JSON.stringify({
              from: p.place,
              ...(p.lot ? { lot: p.lot } : {}),
              ...(p.owner ? { supplier: p.owner } : {}),
              ...(p.edgesLeft !== null ? { edgesLeft: p.edgesLeft } : {}),
            });
      return [value, [`${p.place}, ${p.quantity - p.pieces} there`, ...apart].join(', ')];
    });
  const marked = [...item.pieces, ...item.lent]
    .filter((p) => at(p.placeKind ?? ''))
    .map((p): Option => [
      JSON.stringify({ piece: p.mark }),
      `${p.mark} at ${p.place}${p.grade ? `, graded ${p.grade}` : p.endedEntryId ? ', to grade' : ', used'}`,
    ]);
  return [...parcels, ...marked];
}

/** The input of a verb from a form whose `from` is such a choice. A marked piece is one, whatever count was typed. */
export function thingInput({ from, ...input }: Record<string, unknown>): Record<string, unknown> {
  if (typeof from !== 'string' || !from.startsWith('{'))
    return from === undefined ? input : { ...input, from };
  // Written by taken(), a few lines above.
  const thing = JSON.parse(from) as Record<string, unknown>;
  if (!thing.piece) return { ...input, ...thing };
  const { item: _item, quantity: _quantity, ...rest } = input;
  return { ...rest, piece: thing.piece };
}
