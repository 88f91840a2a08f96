import { ok, type Result } from '../base/result.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Edit } from './edit.ts';
import { kindOf, type Operation } from './registry.ts';

/**
 * Applies an edit wholly, or says why not and changes nothing. Its operations come back as they took effect.
 */
export function applyEdit<E extends Edit>(
  document: SiteDocument,
  edit: E,
): Result<{ readonly document: SiteDocument; readonly edit: E }> {
  let current = document;
  const operations: Operation[] = [];
  for (const operation of edit.operations) {
    const result = kindOf(operation).apply(current, operation);
    if (!result.ok) return result;
    // What changed nothing has nothing to take back: its inverse would undo what others did there since.
    if (result.value.document !== current) operations.push(result.value.operation);
    current = result.value.document;
  }
  return ok({ document: current, edit: { ...edit, operations } });
}
