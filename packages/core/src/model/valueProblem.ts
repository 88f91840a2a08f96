import type { TSchema } from 'typebox';
import Value from 'typebox/value';
import { refusal, type Refusal } from '../base/refusal.ts';
import type { Field } from '../schema/parts/definePart.ts';

/** A value that is none for a field, as a refusal that says what was expected; null: it is one. */
export function valueProblem(part: string, { shape, control }: Field, value: unknown): Refusal | null {
  if (isOf(shape, value)) return null;
  const [first] = Value.Errors(shape, value);
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

/** The same without narrowing what is not a value of that shape to nothing. */
function isOf(shape: TSchema, value: unknown): boolean {
  return Value.Check(shape, value);
}
