/** The lines of a reply as they arrive. */
export async function* linesOf(body: ReadableStream<Uint8Array>): AsyncIterable<string> {
  const reader = body
    .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
    .getReader();
  let rest = '';
  for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
    const lines = (rest + piece.value).split('\n');
    rest = lines.pop() ?? '';
    yield* lines;
  }
  if (rest !== '') yield rest;
}
