/** Money is whole cents of the shop's currency; for people with two decimals. Example: money(3150) = '31.50'. */
export const money = (cents: number): string => (cents / 100).toFixed(2);
