/**
 * Codes that are known and not read. What a control does by them is that of the common ISO 6983 dialects (from memory);
 * which of them move, shift or scale decides how far the figures beside them can be believed.
 */

/** How a drilling cycle that is read goes: RS-274/NGC (NISTIR 6556), 3.5.16; G73, G74 and G76 of the ISO dialects. */
export interface CycleKind {
  /** By Q: out to R after each peck, or only breaking the chip. */
  pecks?: 'out' | 'chip';
  /** Comes out at feed. */
  feedsOut?: boolean;
  /** Cuts a thread, right- or left-hand: feed and turns must agree with its pitch. */
  taps?: boolean;
}
export const CYCLES: ReadonlyMap<number, CycleKind> = new Map<number, CycleKind>([
  [73, { pecks: 'chip' }],
  [74, { feedsOut: true, taps: true }],
  // Its Q is the way it steps aside before it comes out, no peck.
  [76, {}],
  [81, {}],
  [82, {}],
  [83, { pecks: 'out' }],
  [84, { feedsOut: true, taps: true }],
  [85, { feedsOut: true }],
  [86, {}],
  // Comes out by hand: the way in is what it is.
  [88, {}],
  [89, { feedsOut: true }],
]);
/** G numbers of what moves the tool, and is read: rapid, line, arcs, cycles. */
export const isMotion = (g: number): boolean => (g >= 0 && g <= 3 && Number.isInteger(g)) || CYCLES.has(g);
/** G numbers of the work offsets; G54.1 names its own by P. */
const OFFSETS = new Set([54, 55, 56, 57, 58, 59, 59.1, 59.2, 59.3, 54.1]);
export const isOffset = (g: number): boolean => OFFSETS.has(g);

/** How long a code that is not read is in force, and what it does meanwhile. */
export interface Unread {
  /** Codes that end it; null: it is over with its block; an empty list: nothing that we know ends it. */
  endedBy: readonly string[] | null;
  /** Places and depths under it are in another frame, so that no depth is known. */
  shifts: boolean;
  /** Lengths under it are not those that are written, so that none is booked. */
  scales: boolean;
  /** After it the tool may be anywhere, whether an axis is named or not. */
  wanders: boolean;
}

/** What ends a G52: itself, with every axis back at 0. */
export const FIRST_ZERO = 'G52 at 0';

const once = (over: Partial<Unread> = {}): Unread => ({
  endedBy: null,
  shifts: false,
  scales: false,
  wanders: false,
  ...over,
});
const until = (endedBy: readonly string[], over: Partial<Unread> = {}): Unread => once({ endedBy, ...over });

/** Codes by name; a code with a point falls back on the one before the point. */
const UNREAD: Record<string, Unread> = {
  G7: until(['G8'], { scales: true }),
  'G12.1': until(['G13.1'], { scales: true, shifts: true }),
  G12: once({ wanders: true }),
  G13: once({ wanders: true }),
  G16: until(['G15'], { scales: true, shifts: true }),
  G27: once({ wanders: true }),
  G29: once({ wanders: true }),
  G31: once({ wanders: true }),
  G33: once({ wanders: true }),
  G37: once({ wanders: true }),
  G44: until(['G49', 'G43'], { shifts: true }),
  // Along the tool's own axis, with its centre or length kept by the control.
  'G43.1': until(['G49'], { shifts: true }),
  'G43.4': until(['G49'], { shifts: true }),
  'G43.5': until(['G49'], { shifts: true }),
  G51: until(['G50'], { scales: true, shifts: true }),
  'G51.1': until(['G50.1'], { shifts: true }),
  G52: until([FIRST_ZERO], { shifts: true }),
  G60: once({ wanders: true }),
  // A macro may leave anything behind it.
  G65: until([], { shifts: true, wanders: true }),
  G66: until(['G67'], { shifts: true, wanders: true }),
  G68: until(['G69'], { shifts: true }),
  'G90.1': until(['G91.1'], { scales: true }),
  G92: until(['G92.1', 'G92.2'], { shifts: true }),
  G96: until(['G97']),
};
/** What is not known at all may do anything but scale, and nothing is known to end it. */
const UNKNOWN: Unread = until([], {});

/**
 * A fixed cycle that is not read: it drills holes we don't see, and leaves the tool where we don't know. G87 is one: what
 * its words mean differs from one family of controls to the next.
 */
export const isUnreadCycle = (g: number): boolean => g >= 73 && g < 90 && g !== 80 && !CYCLES.has(g);

/** What is known of a G code that is not read. Example: 'G68.2' is a frame until G69. */
export const unreadCode = (code: string): Unread =>
  UNREAD[code] ?? UNREAD[code.replace(/\..*$/, '')] ?? UNKNOWN;

/** An M code that is not read: a call may leave anything behind it; others start or stop something beside the cut. */
export const unreadM = (m: number): Unread =>
  m === 98 || m === 97 ? until([], { shifts: true, wanders: true }) : once();

/** G numbers that are read, or without effect on what the report says: compensation changes no length, and so on. */
const QUIET_G = new Set([
  4, 10, 17, 18, 19, 20, 21, 28, 30, 40, 41, 42, 43, 49, 53, 61, 64, 80, 90, 91, 93, 94, 95, 97, 98, 99,
]);
/** What ends something that is not read: axis words beside it are its own and move nothing. */
const ENDS = new Set([8, 13.1, 15, 50, 50.1, 67, 69, 91.1, 92.1, 92.2]);
export const endsUnread = (g: number): boolean => ENDS.has(g);
export const knownG = (g: number): boolean => isMotion(g) || QUIET_G.has(g) || ENDS.has(g) || isOffset(g);
export const QUIET_M: ReadonlySet<number> = new Set([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 30, 98, 99]);
