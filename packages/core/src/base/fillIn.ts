/**
 * A text as data, worded only where it is read: so what was stored long ago follows when the wording changes.
 */
export interface Phrase<C extends string = string> {
  readonly code: C;
  readonly params: Params;
}

/** What a text is filled in with: other phrases among it, a list of which is joined as one would say it. */
export type Param = string | number | Phrase | readonly Phrase[];
/** The parameters of a phrase by name. */
export type Params = Readonly<Record<string, Param>>;

export function isList(value: Param): value is readonly Phrase[] {
  return Array.isArray(value);
}

/** The interface is in English with British spelling; numbers and lists follow it. */
const LANGUAGE = 'en-GB';
/* eslint-disable no-restricted-syntax -- the interface's own language, the same on every machine */
const plurals = new Intl.PluralRules(LANGUAGE);
const numbers = new Intl.NumberFormat(LANGUAGE);
const lists = new Intl.ListFormat(LANGUAGE);
/* eslint-enable no-restricted-syntax */

/** A number in groups of three. */
export function numbered(count: number): string {
  return numbers.format(count);
}

/** One of two forms by a count, with `#` for the number: `counted(3, '# item', '# items')`. */
export function counted(count: number, one: string, other: string): string {
  return (plurals.select(count) === 'one' ? one : other).replaceAll('#', numbers.format(count));
}

/** Texts as one would say them one after the other: “a, b and c”. */
export function listed(texts: readonly string[]): string {
  return lists.format(texts);
}

/**
 * Fills a template in. `{name}` is a parameter, `{name#}` a number in groups of three, `{name|# item|#
 * items}` one of two forms by its number. `phrased` words a phrase that is a parameter, `missing` says what
 * stands where there is no parameter.
 */
export function fillIn(
  template: string,
  params: Params,
  phrased: (phrase: Phrase) => string,
  missing: (name: string) => string,
): string {
  return template.replaceAll(
    /\{(\w+)(#?)(?:\|([^|}]*)\|([^}]*))?\}/g,
    (_, name: string, number: string, one?: string, other?: string) => {
      const value = Object.hasOwn(params, name) ? params[name] : undefined;
      if (value === undefined) return missing(name);
      if (number !== '') return numbers.format(Number(value));
      if (one !== undefined && other !== undefined) return counted(Number(value), one, other);
      if (typeof value !== 'object') return shorten(String(value));
      return isList(value) ? listed(value.map(phrased)) : phrased(value);
    },
  );
}

const LONGEST_QUOTE = 120;

/** Hostile input may be megabytes long; a sentence that quotes it stays readable. */
function shorten(text: string): string {
  return text.length <= LONGEST_QUOTE ? text : `${text.slice(0, LONGEST_QUOTE)}…`;
}
