import type { Refusal } from '../base/refusal.ts';
import type { SiteDocument } from '../model/document.ts';
import { valueProblem } from '../model/valueProblem.ts';
import {
  definitionOf,
  fieldsOf,
  partField,
  partWords,
  type PartField,
  type PartKind,
} from '../schema/part.ts';
import type { Operation } from './registry.ts';

/**
 * The first value that an operation gives a part and that is none for its field, or that its kind does not
 * take, as a refusal; null: all are fine. It is asked of new edits and not by `apply`, for the same reason as
 * `addressProblem`. So the editor refuses what the server would refuse, by the same shapes. O(operation).
 */
export function partValueProblem(document: SiteDocument, operation: Operation): Refusal | null {
  if (operation.kind === 'updatePart') {
    const kind = document.parts.nodes.get(operation.id)?.kind;
    return problemIn(operation.set, kind ?? null);
  }
  if (operation.kind !== 'addPart') return null;
  for (const { id: _, parent: __, kind, ...fields } of operation.branch) {
    const problem = problemIn(fields, kind);
    if (problem !== null) return problem;
  }
  return null;
}

function problemIn(fields: Readonly<Record<string, unknown>>, kind: PartKind | null): Refusal | null {
  for (const [name, value] of Object.entries(fields)) {
    if (value === null || value === undefined) continue;
    const field = (kind === null ? undefined : fieldsOf(kind)[name]) ?? partField(name as PartField);
    const problem = valueProblem(kind === null ? 'part' : partWords[kind], field, value);
    if (problem !== null) return problem;
  }
  return kind === null ? null : (definitionOf(kind).check?.(fields) ?? null);
}
