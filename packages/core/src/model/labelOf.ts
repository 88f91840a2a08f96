import type { Id } from '../base/ids.ts';
import type { Destination } from '../schema/item.ts';
import type { ForestName, SiteDocument } from './document.ts';
import { faceOf, type Face, type Faced } from './faceOf.ts';

/** The text that an item shows: its own label or its shared link's, else its page's title, else its address. Never empty. */
export function labelOf(document: SiteDocument, item: Faced): string {
  const face = faceOf(document, item);
  return shown(face.label) ?? shown(pageTitle(document, face)) ?? shown(writtenOut(face.destination)) ?? 'Untitled';
}

/** The address, e-mail address or number that a destination is written as; null: it is none of these. */
export function writtenOut(destination: Destination): string | null {
  if (destination.kind === 'phone') return destination.number;
  return 'address' in destination ? destination.address : null;
}

/** What to call anything of a document in a sentence. */
export function nameOf(document: SiteDocument, forest: ForestName, id: Id): string {
  const item = document.items.nodes.get(id);
  if (forest === 'items' && item !== undefined) return labelOf(document, item);
  const link = document.sharedLinks.nodes.get(id);
  if (forest === 'sharedLinks' && link !== undefined) return labelOf(document, link);
  if (forest === 'ownFields') return document.ownFields.nodes.get(id)?.name ?? document.site.name;
  const menu = document.menus.nodes.get(forest === 'placements' ? (document.placements.nodes.get(id)?.menu ?? id) : id);
  if (menu !== undefined) return shown(menu.name) ?? menu.key;
  return shown(document.pages.nodes.get(id)?.title ?? null) ?? document.site.name;
}

function pageTitle(document: SiteDocument, { destination }: Face): string | null {
  return destination.kind === 'page' ? (document.pages.nodes.get(destination.page)?.title ?? null) : null;
}

function shown(text: string | null): string | null {
  return text === null || text.trim() === '' ? null : text;
}
