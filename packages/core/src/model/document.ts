import type { Id } from '../base/ids.ts';
import type { Item } from '../schema/item.ts';
import type { LeftFinding } from '../schema/leftFinding.ts';
import type { Menu } from '../schema/menu.ts';
import type { OwnField } from '../schema/ownField.ts';
import type { Page } from '../schema/page.ts';
import type { Part } from '../schema/part.ts';
import type { Placement } from '../schema/placement.ts';
import type { Preset } from '../schema/preset.ts';
import type { SharedLink } from '../schema/sharedLink.ts';
import type { Site } from '../schema/site.ts';
import { emptyForest, type Forest } from './forest.ts';

/** What stands in each forest of a document. */
export interface NodeOf {
  readonly pages: Page;
  readonly menus: Menu;
  readonly items: Item;
  readonly placements: Placement;
  readonly sharedLinks: SharedLink;
  readonly ownFields: OwnField;
  readonly leftFindings: LeftFinding;
  readonly parts: Part;
  readonly presets: Preset;
}
/** The name of a forest. */
export type ForestName = keyof NodeOf;
/** The names of all forests, in the order in which they can be read: what is referred to comes first. */
export const forestNames = [
  'pages',
  'menus',
  'items',
  'placements',
  'sharedLinks',
  'ownFields',
  'leftFindings',
  'parts',
  'presets',
] as const satisfies readonly ForestName[];

/**
 * A site as it is edited: immutable, normalised, structure shared between versions. A menu is the root of its
 * items, an item of the parts of its panel, the site of all else.
 */
export type SiteDocument = { readonly site: Site } & { readonly [F in ForestName]: Forest<NodeOf[F]> };

/** A site without pages and menus. */
export function newDocument(site: Site): SiteDocument {
  return {
    site,
    pages: emptyForest(),
    menus: emptyForest(),
    items: emptyForest(),
    placements: emptyForest(),
    sharedLinks: emptyForest(),
    ownFields: emptyForest(),
    leftFindings: emptyForest(),
    parts: emptyForest(),
    presets: emptyForest(),
  };
}

/** The forest of that name, typed by it. */
export function forestOf<F extends ForestName>(document: SiteDocument, name: F): Forest<NodeOf[F]> {
  return document[name] as Forest<NodeOf[F]>;
}

/** The document with one forest replaced; the very same document when the forest is the same. */
export function withForest<F extends ForestName>(
  document: SiteDocument,
  name: F,
  forest: Forest<NodeOf[F]>,
): SiteDocument {
  return forest === (document[name] as unknown) ? document : { ...document, [name]: forest };
}

/** Whether something may have `parent` as its parent in that forest. */
export function isParent(document: SiteDocument, name: ForestName, parent: Id): boolean {
  if (name === 'items') return document.menus.nodes.has(parent) || document.items.nodes.has(parent);
  if (name === 'parts') return document.items.nodes.has(parent) || document.parts.nodes.has(parent);
  return parent === document.site.id || (name === 'pages' && document.pages.nodes.has(parent));
}
