import type { Id } from '../base/ids.ts';
import type { Part, PartFacts, PartKind } from '../schema/part.ts';

/** A part without its ids. */
export type UnplacedPart = PartFacts & { readonly kind: PartKind };

/** A part made of its fields. Whether its kind may have them is asked by the operation that adds it. */
export function newPart(id: Id, parent: Id, fields: UnplacedPart): Part {
  return { ...fields, id, parent } as Part;
}
