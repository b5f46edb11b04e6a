import { CAUSE_NAMES, type ConfirmedCase, rankCauses, type Scene, SEEN_NAMES } from '@/core/breakage';
import { computation, part, type Computation } from '@/crib/door';

const signs = { type: 'array', items: { enum: SEEN_NAMES }, maxItems: SEEN_NAMES.length } as const;

/** What is reckoned of cutters that broke. */
export const BREAKAGE_COMPUTATIONS: readonly Computation[] = [
  computation<Scene & { confirmed: ConfirmedCase[] }>(
    'breakage/causes',
    'Likely causes of a broken cutter, the likeliest first, with the signs for and against and what to do next; confirmed cases move them.',
    part.shape(
      {
        seen: signs,
        notSeen: signs,
        confirmed: part.list(
          part.shape({ cause: { enum: CAUSE_NAMES }, seen: signs, notSeen: signs }, ['cause', 'seen']),
        ),
      },
      ['seen', 'confirmed'],
    ),
    ({ confirmed, ...scene }) => ({ causes: rankCauses(scene, confirmed) }),
  ),
];
