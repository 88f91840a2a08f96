import type { Id } from '../base/ids.ts';
import type { SentenceCode } from '../base/sentences.ts';
import type { PartKind } from '../schema/part.ts';
import { labelOf } from './labelOf.ts';
import type { SiteDocument } from './document.ts';

/** What is done to a part. */
export type PartDeed = 'added' | 'changed' | 'moved' | 'removed' | 'duplicated';

/** Something that parts stand in at last: what may stand in it, and how the history speaks of it. */
export interface PartRoot {
  /** By this name, kinds of parts say that they stand in it directly. */
  readonly holder: 'panel';
  readonly has: (document: SiteDocument, id: Id) => boolean;
  readonly nameOf: (document: SiteDocument, id: Id) => string;
  readonly sentences: Readonly<Record<PartDeed, SentenceCode>>;
}

/** The panel of an item. */
const panel: PartRoot = {
  holder: 'panel',
  has: ({ items }, id) => items.nodes.has(id),
  nameOf: (document, id) => {
    const item = document.items.nodes.get(id);
    return item === undefined ? id : labelOf(document, item);
  },
  sentences: {
    added: 'partAdded',
    changed: 'partChanged',
    moved: 'partMoved',
    removed: 'partRemoved',
    duplicated: 'partDuplicated',
  },
};

/** Every kind of root of the forest of parts. */
const partRoots: readonly PartRoot[] = [panel];

/** What a part stands in at last, and what kind of root that is. */
export interface Owner {
  readonly id: Id;
  readonly root: PartRoot;
  readonly name: string;
}

/** What a part, or what is to become its parent, stands in at last. O(depth). */
export function ownerOf(document: SiteDocument, part: Id): Owner {
  const { nodes } = document.parts;
  let id = part;
  for (let node = nodes.get(id); node !== undefined; node = nodes.get(id)) id = node.parent;
  const root = partRoots.find((one) => one.has(document, id)) ?? panel;
  return { id, root, name: root.nameOf(document, id) };
}

/** What a parent is to the parts in it: a kind of part, or a root. */
export function holderAt(document: SiteDocument, parent: Id): PartKind | PartRoot['holder'] {
  return document.parts.nodes.get(parent)?.kind ?? ownerOf(document, parent).root.holder;
}
