import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { MenuShape, type Menu } from '../schema/menu.ts';
import { wrongSource } from './addItem.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Adds an empty menu. */
export type AddMenu = Branch<'addMenu', 'menus'>;

export const addMenu = defineAdd(
  'addMenu',
  'removeMenu',
  'menus',
  MenuShape,
  (_, operation) => sentence('menuAdded', { label: topOf(operation).name }),
  refusedMenu,
);

/** A key that is taken, or something to follow that is not there. */
export function refusedMenu(document: SiteDocument, menu: Menu): Refusal | null {
  return keyTaken(document, menu) ?? wrongSource(document, menu, menu.name);
}

/** Two menus of a site cannot have the same key: the delivery address holds it. */
function keyTaken(document: SiteDocument, menu: Menu): Refusal | null {
  for (const other of document.menus.nodes.values()) {
    if (other.key === menu.key && other.id !== menu.id)
      return refusal('keyTaken', { key: menu.key, name: other.name });
  }
  return null;
}
