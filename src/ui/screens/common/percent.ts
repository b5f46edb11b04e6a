/** A chance for people: never said to be certain, never nothing where it is something. Example: 0.9973 is '99.7 %'. */
export const percent = (chance: number): string => {
  const p = chance * 100;
  if (p >= 99.95) return 'over 99.9 %';
  if (p > 0 && p < 0.5) return 'under 1 %';
  return `${p >= 99 ? p.toFixed(1) : Math.round(p)} %`;
};
