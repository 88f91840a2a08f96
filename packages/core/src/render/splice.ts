/** Text, ASCII alone, to be put in before a byte. */
export interface Insert {
  readonly at: number;
  readonly text: string;
}

/** Bytes with some text put in; `inserts` come in their order. The bytes themselves where there are none. */
export function splice(bytes: Uint8Array, inserts: readonly Insert[]): Uint8Array {
  if (inserts.length === 0) return bytes;
  const made = new Uint8Array(bytes.length + inserts.reduce((sum, { text }) => sum + text.length, 0));
  let read = 0;
  let written = 0;
  for (const { at, text } of inserts) {
    made.set(bytes.subarray(read, at), written);
    written += at - read;
    read = at;
    for (let index = 0; index < text.length; index += 1) made[written + index] = text.charCodeAt(index);
    written += text.length;
  }
  made.set(bytes.subarray(read), written);
  return made;
}
