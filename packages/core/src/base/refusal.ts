import { catalogue, type ErrorCode } from './catalogue.ts';

export type RefusalParams = Readonly<Record<string, string | number>>;

/** A "no" that a person can act on: what, where, what was expected, and how to go on. */
export interface Refusal {
  readonly code: ErrorCode;
  readonly params: RefusalParams;
  /** The catalogue's sentence with the parameters filled in. */
  readonly message: string;
}

export function refusal(code: ErrorCode, params: RefusalParams = {}): Refusal {
  return { code, params, message: fillIn(catalogue[code].sentence, params) };
}

/** Replaces each `{name}` by its parameter; a parameter that is missing is a bug and throws. */
export function fillIn(template: string, params: RefusalParams): string {
  return template.replaceAll(/\{(\w+)\}/g, (_, name: string) => {
    const value = params[name];
    if (value === undefined) throw new Error(`The sentence "${template}" needs a parameter "${name}".`);
    return shorten(String(value));
  });
}

const LONGEST_QUOTE = 120;

/** Hostile input may be megabytes long; a sentence that quotes it stays readable. */
function shorten(text: string): string {
  return text.length <= LONGEST_QUOTE ? text : `${text.slice(0, LONGEST_QUOTE)}…`;
}
