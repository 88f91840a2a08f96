const PRESCAN = 1024;

/**
 * HTML bytes as text, in the character set that they say they have: a byte order mark first, then what the
 * server said, then what the page says of itself in its first kilobyte (HTML, 13.2.3.2 "determining the
 * character encoding"), then UTF-8 if they are that, else Windows-1252.
 */
export function decodeHtml(bytes: Uint8Array, contentType: string | null): string {
  const label = markOf(bytes) ?? charsetIn(contentType ?? '') ?? charsetIn(ascii(bytes.subarray(0, PRESCAN)));
  if (label !== null) {
    const decoder = decoderFor(label);
    if (decoder !== null) return decoded(decoder, bytes);
  }
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    // Not UTF-8: what browsers take where nothing is said.
    return decoded(new TextDecoder('windows-1252'), bytes);
  }
}

/** The signs that Windows-1252 has at 0x80 to 0x9F (WHATWG Encoding, index windows-1252). */
const WINDOWS = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/**
 * Some versions of Node.js read Windows-1252 as Latin-1, whose signs there are none that any text has: what
 * comes out so is put right.
 */
function decoded(decoder: TextDecoder, bytes: Uint8Array): string {
  const text = decoder.decode(bytes);
  return decoder.encoding === 'windows-1252'
    ? text.replaceAll(/[\u0080-\u009f]/g, (sign) => WINDOWS[sign.charCodeAt(0) - 0x80] ?? sign)
    : text;
}

function markOf([first, second, third]: Uint8Array): string | null {
  if (first === 0xef && second === 0xbb && third === 0xbf) return 'utf-8';
  if (first === 0xfe && second === 0xff) return 'utf-16be';
  return first === 0xff && second === 0xfe ? 'utf-16le' : null;
}

function charsetIn(text: string): string | null {
  return /charset\s*=\s*["']?\s*([\w:.-]+)/i.exec(text)?.[1]?.toLowerCase() ?? null;
}

function ascii(bytes: Uint8Array): string {
  return String.fromCharCode(...bytes.map((byte) => byte & 0x7f));
}

/** A page that could say in ASCII that it is UTF-16 is not. */
function decoderFor(label: string): TextDecoder | null {
  try {
    return new TextDecoder(label);
  } catch {
    return null;
  }
}
