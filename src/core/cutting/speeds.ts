/**
 * Speeds and feeds as plain arithmetic, on the diameter that cuts. Shop formulas as any machining text has them
 * (Machinery's Handbook, from memory).
 */

/** mm in an inch, m in a foot: exactly. */
const METRES_IN_A_FOOT = 0.3048;

/** Turns a minute for a cutting speed: n = 1000 Vc / (π D). Vc m/min, D mm > 0. Example: 120 m/min on 10 mm -> 3819.7. */
export const turnsFor = (vc: number, D: number): number => (1000 * vc) / (Math.PI * D);

/** Cutting speed, m/min, of a diameter that turns: Vc = π D n / 1000. Example: 8000 rev/min on 6 mm -> 150.8. */
export const cuttingSpeed = (n: number, D: number): number => (Math.PI * D * n) / 1000;

/** m/min of a speed in feet a minute. Example: 400 -> 121.92. */
export const fromFeet = (feet: number): number => feet * METRES_IN_A_FOOT;

/** Way of the table a minute, mm: Vf = n z fz. Example: 4775 rev/min, 4 teeth, 0.05 -> 955. */
export const tableFeed = (n: number, teeth: number, fz: number): number => n * teeth * fz;

/** Way a tooth, mm: fz = Vf / (n z). Example: 1200 mm/min at 6000 by 4 -> 0.05. */
export const feedPerTooth = (vf: number, n: number, teeth: number): number => vf / (n * teeth);
