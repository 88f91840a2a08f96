import type { Id } from '../base/ids.ts';
import type { SiteDocument } from './document.ts';

/** The items and menus that follow a menu. O(items + menus). */
export function followersOf({ items, menus }: SiteDocument, menu: Id): Id[] {
  return [items, menus].flatMap(({ nodes }) =>
    [...nodes.values()]
      .filter(({ follow }) => follow?.of.kind === 'menu' && follow.of.menu === menu)
      .map(({ id }) => id),
  );
}
