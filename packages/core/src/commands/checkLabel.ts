import { plainLine } from '../base/plainLine.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { LONGEST_LABEL } from '../schema/shapes.ts';

/**
 * A label or name as it is kept: trimmed, white space made single spaces, control characters dropped. Refused
 * when nothing visible is left, or too much.
 */
export function checkLabel(typed: string): Result<string> {
  const label = plainLine(typed);
  if (label.replaceAll(INVISIBLE, '') === '') return no(refusal('emptyName'));
  if (label.length > LONGEST_LABEL)
    return no(refusal('tooLong', { what: 'a name', length: label.length, most: LONGEST_LABEL }));
  return ok(label);
}

/** Control and format characters, and separators: what draws nothing by itself. */
const INVISIBLE = /[\p{C}\p{Z}]/gu;
