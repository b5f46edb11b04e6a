import { ASSEMBLIES_COMPUTATIONS } from './assemblies';
import { BUYING_COMPUTATIONS } from './buying';
import { CATALOGUE_COMPUTATIONS } from './catalogue';
import { JOBS_COMPUTATIONS } from './jobs';
import { LIFE_COMPUTATIONS } from './life';
import { MEASURING_COMPUTATIONS } from './measuring';
import { PLACES_COMPUTATIONS } from './places';
import type { Computation } from './door';

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
