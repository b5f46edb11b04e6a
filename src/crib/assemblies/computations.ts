import {
  assemblyOutline,
  besideWall,
  type Build,
  buildFigures,
  type CutterDetails,
  expectedGaugeLength,
  type HolderDetails,
  holdsAs,
  judgeBuild,
  type Part,
  type Wall,
} from '@/core/assemblies';
import { byName } from '@/core/units';
import { computation, part, type Computation } from '@/crib/door';

const CUTTER_FACTS = ['SHANK', 'DCB', 'LPR', 'CCMS', 'CSP', 'SUBSTRATE', 'WT'] as const;
const HELD_FACTS = ['CCMS', 'CCWS', 'CLAMPING', 'SHANKS', 'COLLET', 'CSP', 'WT', 'TORQUE'] as const;
const PART_FACTS = [
  'setOut',
  ...HELD_FACTS,
  'DMM',
  'OAL',
  'LPR',
  'CLAMP_MIN',
  'CLAMP_MAX',
  'GRIP_MIN',
  'DEPTH_MAX',
  'RPM_MAX',
] as const;
const none = <N extends string>(names: readonly N[]) => byName(names, () => null);

/** A build as it came through the door: what is left out is not known. */
function whole(b: Build): Build & Required<Pick<Build, 'parts' | 'details'>> {
  const cutter: CutterDetails = { ...none(CUTTER_FACTS), ...b.details?.cutter };
  const holder: HolderDetails = { ...none(HELD_FACTS), ...(b.details?.holder ?? { code: 'holder' }) };
  return {
    ...b,
    cutter: part.whole(b.cutter),
    parts: (b.parts ?? []).map((p): Part => ({ ...none(PART_FACTS), ...p })),
    details: { cutter, holder },
  };
}
const asked = (b: Build): Build => (b.details || b.parts ? whole(b) : { ...b, cutter: part.whole(b.cutter) });

const shank = part.shape({ form: part.textOrNull, takes: part.textOrNull }, ['form', 'takes']);

/** What is reckoned of a build. */
export const ASSEMBLIES_COMPUTATIONS: readonly Computation[] = [
  computation<Build>(
    'assemblies/judge',
    'Judgement of a build and its expected gauge length, mm; parts in order from the spindle down.',
    part.shape({ ...part.buildOf, shank }, ['cutter', 'holder', 'stickout']),
    (b) => ({
      judgements: judgeBuild(asked(b)),
      expectedGaugeLength: expectedGaugeLength(holdsAs(b.holder, whole(b).parts).holder.LF, b.stickout),
    }),
  ),
  computation<Build & { force?: number }>(
    'assemblies/figures',
    'Weight in kg, rpm limit, permissible unbalance in g mm and tip deflection in mm of a build.',
    part.shape({ ...part.buildOf, force: part.positive }, ['cutter', 'holder', 'stickout']),
    (b) => buildFigures(whole(b), b.force),
  ),
  computation<Build & { wall: Wall; free?: number }>(
    'assemblies/clearance',
    'A build beside a wall of given depth, radial distance from the axis and draft, mm and degrees; the least stickout that clears.',
    part.shape(
      {
        ...part.buildOf,
        wall: part.shape(
          {
            depth: part.positive,
            radial: part.positive,
            draft: { type: 'number', minimum: 0, maximum: 80 },
          },
          ['depth', 'radial', 'draft'],
        ),
        free: part.amount,
      },
      ['cutter', 'holder', 'stickout', 'wall'],
    ),
    (b) => besideWall(whole(b), b.wall, b.free),
  ),
  computation<Build & { length?: number }>(
    'assemblies/outline',
    'Half outline hung from the gauge line, mm.',
    part.shape({ ...part.buildOf, length: part.positive }, ['cutter', 'holder', 'stickout']),
    (b) =>
      assemblyOutline(part.whole(b.cutter), holdsAs(b.holder, whole(b).parts).holder, b.stickout, b.length),
  ),
];
