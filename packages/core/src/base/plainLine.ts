/**
 * A line of text as it is kept: white space made single spaces, control characters and halves of pairs
 * dropped, trimmed.
 */
export function plainLine(typed: string): string {
  return typed
    .replaceAll(/\s+/gu, ' ')
    .replaceAll(/[\p{Cc}\p{Cs}]/gu, '')
    .trim();
}
