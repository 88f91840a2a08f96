import { escapeHtml } from '../base/escape.ts';
import { PLAIN_BUTTON, variantClass } from '../model/variants.ts';

/**
 * Classes as an attribute with a space before it; empty where there are none. Each name comes with a space
 * before it.
 */
export function classAttribute(names: string): string {
  return names === '' ? '' : ` class="${escapeHtml(names.trimStart())}"`;
}

/** The classes of a link that looks like a button, or has a variant, with a space before each. */
export function buttonClass(look: string | undefined): string {
  return look === undefined ? '' : ` zv-button${variantClasses(look)}`;
}

/** The class of a variant, with a space before it; none where a link is plain, or a plain button. */
export function variantClasses(variant: string | undefined): string {
  return variant === undefined || variant === PLAIN_BUTTON ? '' : ` ${variantClass(variant)}`;
}

/** A class for each of some names, with a space before it. */
export function prefixed(prefix: string, names: readonly string[] = []): string {
  let made = '';
  for (const name of names) made += ` ${prefix}${name}`;
  return made;
}
