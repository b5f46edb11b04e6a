import { inserts, insertsWithId } from '@/data/database';

export const insertDevice = insertsWithId<{
  code: string;
  name: string;
  port: number;
  masterMm: number;
  masterEntered: string;
}>('device');

export const insertZeroCheck = inserts<{
  deviceId: number;
  at: Date;
  offMm: number;
  ok: boolean;
}>('zero_check');

export const insertReading = inserts<{
  deviceId: number;
  serial: number;
  lengthMm: number;
  diameterMm: number | null;
  runoutMm: number | null;
}>('reading');
