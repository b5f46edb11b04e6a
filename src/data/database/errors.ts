/** What the database refused, in our words; the only file that knows SQLSTATEs. */
type DataErrorCode =
  | 'NOT_UNIQUE'
  | 'NOT_FOUND'
  | 'BELOW_ZERO'
  | 'OUT_OF_RANGE'
  | 'MISSING'
  | 'LEDGER'
  | 'PIECE_ELSEWHERE'
  | 'COUNTER_OF_COUNTER'
  | 'LEANED_ON'
  | 'ONLY_PIECES_LEFT'
  | 'ENDED_ALREADY'
  | 'MORE_THAN_ORDERED'
  | 'DONE_ALREADY'
  | 'WRONG_COUNT'
  | 'OUT_OF_USE'
  | 'TRY_AGAIN'
  | 'NO_ROOM'
  | 'FOLDER_GONE'
  | 'OTHER';

export class DataError extends Error {
  constructor(
    readonly code: DataErrorCode,
    message: string,
    readonly at: {
      table?: string;
      column?: string;
      constraint?: string;
      detail?: string;
      sqlstate?: string;
    } = {},
    cause?: unknown,
  ) {
    super(message, { cause });
    this.name = 'DataError';
  }
}

/**
 * Whether an error is a DataError, by its name and not its class: the server's parts load this module several times
 * (the database is opened by one, asked by another), and a class of one is no class of the other.
 */
export const isDataError = (error: unknown): error is DataError =>
  error instanceof Error && error.name === 'DataError';

const BY_SQLSTATE: Record<string, DataErrorCode> = {
  '23505': 'NOT_UNIQUE',
  '23503': 'NOT_FOUND',
  '23514': 'OUT_OF_RANGE',
  '23502': 'MISSING',
  '22003': 'OUT_OF_RANGE',
  ST001: 'LEDGER',
  ST002: 'PIECE_ELSEWHERE',
  ST003: 'COUNTER_OF_COUNTER',
  ST004: 'LEANED_ON',
  ST005: 'ONLY_PIECES_LEFT',
  ST006: 'ENDED_ALREADY',
  ST007: 'MORE_THAN_ORDERED',
  ST008: 'DONE_ALREADY',
  ST009: 'OUT_OF_USE',
  '40001': 'TRY_AGAIN',
  '40P01': 'TRY_AGAIN',
};

/** Constraints whose breach means something of its own. */
const BY_CONSTRAINT: Record<string, DataErrorCode> = {
  balance_not_below_zero: 'BELOW_ZERO',
  balance_marked_lie_there: 'ONLY_PIECES_LEFT',
};

/** Turns a driver's error into a DataError with table, column and constraint kept; ours pass through. */
export function toDataError(error: unknown): Error {
  if (!(error instanceof Error)) return new Error(String(error));
  if (isDataError(error)) return error;
  // PostgreSQL’s errors carry these beside what every Error has.
  const pg = error as Error & {
    code?: string;
    table?: string;
    column?: string;
    constraint?: string;
    detail?: string;
  };
  if (!pg.code || pg.code.length !== 5) return error;
  const code =
    BY_CONSTRAINT[pg.constraint ?? ''] ??
    BY_SQLSTATE[pg.code] ??
    // Class 22, data exception: what came can't be such a value (PostgreSQL documentation, appendix A).
    (pg.code.startsWith('22') ? 'OUT_OF_RANGE' : 'OTHER');
  return new DataError(
    code,
    pg.message,
    { table: pg.table, column: pg.column, constraint: pg.constraint, detail: pg.detail, sqlstate: pg.code },
    pg,
  );
}
