/** Where bytes stop being UTF-8: the offset from 0, and the line from 1. */
export interface BadByte {
  readonly offset: number;
  readonly line: number;
}

/**
 * The first byte that fits no UTF-8 character, or null. O(n) decoding for sound input, O(n log n) to find the
 * place.
 */
export function findBadUtf8(bytes: Uint8Array): BadByte | null {
  if (isUtf8(bytes)) return null;
  let good = 0;
  for (let bad = bytes.length; bad - good > 1;) {
    const middle = (good + bad) >> 1;
    if (isPrefixOfUtf8(bytes.subarray(0, middle))) good = middle;
    else bad = middle;
  }
  let line = 1;
  for (const byte of bytes.subarray(0, good)) if (byte === LINE_FEED) line += 1;
  return { offset: good, line };
}

const LINE_FEED = 0x0a;

function isUtf8(bytes: Uint8Array): boolean {
  return decodes(bytes, false);
}

/** A character that is cut off at the end is no mistake yet. */
function isPrefixOfUtf8(bytes: Uint8Array): boolean {
  return decodes(bytes, true);
}

function decodes(bytes: Uint8Array, stream: boolean): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream });
    return true;
  } catch {
    // A fatal decoder says "no" by throwing a TypeError; it has no other reason to throw.
    return false;
  }
}
