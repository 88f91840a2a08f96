import { Check, Errors } from 'typebox/value';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { Field } from '../schema/parts/definePart.ts';

/** A value that is none for a field, as a refusal that says what was expected; null: it is one. */
export function valueProblem(part: string, { shape, control }: Field, value: unknown): Refusal | null {
  const isValue: boolean = Check(shape, value);
  if (isValue) return null;
  const [first] = Errors(shape, value);
  const { keyword = '', params = {}, message = 'is not valid' } = first ?? {};
  const { limit = 0 } = params as { readonly limit?: number };
  const name = control.label.replace(' (optional)', '');
  if (keyword === 'maxLength' && typeof value === 'string')
    return refusal('tooLong', { what: `“${name}”`, length: value.length, most: limit });
  if (keyword === 'pattern' && control.kind === 'line' && control.expected !== undefined)
    return refusal('badValue', { given: String(value), ...control.expected });
  const problem = keyword === 'maxItems' ? `“${name}” has more than ${limit} pieces` : `“${name}” ${message}`;
  return refusal('wrongPart', { what: part, problem });
}
