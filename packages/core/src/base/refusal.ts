import { catalogue, type ErrorCode } from './catalogue.ts';
import { fillIn, type Params } from './fillIn.ts';
import { inWords } from './sentences.ts';

/** A "no" that a person can act on: what is wrong, and how to go on. */
export interface Refusal {
  readonly code: ErrorCode;
  readonly params: Params;
  /** The catalogue's sentence with the parameters filled in. */
  readonly message: string;
}

/** A parameter that the sentence needs and that is missing is a bug, and throws. */
export function refusal(code: ErrorCode, params: Params = {}): Refusal {
  const template = catalogue[code].sentence;
  const missing = (name: string): never => {
    throw new Error(`The sentence "${template}" needs a parameter "${name}".`);
  };
  return { code, params, message: fillIn(template, params, inWords, missing) };
}
