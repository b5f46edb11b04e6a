/** A web stream of what comes piece by piece, which Node's streams do; their own types don't know the web's. */
export function webOf(source: AsyncIterable<Uint8Array>): ReadableStream<Uint8Array> {
  const each = source[Symbol.asyncIterator]();
  return new ReadableStream({
    async pull(out) {
      const { done, value } = await each.next();
      if (done) out.close();
      else out.enqueue(value);
    },
    async cancel() {
      await each.return?.();
    },
  });
}

/** And back: what a web stream gives, piece by piece. */
export async function* piecesOf(stream: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = stream.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}
