/** What is said of a tool that has just gone into a pocket: what is to be done next, or that it must not run. */
export const loadedWords = (d: {
  tag: string;
  pocket: number;
  t: number;
  out: string | null;
  stop: string | null;
}): string =>
  `${d.tag} in pocket ${d.pocket} as T${d.t}${d.out ? `; ${d.out} is out` : ''}${
    d.stop === null ? ': give it its numbers' : `. It must not run as it stands: ${d.stop}`
  }`;
