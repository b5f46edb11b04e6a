import { LIMITS } from '../limits';
import { Block } from './block';
import { AT } from './letters';
import { unreadM } from './codes';
import type { ProgramSource } from './source';
import type { ReaderState } from './state';

interface Place {
  at: number;
  line: number;
}
interface Call {
  body: Place;
  back: Place;
  /** How often it is still to be run after this time. */
  left: number;
}

/**
 * Subprograms: M98 P calls the one that begins with O P, L times; M99 ends it. They stand behind the main program's end,
 * so a program that calls one is looked through for them once; nothing of them is kept but where they begin.
 */
export class Calls {
  private readonly stack: Call[] = [];
  private bodies: Map<number, Place> | null = null;

  constructor(private readonly source: ProgramSource) {}

  /** The blocks being read belong to a called subprogram. */
  get inside(): boolean {
    return this.stack.length > 0;
  }

  /** M98: goes on in the subprogram; where there is none such, says so and what is known of the tool's place is lost. */
  call(s: ReaderState, block: Block): void {
    const { line } = block;
    const number = block.of(AT.P);
    const times = block.of(AT.L) ?? 1;
    const body = number === null ? undefined : this.find(number);
    const why =
      number === null
        ? 'a call without a P'
        : !body
          ? `there is no subprogram O${number} in this program`
          : !Number.isInteger(times) || times < 0
            ? `it cannot be called ${times} times`
            : this.stack.length >= LIMITS.programNesting.most
              ? `subprograms call each other more than ${LIMITS.programNesting.most} deep`
              : null;
    if (why !== null || !body) {
      s.notUnderstood(line, block.text.slice(0, 80), why ?? '', true);
      s.begin('M98', unreadM(98));
      return;
    }
    if (times === 0) return;
    this.stack.push({ body, back: { at: block.after, line: line + 1 }, left: times - 1 });
    block.seek(body.at, body.line);
  }

  /** M99, or the text's end: goes back to the caller, or round once more; false: the main program has ended. */
  return(block: Block): boolean {
    const call = this.stack.at(-1);
    if (!call) return false;
    const to = call.left > 0 ? call.body : call.back;
    if (call.left > 0) call.left -= 1;
    else this.stack.pop();
    block.seek(to.at, to.line);
    return true;
  }

  /** Whether a block is the head of a subprogram that is being run: its O is known. */
  isHead(block: Block): boolean {
    return this.stack.length > 0 && this.stack.at(-1)?.body.line === block.line;
  }

  private find(number: number): Place | undefined {
    this.bodies ??= bodiesOf(this.source);
    return this.bodies.get(number);
  }
}

/** Where the programs of a text begin, by number; of two with one number the first. */
function bodiesOf(source: ProgramSource): Map<number, Place> {
  const bodies = new Map<number, Place>();
  const block = new Block(source);
  while (block.read() && bodies.size < LIMITS.programTools.most) {
    const number = block.programNumber;
    if (number !== null && !bodies.has(number)) bodies.set(number, { at: block.at, line: block.line });
  }
  return bodies;
}
