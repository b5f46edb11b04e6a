/** How a machine keeps its tools. 'by hand': it has no magazine, and somebody swaps them at each stop. */
export const MAGAZINES = ['carousel', 'chain', 'rack', 'turret', 'by hand'] as const;
export type MagazineKind = (typeof MAGAZINES)[number];

/** A machine's magazine, as its maker limits it; mm and kg, null: not known. */
export interface Magazine {
  kind: MagazineKind;
  pockets: number;
  /** Heaviest tool. */
  weight: number | null;
  /** Widest tool with tools beside it, and with both pockets beside it empty. */
  diameter: number | null;
  alone: number | null;
  /** Longest tool, from the gauge line. */
  length: number | null;
}

/**
 * The pockets beside one: round about, where the magazine goes round; at its ends a rack has one. Example: carousel of 24,
 * pocket 1: 24 and 2.
 */
export function beside({ kind, pockets }: Pick<Magazine, 'kind' | 'pockets'>, pocket: number): number[] {
  if (pockets < 2) return [];
  const round = kind !== 'rack';
  const at = (n: number) => (round ? ((n - 1 + pockets) % pockets) + 1 : n);
  return [...new Set([at(pocket - 1), at(pocket + 1)])].filter((n) => n >= 1 && n <= pockets && n !== pocket);
}
