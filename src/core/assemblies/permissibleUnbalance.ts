/**
 * Permissible residual unbalance, g mm: U = 9549 G m / n (ISO 21940-11). `kg` above 0, `rpm` above 0, G in mm/s.
 * Example: 1 kg, G 2.5, 20,000 rev/min: 1.19 g mm.
 */
export const permissibleUnbalance = (kg: number, rpm: number, G: number): number => (9549 * G * kg) / rpm;
