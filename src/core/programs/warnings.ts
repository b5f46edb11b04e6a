import { LIMITS } from '../limits';
import type { ProgramWarning, WarningCode } from './report';

/** What a program is warned of: each code of each tool once, with its lines. */
export class Warnings {
  readonly list: ProgramWarning[] = [];
  private readonly known = new Map<string, ProgramWarning>();

  add(code: WarningCode, line: number, message: string, t: number | null): void {
    const warning = this.known.get(`${code} ${t}`);
    if (warning) {
      if (warning.lines.at(-1) === line) return;
      if (warning.lines.length < LIMITS.warningLines.most) warning.lines.push(line);
      else warning.more_lines = (warning.more_lines ?? 0) + 1;
      return;
    }
    const fresh: ProgramWarning = { code, t, lines: [line], message };
    this.known.set(`${code} ${t}`, fresh);
    this.list.push(fresh);
  }
}
