import { ASSEMBLIES_COMPUTATIONS } from './assemblies';
import { BREAKAGE_COMPUTATIONS } from './breakage';
import { BUYING_COMPUTATIONS } from './buying';
import { CATALOGUE_COMPUTATIONS } from './catalogue';
import { CUTTING_COMPUTATIONS } from './cutting';
import { JOBS_COMPUTATIONS } from './jobs';
import { LIFE_COMPUTATIONS } from './life';
import { MEASURING_COMPUTATIONS } from './measuring';
import { PLACES_COMPUTATIONS } from './places';
import { sure } from '@/core/sure';
import { type Computation, defineTask, Problem } from './door';

/** Everything a screen computes. `programs/read` takes text/plain and has its own door. */
export const COMPUTATIONS: readonly Computation[] = [
  ...ASSEMBLIES_COMPUTATIONS,
  ...BREAKAGE_COMPUTATIONS,
  ...BUYING_COMPUTATIONS,
  ...CATALOGUE_COMPUTATIONS,
  ...CUTTING_COMPUTATIONS,
  ...JOBS_COMPUTATIONS,
  ...LIFE_COMPUTATIONS,
  ...MEASURING_COMPUTATIONS,
  ...PLACES_COMPUTATIONS,
];

/** A figure that is not finite would be sent as null, as if it were not known. */
const onlyFinite = (_: string, value: unknown): unknown => {
  if (typeof value === 'number' && !Number.isFinite(value))
    throw new Problem('INVALID_INPUT', 'With these figures the result is beyond any number', {
      field: 'body',
      limit: 'figures as they are met in a shop',
      wayOut: 'Check the figures and their units.',
    });
  return value;
};

/**
 * A computation by its path, as JSON; done beside the server's own thread where its input is large. Throws a Problem where
 * a figure of the result is not finite.
 */
export const compute = defineTask('compute', ({ path, input }: { path: string; input: unknown }): string =>
  JSON.stringify(
    sure(
      COMPUTATIONS.find((c) => c.path === path),
      `the computation ${path}`,
    ).run(input),
    onlyFinite,
  ),
);
