/** What a tool leaves on the part for another, mm: at its walls and on its floor; 0: it cuts to size; null: nobody said. */
export interface Leaves {
  side: number | null;
  floor: number | null;
}

/**
 * What is left, in words; null: nobody said. `length` writes a length. Example: 0.3 at the side and 0.1 on the floor: '0.3 side,
 * 0.1 floor'; 0 and 0: 'to size'.
 */
export function leavesWords({ side, floor }: Leaves, length: (mm: number) => string): string | null {
  if (side === null && floor === null) return null;
  if (side === floor) return side === 0 ? 'to size' : `${length(side ?? 0)} all over`;
  const at = (mm: number | null, where: string) =>
    mm === null ? [] : [mm === 0 ? `${where} to size` : `${length(mm)} ${where}`];
  return [...at(side, 'side'), ...at(floor, 'floor')].join(', ');
}
