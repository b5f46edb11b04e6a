import type { MagazineKind } from '@/core/pockets';
import type { Takes } from '@/core/registers';
import { inserts } from '@/data/database';

export const insertMagazine = inserts<{
  machineId: number;
  kind: MagazineKind;
  pockets: number;
  weight: number | null;
  diameterMm: number | null;
  diameterEntered: string | null;
  aloneMm: number | null;
  aloneEntered: string | null;
  lengthMm: number | null;
  lengthEntered: string | null;
  takes: Takes | null;
}>('magazine');

export const insertPocketLoad = inserts<{
  machineId: number;
  pocket: number;
  assemblyId: number | null;
  t: number | null;
  h: number | null;
  d: number | null;
  counterZero: boolean | null;
}>('pocket_load');

export const insertKeptTool = inserts<{
  machineId: number;
  t: number;
  itemId: number | null;
}>('kept_tool');
