import type { ForestName, NodeOf } from '../model/document.ts';
import { eachRef } from '../refs/refsOf.ts';
import { notesFiles, type VisitRef } from '../schema/ref.ts';
import type { Fields } from './kit/operationKind.ts';
import { kindOf, type Operation } from './registry.ts';

/** Calls `visit` for each reference in what an operation writes. O(size of the operation). */
export function operationRefs(operation: Operation, visit: VisitRef): void {
  for (const { forest, fields } of kindOf(operation).writes(operation))
    // A field that is taken away refers to nothing.
    eachRef<ForestName>(forest, fields as Fields<ForestName> as Partial<NodeOf[ForestName]>, visit);
}

/**
 * The stored files that an operation names, be it in what it writes or in what it takes away: undoing it
 * brings those back.
 */
export function filesNamed(operation: Operation): Set<string> {
  const files = new Set<string>();
  const note = notesFiles(files);
  operationRefs(operation, note);
  operationRefs(kindOf(operation).invert(operation), note);
  // The site is no node, so nothing is written of it: its logo is the only file that it names.
  if (operation.kind === 'updateSite')
    for (const { logo } of [operation.set, operation.was]) if (logo) files.add(logo.file);
  return files;
}
