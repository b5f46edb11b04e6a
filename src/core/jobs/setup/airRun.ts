/** What is to be raised for a run in the air; mm. */
export interface AirRun {
  /** How far zero is raised, so that the deepest cut stays above the stock. */
  raise: number;
  /** How far it can be raised before the first Z of a tool passes the end of its travel; null: not known. */
  room: number | null;
  /** The tool whose first Z passes it; null: none does, or it is not known. */
  stops: number | null;
}

/** What stays between the deepest cut and the stock in the air, mm (practice). */
export const AIR_CLEARANCE_MM = 20;
/** Raised in steps that are easy to type and to see (practice). */
const STEP_MM = 5;

/**
 * How far to raise zero for an air run: the stock's top, or else zero itself, less the lowest Z that is fed to, and some clearance, in
 * steps of 5. `rooms`: how far each tool's first Z is below the end of Z now. mm; null where nothing feeds. Plane geometry.
 * Example: top 1, lowest Z −24: 45 above what is under zero now.
 */
export function airRun(
  lowestFeedZ: readonly (number | null)[],
  top: number | null,
  rooms: readonly { t: number; room: number }[],
): AirRun | null {
  const deep = lowestFeedZ.filter((z) => z !== null);
  if (!deep.length) return null;
  const needed = Math.max(0, (top ?? 0) - Math.min(...deep)) + AIR_CLEARANCE_MM;
  const raise = Math.ceil(needed / STEP_MM - 1e-9) * STEP_MM;
  const least = rooms.length ? rooms.reduce((a, b) => (b.room < a.room ? b : a)) : null;
  return {
    raise,
    room: least?.room ?? null,
    stops: least && least.room < raise - 1e-9 ? least.t : null,
  };
}

/** What is looked at before and while it runs in the air, in this order (common practice; the machine maker's manual goes first). */
export const AIR_CHECKS = [
  'The registers in the machine read against this sheet, T by T',
  'Zero raised in the work offset, and seen to be above vise and clamps',
  'Nobody and nothing in the machine; guards as its maker wants them',
  'Override of feed and rapid at the lowest, single block on, coolant off',
  'A hand on feed hold; distance to go read at each first approach',
  'Zero put back and read again before metal',
] as const;
