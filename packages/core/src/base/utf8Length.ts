/** How many bytes part of a text takes in UTF-8. Lone surrogates count as what they are replaced by: three. */
export function utf8Length(text: string, from = 0, to = text.length): number {
  let bytes = 0;
  for (let at = from; at < to; at += 1) {
    const code = text.charCodeAt(at);
    if (code < 0x80) bytes += 1;
    else if (code < 0x800) bytes += 2;
    else if (isPair(code, text.charCodeAt(at + 1))) {
      bytes += 4;
      at += 1;
    } else bytes += 3;
  }
  return bytes;
}

function isPair(high: number, low: number): boolean {
  return (high & 0xfc00) === 0xd800 && (low & 0xfc00) === 0xdc00;
}
