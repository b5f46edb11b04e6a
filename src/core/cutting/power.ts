/**
 * What a cut takes. Two schools stand side by side and differ at thin chips: Kienzle's specific force and unit power.
 * Chips below 0.05 mm lie outside of what kc1.1 was measured for (practice).
 */

/** mm: below it a specific force is reckoned beyond what was measured (practice). */
const KIENZLE_FROM = 0.05;

export interface Specific {
  /** N/mm2 */
  kc: number;
  /** The chip is thinner than what the figures were measured for. */
  extrapolated: boolean;
}

/**
 * Specific cutting force at a mean chip, N/mm2: kc = kc1.1 h^-mc (Kienzle 1952, from memory; table values for a sharp edge).
 * Example: kc1.1 2220, mc 0.14 at 0.1 mm -> 3064.4.
 */
export const specificForce = (kc11: number, mc: number, h: number): Specific => ({
  kc: kc11 * h ** -mc,
  extrapolated: h < KIENZLE_FROM,
});

/** Power at the cutter, kW: Pc = Q kc / 60e6, Q mm3/min, kc N/mm2. Example: 24,000 mm3/min at 3000 -> 1.2. */
export const cuttingPower = (Q: number, kc: number): number => (Q * kc) / 60e6;

/** W per cm3/min of one hp per in3/min: 745.7 W and 16.387064 cm3. */
export const WATT_OF_UNIT = 745.699872 / 16.387064;

/** Power by unit power, kW: Q mm3/min, hp per in3/min at the cutter. Example: 0.34 in3/min of 1.2 -> 0.304. */
export const unitPower = (Q: number, hp: number): number => (Q / 1000) * hp * WATT_OF_UNIT * 1e-3;

/** Torque at the spindle, N m: 9550 P / n. Example: 1.2 kW at 3000 rev/min -> 3.82. */
export const torqueOf = (kw: number, n: number): number => (9550 * kw) / n;

/** Mean force along the edge's way, N: 60,000 P / Vc, P kW, Vc m/min. Example: 1.2 kW at 120 -> 600. */
export const tangentialForce = (kw: number, vc: number): number => (60_000 * kw) / vc;
