import type { Id } from '../base/ids.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { ForestName, SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { ownerOf } from '../model/partRoots.ts';
import { usesOf } from '../model/usesOf.ts';
import { MenuShape, type Menu } from '../schema/menu.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Removes a menu that has no items any more: an edit removes those first. */
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
    const uses = usesOf(document, 'menu', new Set([id]));
    const users = (forests: readonly ForestName[]): Id[] =>
      uses.filter(({ forest, id: user }) => forests.includes(forest) && user !== id).map((use) => use.id);
    const count = childrenOf(document.items, id).size;
    if (count > 0) return refusal('notEmpty', { label: name, count });
    const [part] = users(['parts']);
    if (part !== undefined)
      return refusal('shownInPanel', {
        label: name,
        item: ownerOf(document, part).name,
      });
    const [follower] = users(['items', 'menus']);
    if (follower !== undefined)
      return refusal('isFollowedBy', { label: name, follower: nameOf(document, 'items', follower) });
  }
  return null;
}
