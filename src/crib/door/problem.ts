import { isDataError, type DataError } from '@/data/database';

/** One thing that was wrong, in the shape the screens and RFC 9457 problem documents both carry. */
export interface ProblemPart {
  field: string | null;
  value: unknown;
  limit: string | null;
  detail: string;
}

export const PROBLEM_CODES = {
  INVALID_INPUT: 'A value is missing or outside its limit',
  NOT_FOUND: 'No such thing here',
  CONFLICT: 'It no longer is as it was',
  REFUSED: 'It can be read, but not done',
  NOT_SIGNED_IN: 'Nobody has signed in',
  NOBODY_AT_HAND: 'Nobody has signed at this screen',
  NOT_ALLOWED: 'This is for others to do',
  TOO_OFTEN: 'It was tried too often',
  FOREIGN_ORIGIN: 'The request came from another site',
  METHOD: 'This is not done with any address here',
  BAD_ADDRESS: 'The address can’t be read',
  TOO_LARGE: 'It is larger than what is taken',
  NOT_JSON: 'The body is no JSON',
  NO_ROOM: 'Nothing can be written just now',
  CLOCK_BACK: 'The machine’s clock was set back',
  BUSY: 'Too much is asked at once',
  STOPPED: 'It was stopped before it was done',
  DEVICE_SILENT: 'A device does not answer',
  INTERNAL: 'Something broke here; nothing was written',
} as const;
export type ProblemCode = keyof typeof PROBLEM_CODES;

const STATUS: Record<ProblemCode, number> = {
  INVALID_INPUT: 422,
  NOT_FOUND: 404,
  CONFLICT: 409,
  REFUSED: 409,
  NOT_SIGNED_IN: 401,
  NOBODY_AT_HAND: 401,
  NOT_ALLOWED: 403,
  TOO_OFTEN: 429,
  FOREIGN_ORIGIN: 403,
  METHOD: 405,
  BAD_ADDRESS: 400,
  TOO_LARGE: 413,
  NOT_JSON: 400,
  NO_ROOM: 507,
  CLOCK_BACK: 503,
  BUSY: 503,
  STOPPED: 409,
  DEVICE_SILENT: 504,
  INTERNAL: 500,
};

export interface ProblemDocument {
  type: string;
  title: string;
  status: number;
  code: ProblemCode;
  detail: string;
  way_out: string | null;
  problems: ProblemPart[];
}

/** An error for people: names the field, the value, the limit and the way out. Nothing was written. */
export class Problem extends Error {
  readonly parts: ProblemPart[];
  constructor(
    readonly code: ProblemCode,
    detail: string,
    at: { field?: string; value?: unknown; limit?: string; wayOut?: string; parts?: ProblemPart[] } = {},
  ) {
    super(detail);
    this.name = 'Problem';
    this.wayOut = at.wayOut ?? null;
    this.parts =
      at.parts ??
      (at.field ? [{ field: at.field, value: at.value ?? null, limit: at.limit ?? null, detail }] : []);
  }
  readonly wayOut: string | null;

  document(): ProblemDocument {
    return {
      type: `/api/v1/problems/${this.code.toLowerCase().replaceAll('_', '-')}`,
      title: PROBLEM_CODES[this.code],
      status: STATUS[this.code],
      code: this.code,
      detail: this.message,
      way_out: this.wayOut,
      problems: this.parts,
    };
  }
}

/**
 * Whether an error is a Problem, by its name and not its class: the server's parts load this module several times, and
 * the class of one is no class of the other.
 */
export const isProblem = (error: unknown): error is Problem =>
  error instanceof Error && error.name === 'Problem';

const BY_DATA: Partial<Record<DataError['code'], [ProblemCode, string, string]>> = {
  NOT_UNIQUE: ['CONFLICT', 'This code or number is taken already', 'Choose another.'],
  BELOW_ZERO: [
    'CONFLICT',
    'There are not that many at that place',
    'Look at what the count says, or enter what was found there first.',
  ],
  ONLY_PIECES_LEFT: [
    'CONFLICT',
    'Only marked, used pieces are left at that place',
    'Take one of them by its mark, or another place.',
  ],
  PIECE_ELSEWHERE: [
    'CONFLICT',
    'The piece is not at that place',
    'Look up where it is; somebody may have moved it.',
  ],
  ENDED_ALREADY: [
    'CONFLICT',
    'This life has ended already',
    'Look at its ending; counter it if it was a mistake.',
  ],
  MORE_THAN_ORDERED: [
    'CONFLICT',
    'More came than is open on this order',
    'Receive what was ordered; enter the rest as received without an order.',
  ],
  DONE_ALREADY: [
    'CONFLICT',
    'Somebody has done this already',
    'Look at what was booked; counter it if it was a mistake.',
  ],
  OUT_OF_USE: [
    'REFUSED',
    'The place is out of use',
    'Choose another place, or say first that it is in use again.',
  ],
  COUNTER_OF_COUNTER: ['REFUSED', 'A counter-entry is not countered', 'Enter it anew instead.'],
  OUT_OF_RANGE: [
    'INVALID_INPUT',
    'A value is outside what can be recorded',
    'Check the figures and their units.',
  ],
  NO_ROOM: [
    'NO_ROOM',
    'The disk that the data lies on is nearly full, so that nothing is written',
    'Make room on it: writing goes on by itself. Nothing is lost, and everything can be read meanwhile.',
  ],
  FOLDER_GONE: [
    'NO_ROOM',
    'The data folder was moved, deleted or replaced while Stable runs, so that nothing is written',
    'Put it back, or stop Stable and start it with STABLE_DATA on the right folder.',
  ],
  LEDGER: ['REFUSED', 'What was recorded is never changed', 'Enter a counter-entry.'],
};

/** An error as a log may have it: where it broke and by which rule, but none of the words and figures that were sent. */
export function forLog(error: unknown): string {
  if (!(error instanceof Error)) return `a thrown ${typeof error}`;
  const at = isDataError(error)
    ? ` ${JSON.stringify({ ...error.at, code: error.code, detail: undefined })}`
    : '';
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return [`${error.name}${at}`, ...frames.slice(0, 12)].join('\n');
}

/** Any error as a Problem: ours pass, the database's are put in words, the rest is INTERNAL. */
export function toProblem(error: unknown): Problem {
  if (isProblem(error)) return error;
  const known = isDataError(error) ? BY_DATA[error.code] : undefined;
  if (known) return new Problem(known[0], known[1], { wayOut: known[2] });
  console.error(forLog(error));
  return new Problem('INTERNAL', 'Something broke here. Nothing was written.', {
    wayOut: 'Try again; if it stays, tell whoever looks after Stable.',
  });
}
