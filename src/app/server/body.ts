import 'server-only';
import { mkdtemp, open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LIMITS } from '@/core/limits';
import { Problem } from '@/crib/door';

/** Bytes past the limit that are still taken off the line, so that the sender gets an answer and not a broken pipe. */
const DRAINED = 100_000_000;

/** Node’s streams are read piece by piece; the DOM’s type leaves that out. */
const piecesOf = (request: Request) => (request.body ?? []) as AsyncIterable<Uint8Array>;

/** The body's bytes; past the limit it is read on but not kept, then refused. */
async function bodyOf(request: Request, limit: number): Promise<Uint8Array> {
  const said = Number(request.headers.get('content-length') ?? 0);
  if (said > DRAINED) throw tooLarge(said, limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of piecesOf(request)) {
    size += chunk.byteLength;
    if (size <= limit) chunks.push(chunk);
    else if (size > DRAINED) break;
  }
  if (size > limit) throw tooLarge(size, limit);
  return Buffer.concat(chunks);
}

const tooLarge = (size: number, limit: number) =>
  new Problem('TOO_LARGE', `The body has ${size > DRAINED ? 'more than ' : ''}${size} bytes`, {
    field: 'body',
    value: size,
    limit: `at most ${limit} bytes`,
    wayOut: 'Send less at once.',
  });

/**
 * A body as a file that lies beside the server while `read` reads it: it may be larger than what the server's memory should
 * hold. `look` sees each piece as it comes and may refuse it.
 */
export async function fileBody<T>(
  request: Request,
  limit: number,
  look: (piece: Uint8Array) => void,
  read: (file: string) => Promise<T>,
): Promise<T> {
  const said = Number(request.headers.get('content-length') ?? 0);
  if (said > limit) throw tooLarge(said, limit);
  const folder = await mkdtemp(join(tmpdir(), 'stable-sent-'));
  try {
    const file = join(folder, 'body');
    const out = await open(file, 'wx', 0o600);
    try {
      let size = 0;
      for await (const piece of piecesOf(request)) {
        size += piece.byteLength;
        if (size > limit) throw tooLarge(size, limit);
        look(piece);
        await out.writeFile(piece);
      }
    } finally {
      await out.close();
    }
    return await read(file);
  } catch (error) {
    // Whoever left in the middle of it is told nothing any more, and it is no fault of ours.
    if (request.signal.aborted) throw new Problem('STOPPED', 'The sender left before all of it had come');
    if (error instanceof Error && 'code' in error && error.code === 'ENOSPC')
      throw new Problem('NO_ROOM', `There is no room in ${tmpdir()} for what was sent`, {
        field: 'body',
        value: null,
        limit: 'room for it beside the server while it is read',
        wayOut: 'Make room on that disk, or read it in the page of its job: nothing is sent there.',
      });
    throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** A body as one JSON value, which its schema checks next. */
export async function jsonBody(request: Request, limit: number = LIMITS.bodyBytes.most): Promise<unknown> {
  const bytes = await bodyOf(request, limit);
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new Problem('NOT_JSON', 'The body is no JSON', {
      field: 'body',
      value: Buffer.from(bytes.subarray(0, 40)).toString('latin1'),
      limit: 'one JSON object, as UTF-8',
      wayOut: 'Send an object as application/json.',
    });
  }
}
