import { familiesOfHole, readThread, tapDrill, type Family, type HoleWork } from '../cutters';
import { FEATURES, type Cut, type Feature } from './cut';
import { reamingAllowance } from './kit';

/** Features whose depth the flutes must reach: of others the depth bounds nothing, or not by the flutes. */
const DEEP: readonly Feature[] = [
  'side',
  'slot',
  'pocket',
  'floor',
  'dovetail',
  'undercut',
  'hole',
  'thread',
];

/** Of one family, the diameters a cut asks for: those nearest to a size from below and from above. */
interface Window {
  family: Family;
  /** mm; those at it count as below. Infinity: nothing bounds it. */
  near: number;
  /** On which side what fits lies; on the other lie the nearest misses. */
  fits: 'below' | 'above' | 'around';
  /** Whether it must reach the cut's depth: a face mill need not, nor what only begins or breaks the edge of a hole. */
  reaches: boolean;
}

/**
 * Where in a catalogue of any size the cutters for a cut are looked for, family by family, its kit's too. A cutter
 * further from the size fits no better: among mills the stoutest that passes does best, a hole has one size. mm.
 * Example: a pocket with a corner of 4: square mills of 8 and below, and the few just above as misses.
 */
export function windowsOf(cut: Cut): Window[] {
  const own: readonly Family[] = FEATURES[cut.feature].families;
  const least = (...limits: (number | null)[]) => Math.min(...limits.map((l) => l ?? Infinity));
  const below = (families: readonly Family[], near: number): Window[] =>
    families.map((family) => ({ family, near, fits: 'below', reaches: DEEP.includes(cut.feature) }));
  const around = (work: HoleWork, near: number): Window[] =>
    familiesOfHole(work).map((family) => ({
      family,
      near,
      fits: near === Infinity ? 'below' : 'around',
      reaches: true,
    }));
  switch (cut.feature) {
    case 'side':
    case 'pocket':
      return below(own, least(cut.corner === null ? null : 2 * cut.corner, cut.clearance));
    case 'slot':
      return below(own, least(cut.width, cut.clearance));
    case 'face':
    case 'floor':
    case 'undercut':
    case 'dovetail':
    case 'rounding':
    case 'engraving':
      return below(own, least(cut.clearance));
    case 'chamfer':
      return own.map((family) => ({ family, near: cut.diameter ?? 0, fits: 'above', reaches: true }));
    case 'centre':
      return own.map((family) => ({
        family,
        near: cut.diameter ?? Infinity,
        fits: 'around',
        reaches: false,
      }));
    case 'hole': {
      const D = cut.diameter ?? Infinity;
      const before = D === Infinity ? D : D - reamingAllowance(D);
      return [
        ...around('drills', D),
        ...around('drills a step', D),
        ...around('drills', before),
        ...around('reams', D),
        ...below(familiesOfHole('bores'), D),
        ...startOf(D),
      ];
    }
    case 'thread': {
      const thread = cut.thread === null ? null : readThread(cut.thread);
      const D = thread?.major ?? Infinity;
      const drills = thread
        ? (['cutting', 'forming'] as const).flatMap((by) => {
            const hole = tapDrill(thread, by);
            return hole ? around('drills', hole.drill) : [];
          })
        : around('drills', Infinity);
      return [
        ...around('taps', D),
        ...below(familiesOfHole('mills a thread'), 0.85 * D),
        ...drills,
        ...startOf(D),
      ];
    }
  }
}

/** What spots and chamfers a hole of a size: anything that is large enough. */
const startOf = (size: number): Window[] =>
  (['begins', 'breaks its edge'] as const).flatMap((work) =>
    familiesOfHole(work).map((family) => ({
      family,
      near: size === Infinity ? 0 : work === 'begins' ? size * 0.6 : size,
      fits: 'above',
      reaches: false,
    })),
  );
