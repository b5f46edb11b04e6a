import { inserts } from '@/data/database';
import type { HowGiven } from './types';

export const insertRegisterGiven = inserts<{
  machineId: number;
  t: number;
  assemblyId: number;
  h: string | null;
  d: string | null;
  unit: 'mm' | 'inch';
  how: HowGiven;
}>('register_given');
