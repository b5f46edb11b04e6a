import { type Judgement, mm, say } from '../because';
import { cutterOutline, type OutlinePoint } from '../cutters';
import { DEFAULTS } from '../defaults';
import { assemblyOutline } from './assemblyOutline';
import { clearanceOf, leastStickout, type Wall } from './clearance';
import { holdsAs } from './holdsAs';
import type { Build } from './judgeBuild';

/** How a build stands beside a wall. */
interface Stands {
  /** Where it is nearest: of what, how far off (below 0: in the wall), how high above the tip, mm; null: nothing is beside it. */
  nearest: { of: 'cutter' | 'holder'; gap: number; height: number } | null;
  /** The least stickout at which all clears, mm; null: the cutter itself meets the wall, and no stickout mends that. */
  leastStickout: number | null;
}
interface BesideWall extends Stands {
  judgement: Judgement;
}

/**
 * A build beside a wall when its tip is at the wall's foot: neck and shank, extensions and holder as they are drawn; what
 * cuts is left out, since it is meant to touch. mm, `free` is to be left. Outlines that are assumed make it no better known
 * than the drawing. Plane geometry.
 * Example: a holder of 50 across on 34 of stickout, a wall 40 deep at 12: stop, 40 of stickout clear.
 */
export function besideWall(build: Build, wall: Wall, free: number = DEFAULTS.wallClearanceMm): BesideWall {
  const stands = standsBeside(build, wall, free);
  return { ...stands, judgement: judged(stands.nearest, stands.leastStickout, wall, free) };
}

/** The same without words: what is asked again and again while a tip is dragged. */
export function standsBeside({ cutter, holder, parts, stickout }: Build, wall: Wall, free: number): Stands {
  const stack = holdsAs(holder, parts).holder;
  const outline = assemblyOutline(cutter, stack, stickout);
  // From the tip up.
  const up = (points: readonly OutlinePoint[]) =>
    points.map((p) => ({ z: outline.length - p.z, r: p.r })).reverse();
  const body = up(outline.holder);
  const shank = up(outline.shank);
  const [ofCutter, ofHolder] = [clearanceOf(shank, wall), clearanceOf(body, wall)];
  const near: Stands['nearest'] =
    ofCutter && (!ofHolder || ofCutter.gap <= ofHolder.gap)
      ? { of: 'cutter', ...ofCutter }
      : ofHolder && { of: 'holder', ...ofHolder };
  const least = leastStickout(
    body.map((p) => ({ z: p.z - stickout, r: p.r })),
    wall,
    free,
  );
  // Asked only where it is near: a longer stickout brings more of the cutter itself beside the wall.
  const isOwn = near !== null && near.gap < free - 1e-9 && ownShankMeets(cutter, stickout, wall, free);
  const mended = isOwn ? null : least;
  return { nearest: near, leastStickout: mended };
}

/** Whether what no stickout moves, neck and shank of the whole cutter, meets the wall. */
function ownShankMeets(cutter: Build['cutter'], stickout: number, wall: Wall, free: number): boolean {
  const own = clearanceOf(cutterOutline(cutter, Math.max(stickout, cutter.OAL ?? 0)).shank, wall);
  return own !== null && own.gap < free - 1e-9;
}

function judged(near: Stands['nearest'], least: number | null, wall: Wall, free: number): Judgement {
  const values: [string, string][] = [
    ['wall', `${mm(wall.depth)} deep, ${mm(wall.radial)} from the axis, ${wall.draft}° draft`],
    ['nearest', near ? `${mm(near.gap)} at ${mm(near.height)} above the tip` : 'nothing is beside it'],
    ['to be left', mm(free)],
  ];
  const why =
    'What turns must not touch what it does not cut. The outline is as true as the figures it is drawn from.';
  const formula = 'radial + z tan(draft) − r ≥ what is to be left, for all z below the wall’s top';
  const mend =
    least === null
      ? 'a slimmer or longer-necked cutter is needed'
      : `from a stickout of ${mm(Math.ceil(least * 10) / 10)} it clears`;
  if (!near || near.gap >= free - 1e-9)
    return say(
      'WALL',
      'good',
      near ? `Clears the wall by ${mm(near.gap)}` : 'Nothing is beside the wall',
      why,
      values,
      formula,
    );
  return near.gap < 0
    ? say('WALL', 'stop', `The ${near.of} is ${mm(-near.gap)} in the wall: ${mend}`, why, values, formula)
    : say(
        'WALL',
        'question',
        `The ${near.of} is ${mm(near.gap)} off the wall: ${mend}`,
        why,
        values,
        formula,
      );
}
