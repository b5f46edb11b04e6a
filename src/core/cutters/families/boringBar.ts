import { boringHead } from './boringHead';
import type { FamilySpec } from './family';

/** A bar without a head: how far it can be set is the head's. */
export const boringBar: FamilySpec = {
  ...boringHead,
  words: 'boring bar',
  diameterAt: 'the smallest bore it enters',
  facts: ['DN', 'LU', 'RE', 'KAPR', 'APMX'],
  needs: [],
};
