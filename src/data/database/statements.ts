import { messages, type PGlite, protocol } from '@electric-sql/pglite';
import type { Param } from './connection';

/** Statements that are kept ready at most; past it the one that was asked longest ago goes. Each holds its plan in memory. */
const KEPT = 250;
/** Characters of a statement that is kept: a longer one was written for its rows and does not come again. */
const MOST_CHARACTERS = 12_000;

/** A statement as PostgreSQL knows it: what it takes, and what comes out of it. */
interface Ready {
  /** Its name there; '': not kept, the next one takes its place. */
  name: string;
  takes: readonly number[];
  gives: readonly { word: string; type: number }[];
}

/** A column in our own words: 'happened_at' comes out as happenedAt. */
const inWords = (column: string): string =>
  column.replace(/_([a-z0-9])/g, (_, letter: string) => letter.toUpperCase());

/**
 * Runs statements by PostgreSQL's extended protocol (its documentation, 55.2.3), as PGlite's own `query` does, but keeps
 * those that come again: they are read once, planned a few times, and then run by the plan that serves any values, which
 * PostgreSQL drops by itself where the statistics or the schema change. Reading and planning took most of a view's time.
 * Nobody else may run anything meanwhile: the caller holds PGlite's own lock.
 */
export class Statements {
  readonly #kept = new Map<string, Ready>();
  readonly #seen = new Set<string>();
  #named = 0;
  constructor(private readonly db: PGlite) {}

  /** Rows of a statement, its columns in our own words. Throws PostgreSQL's own error. */
  async run(sql: string, params: readonly Param[]): Promise<Record<string, unknown>[]> {
    const { name, takes, gives } = await this.#ready(sql);
    const values = params.map((param, i) => {
      if (param === null) return null;
      const serialize = this.db.serializers[takes[i] ?? 0];
      return serialize ? serialize(param) : String(param);
    });
    const { bind, execute } = protocol.serialize;
    const said = await this.#send(bind({ statement: name, values }), execute({}));
    const rows: Record<string, unknown>[] = [];
    for (const message of said)
      if (message instanceof messages.DataRowMessage) rows.push(this.#row(message, gives));
    return rows;
  }

  /** Forgets all that is kept: the schema is another now. */
  async forget(): Promise<void> {
    this.#kept.clear();
    await this.db.exec('deallocate all');
  }

  #row({ fields }: messages.DataRowMessage, gives: Ready['gives']): Record<string, unknown> {
    const row: Record<string, unknown> = {};
    gives.forEach(({ word, type }, i) => {
      const text = fields[i] ?? null;
      const parse = text === null ? undefined : this.db.parsers[type];
      row[word] = text !== null && parse ? parse(text, type) : text;
    });
    return row;
  }

  /** The statement, read by PostgreSQL: kept from the second time on. */
  async #ready(sql: string): Promise<Ready> {
    const kept = this.#kept.get(sql);
    if (kept) {
      this.#kept.delete(sql);
      this.#kept.set(sql, kept);
      return kept;
    }
    const again = this.#seen.has(sql);
    const name = again && sql.length <= MOST_CHARACTERS ? `s${(this.#named += 1)}` : '';
    const { parse, describe, close } = protocol.serialize;
    const said = await this.#send(parse({ name, text: sql }), describe({ type: 'S', name }));
    const takes = said.find((m) => m instanceof messages.ParameterDescriptionMessage)?.dataTypeIDs ?? [];
    const fields = said.find((m) => m instanceof messages.RowDescriptionMessage)?.fields ?? [];
    const gives = fields.map((f) => ({ word: inWords(f.name), type: f.dataTypeID }));
    const ready = { name, takes, gives };
    if (!name) {
      // A hint and no more: forgotten all at once, it costs each statement one more reading.
      if (this.#seen.size >= 4 * KEPT) this.#seen.clear();
      this.#seen.add(sql);
      return ready;
    }
    this.#kept.set(sql, ready);
    const [oldest] = this.#kept;
    if (oldest && this.#kept.size > KEPT) {
      this.#kept.delete(oldest[0]);
      await this.#send(close({ type: 'S', name: oldest[1].name }));
    }
    return ready;
  }

  /** Sends messages with a sync behind them, at which PostgreSQL ends the statement and, outside a transaction, commits. */
  #send(...parts: Uint8Array[]) {
    return this.db.execProtocolStream(Buffer.concat([...parts, protocol.serialize.sync()]), {
      syncToFs: false,
    });
  }
}
