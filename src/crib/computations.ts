import { ASSEMBLIES_COMPUTATIONS } from './assemblies';
import { BUYING_COMPUTATIONS } from './buying';
import { CATALOGUE_COMPUTATIONS } from './catalogue';
import { JOBS_COMPUTATIONS } from './jobs';
import { LIFE_COMPUTATIONS } from './life';
import { MEASURING_COMPUTATIONS } from './measuring';
import { PLACES_COMPUTATIONS } from './places';
import { type Computation, defineTask } from './door';

/** Everything a screen computes. `programs/read` takes text/plain and has its own door. */
export const COMPUTATIONS: readonly Computation[] = [
  ...ASSEMBLIES_COMPUTATIONS,
  ...BUYING_COMPUTATIONS,
  ...CATALOGUE_COMPUTATIONS,
  ...JOBS_COMPUTATIONS,
  ...LIFE_COMPUTATIONS,
  ...MEASURING_COMPUTATIONS,
  ...PLACES_COMPUTATIONS,
];

/** A computation by its path, done beside the server's own thread where its input is large. */
export const compute = defineTask('compute', ({ path, input }: { path: string; input: unknown }): unknown =>
  COMPUTATIONS.find((c) => c.path === path)?.run(input),
);
