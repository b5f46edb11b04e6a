/** A rung of the ladder of second lives: where a cutter may still go, by ISO 513 group of the work material. */
export interface Rung {
  name: string;
  /** Work materials it is still good for; empty: none, it is scrap. */
  groups: readonly ('P' | 'M' | 'K' | 'N' | 'S' | 'H' | 'O')[];
}

/** The ladder until the shop sets its own (common practice); the last rung is scrap. */
export const DEFAULT_LADDER: readonly Rung[] = [
  { name: 'plastics', groups: ['O', 'N', 'P', 'M', 'K'] },
  { name: 'aluminium', groups: ['N', 'P', 'M', 'K'] },
  { name: 'slotting steel', groups: ['P', 'M', 'K'] },
  { name: 'squaring with the upper flute', groups: ['P', 'K'] },
  { name: 'scrap', groups: [] },
];

/** Coatings with aluminium in them, which aluminium welds to. */
const HOLDS_ALUMINIUM = /al.?ti.?n|ti.?al|al.?cr/i;

/** Rungs that geometry and coating allow, each other with why not: a steel coating never goes to aluminium, bare carbide not to steel. */
export function rungsFor(
  ladder: readonly Rung[],
  of: { coating: string | null; substrate: string | null },
): { rung: Rung; not: string | null }[] {
  const steel = ['P', 'M', 'K', 'S', 'H'];
  const bare =
    of.coating !== null && /^(none|uncoated|bright)$/i.test(of.coating.trim()) && of.substrate === 'carbide';
  return ladder.map((rung) => {
    const onlySteel = rung.groups.length > 0 && rung.groups.every((g) => steel.includes(g));
    // In whatever order the groups stand.
    const light = rung.groups.includes('N') || rung.groups.includes('O');
    const not =
      of.coating !== null && HOLDS_ALUMINIUM.test(of.coating) && light
        ? `coated ${of.coating}: aluminium welds to it`
        : bare && onlySteel
          ? 'bare carbide made for aluminium does not step down to steel'
          : null;
    return { rung, not };
  });
}

/**
 * What a cutter is coated with now. Grinding takes the coating off the edge: after it counts what it was recoated
 * with, null (not known) where nobody said. Example: coatingNow('TiAlN', { reground: true, recoated: null }) is null.
 */
export const coatingNow = (
  itemCoating: string | null,
  piece: { reground: boolean; recoated: string | null } | null,
): string | null => (piece?.reground ? piece.recoated : itemCoating);
