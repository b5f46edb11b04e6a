import type { CorrectionPlace } from '@/core/registers';
import { inserts } from '@/data/database';
import type { HowGiven } from './types';

export const insertRegisterGiven = inserts<{
  machineId: number;
  t: number;
  assemblyId: number;
  hNumber: number;
  dNumber: number;
  h: string | null;
  d: string | null;
  hWear: string | null;
  dWear: string | null;
  unit: 'mm' | 'inch';
  how: HowGiven;
}>('register_given');

export const insertSizeCorrection = inserts<{
  operationId: number;
  machineId: number;
  assemblyId: number;
  edgeSetId: number;
  t: number;
  register: 'H' | 'D';
  number: number;
  place: CorrectionPlace;
  leftMm: number;
  changeMm: number;
  unit: 'mm' | 'inch';
  before: string | null;
  after: string | null;
  despite: string | null;
  gaugeId: number | null;
}>('size_correction');

export const insertSizeFeature = inserts<{
  n: number;
  kind: string;
  wantedMm: number;
  measuredMm: number;
  leastMm: number | null;
  mostMm: number | null;
}>('size_feature');
