import type { GaugeKind } from '@/core/devices';
import { inserts, insertsWithId } from '@/data/database';
import type { DeviceKind } from './types';

export const insertDevice = insertsWithId<{
  code: string;
  name: string;
  kind: DeviceKind;
  port: number | null;
  masterMm: number;
  masterEntered: string;
}>('device');

export const insertZeroCheck = inserts<{
  deviceId: number;
  at: Date;
  offMm: number;
  ok: boolean;
  gaugeId: number | null;
}>('zero_check');

export const insertReading = inserts<{
  deviceId: number;
  serial: number;
  lengthMm: number;
  diameterMm: number | null;
  runoutMm: number | null;
}>('reading');

export const insertGauge = insertsWithId<{
  code: string;
  name: string;
  kind: GaugeKind;
  sizeMm: number | null;
  sizeEntered: string | null;
}>('gauge');

export const insertCalibration = inserts<{
  gaugeId: number | null;
  deviceId: number | null;
  at: Date;
  due: string;
  ok: boolean;
  found: string | null;
}>('calibration');

export const insertDoubt = inserts<{ doubtedId: number }>('doubt');

export const insertTightening = inserts<{
  assemblyId: number;
  gaugeId: number;
  torque: number | null;
}>('tightening');
