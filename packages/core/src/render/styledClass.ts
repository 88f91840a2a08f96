import { styleClass } from '../resolve/sheetOf.ts';

/** The class of what has looks of its own, with a space before it; empty where it has none. */
export function styledClass(owner: string, styled: ReadonlySet<string> | undefined): string {
  return styled?.has(owner) === true ? ` ${styleClass(owner)}` : '';
}
