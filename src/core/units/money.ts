/** Money is whole cents of the shop's currency; for people with two decimals. Example: money(3150) = '31.50'. */
export const money = (cents: number): string => (cents / 100).toFixed(2);

/** Whole cents out of what somebody types, point or comma, two decimals at most; null is no amount. Example: '12.5' -> 1250. */
export const readCents = (text: string): number | null =>
  /^\d+([.,]\d{1,2})?$/.test(text.trim()) ? Math.round(Number(text.trim().replace(',', '.')) * 100) : null;
