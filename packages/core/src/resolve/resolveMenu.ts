import { directionOf } from '../base/directionOf.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { labelOf } from '../model/labelOf.ts';
import type { Destination, Item } from '../schema/item.ts';
import { mapTree } from '../walk/mapTree.ts';

/** An item as a visitor gets it: all that it takes from elsewhere is filled in. */
export interface ResolvedItem {
  readonly id: Id;
  readonly label: string;
  /** Null: it leads nowhere, and is a heading. */
  readonly href: string | null;
  readonly opensNewTab: boolean;
  readonly children: readonly ResolvedItem[];
}

export interface ResolvedMenu {
  readonly key: string;
  readonly name: string;
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
  readonly items: readonly ResolvedItem[];
}

/**
 * The tree that a visitor gets of a menu. What leads to a page that is not live is held back: such an item is left out, or, when
 * visible items stand below it, stays as a heading, so that they are not lost. O(items).
 */
export function resolveMenu(document: SiteDocument, menuId: Id): ResolvedMenu {
  const { key, name, language } = nodeAt(document.menus, menuId);
  const items = mapTree<Id, ResolvedItem>(
    childrenOf(document.items, menuId),
    (id) => childrenOf(document.items, id),
    (id, children) => resolveItem(document, nodeAt(document.items, id), children),
  );
  return { key, name, language, direction: directionIn(document, language), items };
}

function resolveItem(document: SiteDocument, item: Item, children: readonly ResolvedItem[]): ResolvedItem | null {
  const href = hrefOf(document, item.destination);
  if (href === null && children.length === 0 && item.destination.kind !== 'none') return null;
  return { id: item.id, label: labelOf(document, item), href, opensNewTab: item.opensNewTab && href !== null, children };
}

function hrefOf(document: SiteDocument, destination: Destination): string | null {
  if (destination.kind === 'none') return null;
  if (destination.kind === 'address') return destination.address;
  const page = nodeAt(document.pages, destination.page);
  if (page.state !== 'live') return null;
  return destination.anchor === null ? page.address : `${page.address}#${destination.anchor}`;
}

/** A menu in the site's own language goes the site's way; another goes the way its language is written. */
function directionIn({ site }: SiteDocument, language: string): 'ltr' | 'rtl' {
  return language === site.language ? site.direction : directionOf(language);
}
