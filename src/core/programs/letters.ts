/** Letters by their places in the alphabet, which is how words are kept; as bits in a set of letters. */
// prettier-ignore
export const AT = { A: 1, B: 2, C: 3, D: 4, E: 5, F: 6, G: 7, H: 8, I: 9, J: 10, K: 11, L: 12, M: 13, N: 14, O: 15, P: 16, Q: 17, R: 18, S: 19, T: 20, U: 21, V: 22, W: 23, X: 24, Y: 25, Z: 26 } as const;
export const bits = (letters: string): number =>
  [...letters].reduce((all, letter) => all | (1 << (letter.charCodeAt(0) & 31)), 0);
