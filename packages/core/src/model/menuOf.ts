import type { Id } from '../base/ids.ts';
import type { Menu } from '../schema/menu.ts';
import type { SiteDocument } from './document.ts';

/** The menu that an item stands in, however deep. Throws when the item is not there. O(depth). */
export function menuOf(document: SiteDocument, item: Id): Menu {
  let at = item;
  for (let node = document.items.nodes.get(at); node !== undefined; node = document.items.nodes.get(at))
    at = node.parent;
  const menu = document.menus.nodes.get(at);
  if (menu === undefined) throw new Error(`${item} is in no menu.`);
  return menu;
}
