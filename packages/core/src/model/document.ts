import type { Id } from '../base/ids.ts';
import { FORMAT } from '../schema/format.ts';
import { forests, ofEachForest, type ForestName, type NodeOf } from '../schema/forests.ts';
import type { Site } from '../schema/site.ts';
import { emptyForest, type Forest } from './forest.ts';

export { forestNames, type ForestName, type NodeOf } from '../schema/forests.ts';

/**
 * A site as it is edited: immutable, normalised, structure shared between versions. A menu is the root of its
 * items, an item of the parts of its panel, the site of all else.
 */
export type SiteDocument = {
  /** The version that its nodes are written in: an older one until the site is upgraded. */
  readonly format: number;
  readonly site: Site;
} & { readonly [F in ForestName]: Forest<NodeOf[F]> };

/** A site without pages and menus. */
export function newDocument(site: Site, format = FORMAT): SiteDocument {
  return { format, site, ...ofEachForest(() => emptyForest<never>()) };
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
  return forests[name].under.some((holder) =>
    holder === 'site' ? parent === document.site.id : document[holder].nodes.has(parent),
  );
}
