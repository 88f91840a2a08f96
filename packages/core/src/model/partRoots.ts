import { derivedId, type Id } from '../base/ids.ts';
import type { SentenceCode } from '../base/sentences.ts';
import type { AreaName, Behaviour, Part, PartKind, RootName, ZoneName } from '../schema/part.ts';
import { labelOf } from './labelOf.ts';
import { wayUp } from './wayUp.ts';
import type { SiteDocument } from './document.ts';

/** What is done to a part. */
export type PartDeed = 'added' | 'changed' | 'moved' | 'removed' | 'duplicated';

/** Something that parts stand in at last: what may stand in it, and how the history speaks of it. */
export interface PartRoot {
  /** By this name, kinds of parts say that they stand in it directly. */
  readonly holder: RootName;
  readonly has: (document: SiteDocument, id: Id) => boolean;
  /** What it is called; `outermost` is the part right in it, if one is asked about. */
  readonly nameOf: (document: SiteDocument, id: Id, outermost: Part | undefined) => string;
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

/** What the areas of a frame are called within a sentence. */
export const areaWords: Readonly<Record<AreaName, string>> = {
  header: 'header',
  side: 'side area',
  footer: 'footer',
  drawer: 'drawer',
};

/** The frame of the site: header, side, footer, and named places within the page. */
const frame: PartRoot = {
  holder: 'frame',
  has: ({ site }, id) => site.id === id,
  nameOf: (_, __, outermost) => (outermost?.area === undefined ? 'page' : areaWords[outermost.area]),
  sentences: {
    added: 'frameAdded',
    changed: 'frameChanged',
    moved: 'frameMoved',
    removed: 'frameRemoved',
    duplicated: 'frameDuplicated',
  },
};

/** Every kind of root of the forest of parts. */
const partRoots: readonly PartRoot[] = [panel, frame];

/** What a part stands in at last, and what kind of root that is. */
export interface Owner {
  readonly id: Id;
  readonly root: PartRoot;
  readonly name: string;
}

/** What a part, or what is to become its parent, stands in at last. O(depth). */
export function ownerOf(document: SiteDocument, part: Id): Owner {
  const outermost = wayUp(document, part).at(-1);
  const id = outermost?.parent ?? part;
  const root = partRoots.find((one) => one.has(document, id)) ?? panel;
  return { id, root, name: root.nameOf(document, id, outermost) };
}

/** What a parent is to the parts in it: a kind of part, or a root. */
export function holderAt(document: SiteDocument, parent: Id): PartKind | RootName {
  return document.parts.nodes.get(parent)?.kind ?? ownerOf(document, parent).root.holder;
}

/** The id of an area: every site has each once, so it is the same in all of them. */
export function areaId(area: AreaName): Id {
  return derivedId('part', `area ${area}`);
}

/** The id of what says that an area does something. */
export function behaviourId(area: Id, does: Behaviour): Id {
  return derivedId('part', `${area} ${does}`);
}

/** The id of a zone of a band: every band has each at most once. */
export function zoneId(band: Id, at: ZoneName): Id {
  return derivedId('part', `${band} ${at}`);
}
