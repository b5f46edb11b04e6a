/** Where in the program something stands, as a source. Example: 'program, line 17'. */
export const inProgram = (line: number | null | undefined): string =>
  line == null ? 'program' : `program, line ${line}`;
