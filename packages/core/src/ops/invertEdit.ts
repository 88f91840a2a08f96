import type { Edit } from './edit.ts';
import { kindOf, type Operation } from './registry.ts';

/** The operations that take an edit back, in the order in which they have to be applied. */
export function invertEdit(edit: Edit): Operation[] {
  return edit.operations.toReversed().map((operation) => kindOf(operation).invert(operation));
}
