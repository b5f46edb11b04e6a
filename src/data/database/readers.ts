import type { Param } from './connection';

type Run = (sql: string, params: readonly Param[]) => Promise<Record<string, unknown>[]>;
interface Waiting {
  sql: string;
  params: readonly Param[];
  answer: (rows: Record<string, unknown>[]) => void;
  refuse: (error: unknown) => void;
}

/**
 * Reads wait for steps that together take so long, ms; and have as long for themselves as those took, within these bounds:
 * who writes waits for both.
 */
const WORKED_MS = 12;
const [LEAST_MS, MOST_MS] = [20, 200];
/** Turns in which somebody may be heard between two steps. */
const TURNS = 4;
/** Whoever was answered asks on within so long, ms: a view asks one thing after the other. */
const ASKS_ON_MS = 4;
/** PostgreSQL's code of a statement that would write where only reading is allowed (its documentation, appendix A). */
const READ_ONLY = '25006';

/**
 * Reads that come while something long is written. There is one connection, and a transaction keeps all others from it:
 * these are let in between two of its steps, on its own connection, so that nobody waits for its end. They see what it has
 * written by then; whoever writes so takes care that nothing of it counts yet.
 */
export class Readers {
  #long = 0;
  #waiting: Waiting[] = [];
  /** When reads had their share last. */
  #had = 0;
  /** Called when the next one comes. */
  #came: () => void = () => undefined;

  /** @param inTurn runs a statement when nothing else is under way */
  constructor(private readonly inTurn: Run) {}

  /** Rows of a read: in its turn, or let in where something long is under way. */
  read(sql: string, params: readonly Param[]): Promise<Record<string, unknown>[]> {
    if (!this.#long) return this.inTurn(sql, params);
    return new Promise((answer, refuse) => {
      this.#waiting.push({ sql, params, answer, refuse });
      this.#came();
    });
  }

  /** From now to the end of it reads wait to be let in; whoever was not is served when it has ended. */
  async during<T>(work: () => Promise<T>): Promise<T> {
    this.#long += 1;
    this.#had = performance.now();
    try {
      return await work();
    } finally {
      this.#long -= 1;
      if (!this.#long) for (const waiting of this.#waiting.splice(0)) this.#later(waiting);
    }
  }

  /**
   * Lets in who waits, and who asks next: not for long, so that what is long comes to its end however much is read.
   * @param run runs a statement within what is long
   */
  async letIn(run: Run): Promise<void> {
    // A question that has just come in is heard after some turns: its address is read, and who asks.
    for (let turn = 1; turn <= TURNS && !this.#waiting.length; turn += 1)
      await new Promise((resolve) => void setImmediate(resolve));
    const begun = performance.now();
    const worked = begun - this.#had;
    if (worked < WORKED_MS) return;
    const until = begun + Math.min(Math.max(worked, LEAST_MS), MOST_MS);
    while (performance.now() < until) {
      // One by one: should the connection fail, the others still wait, and are served when it has ended.
      const next = this.#waiting.shift();
      if (!next) break;
      await this.#visit(run, next);
      await this.#nextOr(ASKS_ON_MS);
    }
    this.#had = performance.now();
  }

  /** Until the next one comes, at most so long. */
  #nextOr(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const late = setTimeout(resolve, ms);
      this.#came = () => {
        clearTimeout(late);
        resolve();
      };
      if (this.#waiting.length) this.#came();
    });
  }

  /** Reads behind a savepoint: a read that fails, or would write, leaves what is long as it was. */
  async #visit(run: Run, waiting: Waiting): Promise<void> {
    try {
      await run('savepoint let_in', []);
      try {
        await run('set local transaction_read_only = on', []);
        waiting.answer(await run(waiting.sql, waiting.params));
      } catch (error) {
        if (error instanceof Error && 'code' in error && error.code === READ_ONLY) this.#later(waiting);
        else waiting.refuse(error);
      } finally {
        await run('rollback to savepoint let_in', []);
        await run('release savepoint let_in', []);
      }
    } catch (error) {
      // The connection itself failed: nobody is left without an answer.
      waiting.refuse(error);
      throw error;
    }
  }

  #later({ sql, params, answer, refuse }: Waiting): void {
    this.inTurn(sql, params).then(answer, refuse);
  }
}
