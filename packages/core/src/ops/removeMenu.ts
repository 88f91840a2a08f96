import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { followersOf } from '../model/followersOf.ts';
import { panelOf } from '../model/panelOf.ts';
import { MenuShape, type Menu } from '../schema/menu.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes a menu that holds no items and stands nowhere any more: an edit removes those first. */
export type RemoveMenu = Branch<'removeMenu', 'menus'>;

export const removeMenu = defineRemove(
  'removeMenu',
  'addMenu',
  'menus',
  MenuShape,
  (_, operation) => sentence('menuRemoved', { label: topOf(operation).name }),
  stillHolds,
);

function stillHolds(document: SiteDocument, menus: readonly Menu[]): Refusal | null {
  for (const { id, name } of menus) {
    const placed = [...document.placements.nodes.values()].filter((placement) => placement.menu === id);
    const count = childrenOf(document.items, id).size + placed.length;
    if (count > 0) return refusal('notEmpty', { label: name, count });
    const part = [...document.parts.nodes.values()].find(({ menu }) => menu === id);
    if (part !== undefined)
      return refusal('shownInPanel', {
        label: name,
        item: nameOf(document, 'items', panelOf(document, part.id)),
      });
    const follower = followersOf(document, id).find((one) => one !== id);
    if (follower !== undefined)
      return refusal('isFollowedBy', { label: name, follower: nameOf(document, 'items', follower) });
  }
  return null;
}
