import type { Id } from '../base/ids.ts';
import type { Item } from '../schema/item.ts';
import type { ForestName, SiteDocument } from './document.ts';

/** The text that an item shows: its own label, else its page's title, else its address. Never empty. */
export function labelOf(document: SiteDocument, item: Item): string {
  return shown(item.label) ?? shown(pageTitle(document, item)) ?? (item.destination.kind === 'address' ? item.destination.address : 'Untitled');
}

/** What to call anything of a document in a sentence. */
export function nameOf(document: SiteDocument, forest: ForestName, id: Id): string {
  const item = document.items.nodes.get(id);
  if (forest === 'items' && item !== undefined) return labelOf(document, item);
  const menu = document.menus.nodes.get(forest === 'placements' ? (document.placements.nodes.get(id)?.menu ?? id) : id);
  if (menu !== undefined) return shown(menu.name) ?? menu.key;
  return shown(document.pages.nodes.get(id)?.title ?? null) ?? document.site.name;
}

function pageTitle(document: SiteDocument, { destination }: Item): string | null {
  return destination.kind === 'page' ? (document.pages.nodes.get(destination.page)?.title ?? null) : null;
}

function shown(text: string | null): string | null {
  return text === null || text.trim() === '' ? null : text;
}
