import { type HolderGeometry, type HolderSegment } from '../cutters';
import type { AssemblyOutline } from './assemblyOutline';
import type { HolderDetails, Part } from './parts';

/** The lengths of a part that stands between spindle and cutter, mm; null: not known. A collet adds none. */
export const addsLength = (part: Part): number | null =>
  part.kind === 'extension' ? (part.setOut ?? part.LPR) : 0;

/** The part that grips what comes next, with what it grips by. */
interface Carrier extends Pick<
  Part,
  'code' | 'CCWS' | 'CLAMPING' | 'SHANKS' | 'MOUNTS' | 'CLAMP_MIN' | 'CLAMP_MAX' | 'GRIP_MIN' | 'DEPTH_MAX'
> {
  /** The size of collet it asks for; null once one is in it, or where it asks for none. */
  asksCollet: string | null;
  /** What grips in it: the collet, once one is in it. */
  by: string;
  /** The length of the collet in it, mm. */
  colletLength: number | null;
}

/** A link of the stack with what carries it. */
interface Link {
  carrier: Carrier;
  part: Part;
}

/** What is between spindle and cutter, taken as one holder. */
interface Held {
  holder: HolderGeometry;
  carrier: Carrier;
  links: Link[];
  /** Extensions whose length is not known: the whole is at least so long. */
  lengthUnknown: string[];
  assumed: AssemblyOutline['assumed'];
}

/** Lengths of collets with 8 degree setting angle by size, mm. ISO 15488, from memory. */
const COLLET_LENGTHS: Record<string, number> = {
  '8': 13.6,
  '11': 18,
  '16': 27.5,
  '20': 31.5,
  '25': 34,
  '32': 40,
  '40': 46,
};
/** The size in a collet's words: 'ER 32', 'ISO 15488-32' and '32' are one. */
export const colletSize = (words: string): string =>
  /^(?:ER ?|ISO 15488 ?-? ?[AB]? ?)?(\d{1,2})$/i.exec(words.trim())?.[1] ?? words.trim().toUpperCase();

/** Two thirds of a collet's bore are to be filled (common practice), mm; null where its length is not known. */
export const colletGrip = (length: number | null): number | null =>
  length === null ? null : (2 / 3) * length;

/** The form of what is drawn for want of an outline: a plain cylinder about what it takes or is. */
const cylinder = (length: number, around: number | null): HolderSegment[] => {
  const wide = around ?? 40;
  return length > 0 ? [{ length, upper: wide, lower: wide }] : [];
};

/**
 * Holder, extensions and collets as one holder: its length from the gauge line to the last face, what the last of them
 * grips and how, the lowest rpm limit of those that state one, the outline of all. mm. An extension whose length is not
 * known counts as none and is named. Only extensions and collets count; a pull stud and spares stand beside.
 * Example: holder of LF 60, extension with LPR 100: LF 160.
 */
export function holdsAs(
  holder: HolderGeometry,
  parts: readonly Part[] = [],
  details: HolderDetails | null = null,
): Held {
  const { CLAMP_MIN, CLAMP_MAX, GRIP_MIN, DEPTH_MAX } = holder;
  let carrier: Carrier = {
    code: details?.code ?? 'holder',
    CCWS: details?.CCWS ?? null,
    CLAMPING: details?.CLAMPING ?? null,
    SHANKS: details?.SHANKS ?? null,
    MOUNTS: details?.MOUNTS ?? null,
    asksCollet: details?.COLLET ?? null,
    by: details?.code ?? 'holder',
    colletLength: null,
    ...{ CLAMP_MIN, CLAMP_MAX, GRIP_MIN, DEPTH_MAX },
  };
  const stack = parts.filter((p) => p.kind === 'extension' || p.kind === 'collet');
  const assumed: AssemblyOutline['assumed'] = [];
  const segments = [...holder.segments];
  // By what the holder itself takes, not by the collet that is in it.
  if (stack.length && !segments.length) {
    assumed.push({ of: 'holder', symbol: 'outline', words: 'holder outline not known: drawn as a cylinder' });
    segments.push(...cylinder(holder.LF, (holder.CLAMP_MAX ?? 20) * 2));
  }
  let LF = holder.LF;
  const links: Link[] = [];
  const lengthUnknown: string[] = [];
  const limits = [holder.RPM_MAX];
  for (const part of stack) {
    links.push({ carrier, part });
    limits.push(part.RPM_MAX);
    if (part.kind === 'collet') {
      carrier = {
        ...carrier,
        asksCollet: null,
        by: part.code,
        CLAMP_MIN: part.CLAMP_MIN,
        CLAMP_MAX: part.CLAMP_MAX,
        GRIP_MIN: part.GRIP_MIN ?? carrier.GRIP_MIN,
        colletLength:
          part.OAL ?? (part.COLLET === null ? null : (COLLET_LENGTHS[colletSize(part.COLLET)] ?? null)),
      };
      continue;
    }
    const length = addsLength(part);
    if (length === null) lengthUnknown.push(part.code);
    LF += length ?? 0;
    const own = part.segments.length > 0 && part.setOut === null;
    if (!own)
      assumed.push({
        of: 'holder',
        symbol: 'outline',
        words: `outline of ${part.code} not known: drawn as a cylinder`,
      });
    segments.push(
      ...(own ? part.segments : cylinder(length ?? 0, part.DMM ?? (part.CLAMP_MAX && part.CLAMP_MAX * 1.6))),
    );
    carrier = {
      code: part.code,
      CCWS: part.CCWS,
      CLAMPING: part.CLAMPING,
      SHANKS: part.SHANKS,
      MOUNTS: part.MOUNTS ?? null,
      asksCollet: part.COLLET,
      by: part.code,
      colletLength: null,
      CLAMP_MIN: part.CLAMP_MIN,
      CLAMP_MAX: part.CLAMP_MAX,
      GRIP_MIN: part.GRIP_MIN,
      DEPTH_MAX: part.DEPTH_MAX,
    };
  }
  const known = limits.filter((n) => n !== null);
  return {
    holder: {
      LF,
      CLAMP_MIN: carrier.CLAMP_MIN,
      CLAMP_MAX: carrier.CLAMP_MAX,
      GRIP_MIN: carrier.GRIP_MIN,
      DEPTH_MAX: carrier.DEPTH_MAX,
      RPM_MAX: known.length ? Math.min(...known) : null,
      segments,
    },
    carrier,
    links,
    lengthUnknown,
    assumed,
  };
}
