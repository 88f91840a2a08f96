import { escapeHtml } from '../base/escape.ts';

/**
 * Classes as an attribute with a space before it; empty where there are none. Each name comes with a space
 * before it.
 */
export function classAttribute(names: string): string {
  return names === '' ? '' : ` class="${escapeHtml(names.trimStart())}"`;
}

/** A class for each of some names, with a space before it. */
export function prefixed(prefix: string, names: readonly string[] = []): string {
  let made = '';
  for (const name of names) made += ` ${prefix}${name}`;
  return made;
}
