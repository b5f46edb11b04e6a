import { KEEPING_ACTS } from '@/crib/keeping';
import { type Act, SIGNING_ACTS } from '@/crib/people';

/** Everything that is done and stands in no ledger: signing in and out, secrets, keys; keeping the data. */
export const ACTS: readonly Act[] = [...SIGNING_ACTS, ...KEEPING_ACTS];
