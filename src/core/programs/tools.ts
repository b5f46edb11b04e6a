import { LIMITS } from '../limits';
import { Tally } from './tally';

/** The tools a program calls, by T in order of first use, with what its comments call them. */
export class Tools {
  private readonly byT = new Map<number, Tally>();
  /** What comments call each T, where they do: 'T8 TAP M8'. */
  private readonly names = new Map<number, string>();
  /** Line and comment of each T that was selected and not changed to since. */
  private readonly unchanged = new Map<number, { line: number; name: string | null }>();

  get all(): Tally[] {
    return [...this.byT.values()];
  }
  of(t: number): Tally | undefined {
    return this.byT.get(t);
  }
  /** How many tools it calls, changed to or not. */
  called = 0;

  select(t: number, line: number, name: string | null): void {
    if (this.byT.has(t) || this.unchanged.has(t)) return;
    this.unchanged.set(t, { line, name });
    this.called += 1;
  }

  /** What a comment says of tools: 'T8 TAP M8', 'T8: TAP M8'. The first that names a T counts. */
  hear(comment: string): void {
    const said = namedTool(comment);
    if (said && this.names.size < LIMITS.programTools.most && !this.names.has(said.t))
      this.names.set(said.t, said.name);
  }

  /** The tool that comes into the spindle. */
  change(t: number, line: number, name: string | null): Tally {
    const selected = this.unchanged.get(t);
    this.unchanged.delete(t);
    let tool = this.byT.get(t);
    if (!tool) {
      this.byT.set(t, (tool = new Tally(t)));
      if (!selected) this.called += 1;
    }
    tool.changes += 1;
    tool.name ??= bareName(t, name ?? selected?.name ?? null);
    if (tool.lines.length < LIMITS.programValues.most) tool.lines.push([line, line]);
    return tool;
  }

  /** The program's end: names each tool, and lists those that nothing changes to behind the others, and where they are called. */
  end(): { t: number; line: number }[] {
    const never = [...this.unchanged].map(([t, { line, name }]) => {
      const tool = new Tally(t);
      tool.name = bareName(t, name);
      tool.lowerBound = true;
      this.byT.set(t, tool);
      return { t, line };
    });
    for (const tool of this.byT.values()) tool.name ??= this.names.get(tool.t) ?? null;
    return never;
  }
}

function namedTool(comment: string): { t: number; name: string } | null {
  const [, t, name] = /^T(\d{1,5})\b[\s:=.,-]*(\S.*)$/i.exec(comment) ?? [];
  return t === undefined || name === undefined ? null : { t: Number(t), name };
}
/** What a comment calls a tool, without the T it stands beside. Example: 'T8 TAP M8' of T8 -> 'TAP M8'. */
function bareName(t: number, comment: string | null): string | null {
  const said = comment === null ? null : namedTool(comment);
  return said?.t === t ? said.name : comment;
}
