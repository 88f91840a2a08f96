import { utf8Bytes } from '../base/utf8Bytes.ts';

/** Text to be put in before a byte. */
export interface Insert {
  readonly at: number;
  readonly text: string;
}

/** Bytes with some text put in; `inserts` come in their order. The bytes themselves where there are none. */
export function splice(bytes: Uint8Array, inserts: readonly Insert[]): Uint8Array {
  if (inserts.length === 0) return bytes;
  const texts = inserts.map(({ text }) => utf8Bytes(text));
  const made = new Uint8Array(bytes.length + texts.reduce((sum, text) => sum + text.length, 0));
  let read = 0;
  let written = 0;
  inserts.forEach(({ at }, index) => {
    const text = texts[index] ?? new Uint8Array();
    made.set(bytes.subarray(read, at), written);
    written += at - read;
    read = at;
    made.set(text, written);
    written += text.length;
  });
  made.set(bytes.subarray(read), written);
  return made;
}
