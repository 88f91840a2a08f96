import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Face } from '../model/faceOf.ts';
import { nodeAt } from '../model/forest.ts';
import type { FieldsOf } from '../ops/kit/defineUpdate.ts';
import type { Operation } from '../ops/registry.ts';

/** New values for what is seen of an item; null takes a setting away. */
export type FaceChanges = FieldsOf<'sharedLinks'>;

/** The operation that changes what is seen of an item: in itself, or in the shared link that it shows. */
export function faceUpdate(document: SiteDocument, id: Id, set: FaceChanges): Operation {
  const item = document.items.nodes.get(id);
  const link = item === undefined ? id : item.link;
  if (link === undefined)
    return { kind: 'updateItem', id, set, was: valuesOf(nodeAt(document.items, id), set) };
  return { kind: 'updateSharedLink', id: link, set, was: valuesOf(nodeAt(document.sharedLinks, link), set) };
}

/** The present values of the fields that `named` names, in a form that takes them back. */
export function valuesOf(face: Face, named: FaceChanges): FaceChanges {
  return Object.fromEntries(
    Object.keys(named).map((field) => [field, face[field as keyof Face] ?? null]),
  ) as FaceChanges;
}
