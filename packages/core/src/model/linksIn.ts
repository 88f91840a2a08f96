import type { Id } from '../base/ids.ts';
import { eachRef } from '../refs/refsOf.ts';
import { LINKS, type VisitRef } from '../schema/ref.ts';
import { preorder } from '../walk/preorder.ts';
import type { SiteDocument } from './document.ts';
import { faceOf } from './faceOf.ts';
import { childrenOf, nodeAt } from './forest.ts';
import { partsIn } from './partsIn.ts';

/** One link that visitors of a menu can follow. */
export interface MenuLink {
  readonly item: Id;
  /** The level of the item, from 1. */
  readonly level: number;
  /** The part of the item's panel that has the link; null: the item itself. */
  readonly part: Id | null;
  readonly to: 'page' | 'address';
  /** The id of a page, or an address. */
  readonly value: string;
}

/**
 * All links of a menu from top to bottom: of its items, be it through a shared link, and of the parts and the
 * text of their panels. O(items + parts).
 */
export function linksIn(document: SiteDocument, menu: Id): MenuLink[] {
  const { items, parts } = document;
  const links: MenuLink[] = [];
  const hasPanels = parts.nodes.size > 0;
  const below = (id: Id): Iterable<Id> => childrenOf(items, id);
  for (const { node: item, depth } of preorder<Id>(below(menu), below)) {
    let part: Id | null = null;
    const note: VisitRef = (to, value) => {
      if (to === 'page' || to === 'address') links.push({ item, level: depth + 1, part, to, value });
    };
    // A shared link has its destination in the same field.
    eachRef('items', faceOf(document, nodeAt(items, item)), note, LINKS);
    for (const one of hasPanels ? partsIn(document, item) : []) {
      part = one.id;
      eachRef('parts', one, note, LINKS);
    }
  }
  return links;
}

/** All links of the parts of the frame, and of their texts. O(parts of the frame). */
export function frameLinks(document: SiteDocument): Pick<MenuLink, 'part' | 'to' | 'value'>[] {
  return partsIn(document, document.site.id).flatMap((one) => {
    const links: Pick<MenuLink, 'part' | 'to' | 'value'>[] = [];
    eachRef(
      'parts',
      one,
      (to, value) => {
        if (to === 'page' || to === 'address') links.push({ part: one.id, to, value });
      },
      LINKS,
    );
    return links;
  });
}
