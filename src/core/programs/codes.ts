/**
 * Codes that are known and not read. What a control does by them is that of the common ISO 6983 dialects (from memory);
 * which of them move, shift or scale decides how far the figures beside them can be believed.
 */

/** What moves the tool, and is read. */
export type Motion = 'G0' | 'G1' | 'G2' | 'G3' | 'G81' | 'G83';
export const MOTIONS: Record<string, Motion> = {
  G0: 'G0',
  G1: 'G1',
  G2: 'G2',
  G3: 'G3',
  G81: 'G81',
  G83: 'G83',
};
/** Work offsets; G54.1 names its own by P. */
export const OFFSET = /^G(5[4-9]|59\.[1-3])$/;

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

/** A fixed cycle that is not read: it drills holes we don't see, and leaves the tool where we don't know. */
export const isUnreadCycle = (code: string): boolean => /^G(7[3-9]|8[2-9])(\.|$)/.test(code);

/** What is known of a G code that is not read. Example: 'G68.2' is a frame until G69. */
export const unreadCode = (code: string): Unread =>
  UNREAD[code] ?? UNREAD[code.replace(/\..*$/, '')] ?? UNKNOWN;

/** An M code that is not read: a call may leave anything behind it; others start or stop something beside the cut. */
export const unreadM = (m: number): Unread =>
  m === 98 || m === 97 ? until([], { shifts: true, wanders: true }) : once();

/** G codes that are read, or without effect on what the report says: compensation changes no length, and so on. */
export const QUIET_G = new Set(
  'G4 G10 G17 G18 G19 G20 G21 G28 G30 G40 G41 G42 G43 G49 G53 G61 G64 G80 G90 G91 G93 G94 G95 G97 G98 G99'.split(
    ' ',
  ),
);
/** What ends something that is not read: axis words beside it are its own and move nothing. */
export const ENDS = new Set('G8 G13.1 G15 G50 G50.1 G67 G69 G91.1 G92.1 G92.2'.split(' '));
export const QUIET_M = new Set([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 30]);
export const LETTERS = new Set('GMNTHDSFXYZIJKRPQL'.split(''));
/** Letters whose numbers a control may scale where they are written without a point. */
export const SCALED = new Set('XYZIJKRQ'.split(''));
