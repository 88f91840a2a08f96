import { refusal, type Refusal } from '@zorvik/core';

/**
 * Text that a database cannot keep as JSON: U+0000 (PostgreSQL, "JSON Types") and halves of surrogate pairs.
 * The first such text in a value, with its place; null when there is none. Explicit stack: depth cannot
 * overflow.
 */
export function findBadText(value: unknown): Refusal | null {
  const stack: { readonly value: unknown; readonly place: string }[] = [{ value, place: '' }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { value: one, place } = next;
    if (typeof one === 'string') {
      if (one.includes('\0')) return refusal('badText', { place, problem: 'the character U+0000' });
      if (!isWellFormed(one)) return refusal('badText', { place, problem: 'half of a surrogate pair' });
    } else if (typeof one === 'object' && one !== null && !ArrayBuffer.isView(one)) {
      for (const [key, inner] of Object.entries(one)) stack.push({ value: inner, place: `${place}/${key}` });
    }
  }
  return null;
}

/**
 * `String.prototype.isWellFormed` is in Node 20, not yet in the ES2023 library that the types are checked
 * with.
 */
function isWellFormed(text: string): boolean {
  return !/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(text);
}
