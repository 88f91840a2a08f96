/** A text with its first letter as a capital; its type says so, too. */
export function capitalised<T extends string>(text: T): Capitalize<T> {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}` as Capitalize<T>;
}
