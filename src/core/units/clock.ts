/** Minutes after midnight as a clock shows them, of this day or a later one. Example: 402 -> '06:42', 1500 -> '01:00'. */
export const clock = (minutes: number): string => {
  const at = ((Math.round(minutes) % 1440) + 1440) % 1440;
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(at / 60))}:${two(at % 60)}`;
};
