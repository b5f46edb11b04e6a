import { type CutterDetails, type HolderDetails, type Part, PART_KINDS } from '@/core/assemblies';
import { isOne } from '@/core/names';
import { sure } from '@/core/sure';
import { type CribItem, factNumber, factText } from './loadItems';

const yesNo = (text: string | null): boolean | null => (text === null ? null : text === 'yes');

/** What is known of a cutter or body beside its geometry, as a build asks it. */
export const cutterDetails = (item: CribItem): CutterDetails => ({
  SHANK: factText(item, 'SHANK'),
  DCB: factNumber(item, 'DCB'),
  MOUNT: factText(item, 'MOUNT'),
  LPR: factNumber(item, 'LPR'),
  CCMS: factText(item, 'CCMS'),
  CSP: yesNo(factText(item, 'CSP')),
  SUBSTRATE: item.substrate,
  WT: factNumber(item, 'WT'),
  ...(item.kind === 'body' ? { RPM_MAX: factNumber(item, 'RPM_MAX') } : {}),
});

/** What is known of a holder beside its geometry. */
export const holderDetails = (item: CribItem): HolderDetails => ({
  code: item.code,
  CCMS: factText(item, 'CCMS'),
  CCWS: factText(item, 'CCWS'),
  CLAMPING: factText(item, 'CLAMPING'),
  SHANKS: factText(item, 'SHANKS'),
  MOUNTS: factText(item, 'MOUNTS'),
  COLLET: factText(item, 'COLLET'),
  CSP: yesNo(factText(item, 'CSP')),
  WT: factNumber(item, 'WT'),
  TORQUE: factNumber(item, 'TORQUE'),
});

/** Whether an item is one that is put between holder and cutter, or beside them. */
export const isPart = (item: CribItem): boolean => isOne(PART_KINDS, item.kind);

/** An item as a part of a build; `setOut`: how far an extension was set to stand out, mm. */
export const partOf = (item: CribItem, setOut: number | null = null): Part => ({
  ...holderDetails(item),
  kind: sure(
    PART_KINDS.find((k) => k === item.kind),
    `${item.code} as a part of a build`,
  ),
  setOut,
  DMM: factNumber(item, 'DMM'),
  OAL: factNumber(item, 'OAL'),
  LPR: factNumber(item, 'LPR'),
  CLAMP_MIN: factNumber(item, 'CLAMP_MIN'),
  CLAMP_MAX: factNumber(item, 'CLAMP_MAX'),
  GRIP_MIN: factNumber(item, 'GRIP_MIN'),
  DEPTH_MAX: factNumber(item, 'DEPTH_MAX'),
  RPM_MAX: factNumber(item, 'RPM_MAX'),
  segments: item.segments,
});
