/** A text in UTF-8. Lone surrogates become U+FFFD, as everywhere on the web. */
export function utf8Bytes(text: string): Uint8Array {
  const bytes: number[] = [];
  for (const sign of text) {
    const given = sign.codePointAt(0) ?? 0;
    const code = given >= 0xd800 && given <= 0xdfff ? 0xfffd : given;
    if (code < 0x80) bytes.push(code);
    else if (code < 0x800) bytes.push(0xc0 | (code >> 6), 0x80 | (code & 63));
    else if (code < 0x10000) bytes.push(0xe0 | (code >> 12), 0x80 | ((code >> 6) & 63), 0x80 | (code & 63));
    else
      bytes.push(
        0xf0 | (code >> 18),
        0x80 | ((code >> 12) & 63),
        0x80 | ((code >> 6) & 63),
        0x80 | (code & 63),
      );
  }
  return Uint8Array.from(bytes);
}
