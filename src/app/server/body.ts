import 'server-only';
import { LIMITS } from '@/core/limits';
import { Problem } from '@/crib/door';

/** Bytes past the limit that are still taken off the line, so that the sender gets an answer and not a broken pipe. */
const DRAINED = 100_000_000;

/** The body's bytes; past the limit it is read on but not kept, then refused. */
async function bodyOf(request: Request, limit: number): Promise<Uint8Array> {
  const said = Number(request.headers.get('content-length') ?? 0);
  if (said > DRAINED) throw tooLarge(said, limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  // Node’s streams are read piece by piece; the DOM’s type leaves that out.
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
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

/** A body as the text of a file: UTF-8, else Windows-1252, which old controls and editors write. */
export async function textBody(request: Request, limit: number): Promise<string> {
  const bytes = await bodyOf(request, limit);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
