import { isOne, namesOf } from '../names';
import type { Range } from './recipe';

/** What is known of a work material before a shop has measured anything itself. */
export interface StartingMaterial {
  /** ISO 513 letter. */
  group: 'P' | 'M' | 'K' | 'N' | 'S' | 'H' | 'O';
  /** About, with its scale. */
  hardness: string | null;
  /** N/mm2 at h = b = 1 mm, sharp edge, rake about +6 degrees. */
  kc11: Range;
  mc: Range;
  /** g/cm3 */
  density: number;
  /** hp per in3/min at the cutter (practice). */
  unit: Range | null;
}

const one = (n: number): Range => ({ least: n, most: n });
const of = (least: number, most: number): Range => ({ least, most });
const STEEL = of(0.8, 1);
const ALLOY = of(1, 1.4);

/**
 * Starting points, never facts: kc1.1 and mc of the kind handbooks reprint after König and Essel (1973), densities rounded,
 * all from memory; unit power is practice. Where two tables differ by a tenth neither is wrong: a range is reckoned with
 * its middle, and its spread is shown.
 */
export const STARTING_MATERIALS = {
  'S235 structural steel': {
    group: 'P',
    hardness: '120 HB',
    kc11: one(1780),
    mc: one(0.17),
    density: 7.85,
    unit: STEEL,
  },
  'C15 case-hardening steel': {
    group: 'P',
    hardness: '140 HB',
    kc11: one(1820),
    mc: one(0.22),
    density: 7.85,
    unit: STEEL,
  },
  C45: { group: 'P', hardness: '200 HB', kc11: one(2220), mc: one(0.14), density: 7.85, unit: STEEL },
  C60: { group: 'P', hardness: '230 HB', kc11: one(2130), mc: one(0.18), density: 7.85, unit: ALLOY },
  '16MnCr5': { group: 'P', hardness: '170 HB', kc11: one(2100), mc: one(0.26), density: 7.85, unit: ALLOY },
  '42CrMo4 quenched and tempered': {
    group: 'P',
    hardness: '300 HB',
    kc11: one(2500),
    mc: one(0.26),
    density: 7.85,
    unit: ALLOY,
  },
  'stainless 1.4301, 1.4404': {
    group: 'M',
    hardness: '180 HB',
    kc11: of(2100, 2350),
    mc: of(0.2, 0.21),
    density: 7.95,
    unit: of(1.1, 1.4),
  },
  'EN-GJL-250 grey iron': {
    group: 'K',
    hardness: '200 HB',
    kc11: one(1160),
    mc: one(0.26),
    density: 7.2,
    unit: of(0.5, 0.7),
  },
  'EN-GJS-600 nodular iron': {
    group: 'K',
    hardness: '230 HB',
    kc11: one(1480),
    mc: of(0.17, 0.25),
    density: 7.2,
    unit: null,
  },
  'AlMgSi wrought': {
    group: 'N',
    hardness: '80 HB',
    kc11: of(700, 780),
    mc: of(0.23, 0.25),
    density: 2.7,
    unit: of(0.2, 0.3),
  },
  'AlSi cast, under 12 % Si': {
    group: 'N',
    hardness: '80 HB',
    kc11: of(600, 830),
    mc: of(0.23, 0.25),
    density: 2.65,
    unit: of(0.2, 0.3),
  },
  'CuZn brass, free-cutting': {
    group: 'N',
    hardness: '110 HB',
    kc11: of(550, 780),
    mc: one(0.18),
    density: 8.5,
    unit: of(0.4, 0.6),
  },
  'CuSn8 bronze': {
    group: 'N',
    hardness: '120 HB',
    kc11: of(950, 1780),
    mc: of(0.17, 0.25),
    density: 8.8,
    unit: null,
  },
  'Ti-6Al-4V': {
    group: 'S',
    hardness: '330 HB',
    kc11: of(1370, 1700),
    mc: of(0.21, 0.23),
    density: 4.43,
    unit: of(1, 1.2),
  },
  'nickel alloys, aged': {
    group: 'S',
    hardness: '380 HB',
    kc11: of(2800, 3300),
    mc: of(0.24, 0.25),
    density: 8.2,
    unit: null,
  },
  'hardened steel, 55 HRC': {
    group: 'H',
    hardness: '55 HRC',
    kc11: of(3600, 4700),
    mc: one(0.22),
    density: 7.85,
    unit: null,
  },
  'engineering plastics': {
    group: 'O',
    hardness: null,
    kc11: of(100, 300),
    mc: of(0.2, 0.25),
    density: 1.4,
    unit: null,
  },
} as const satisfies Record<string, StartingMaterial>;
export type StartingName = keyof typeof STARTING_MATERIALS;

/** The middle of a range, which is reckoned with. */
export const middle = ({ least, most }: Range): number => (least + most) / 2;

/** The material that ships under a shop's code: of that name, or with that word in its name; null: none. Example: '1.4404' -> the stainless ones. */
export const startingOf = (code: string): StartingName | null => {
  const names = namesOf(STARTING_MATERIALS);
  return isOne(names, code) ? code : (names.find((n) => n.split(/[ ,]+/).includes(code)) ?? null);
};
