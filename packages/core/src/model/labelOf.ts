import type { Id } from '../base/ids.ts';
import { partWords, type Part } from '../schema/part.ts';
import type { Destination } from '../schema/item.ts';
import type { ForestName, SiteDocument } from './document.ts';
import { meantPart } from './usedPart.ts';
import { faceOf, type Face, type Faced } from './faceOf.ts';

/**
 * The text that an item shows: its own label or its shared link's, else its page's title, else its address.
 * Never empty.
 */
export function labelOf(document: SiteDocument, item: Faced): string {
  const face = faceOf(document, item);
  return (
    shown(face.label) ?? shown(pageTitle(document, face)) ?? shown(writtenOut(face.destination)) ?? 'Untitled'
  );
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
  const part = document.parts.nodes.get(id);
  if (part !== undefined) return partName(document, part);
  if (forest === 'presets') return document.presets.nodes.get(id)?.name ?? document.site.name;
  if (forest === 'ownFields') return document.ownFields.nodes.get(id)?.name ?? document.site.name;
  const menu = document.menus.nodes.get(
    forest === 'placements' ? (document.placements.nodes.get(id)?.menu ?? id) : id,
  );
  if (menu !== undefined) return shown(menu.name) ?? menu.key;
  return shown(document.pages.nodes.get(id)?.title ?? null) ?? document.site.name;
}

/** What to call a part: its text, what it shows, else what it is. */
export function partName(document: SiteDocument, part: Part): string {
  const { kind, text, item, menu, shows, body, alt } = meantPart(document, part) ?? part;
  const shownItem = item === undefined ? undefined : document.items.nodes.get(item);
  if (shownItem !== undefined) return labelOf(document, shownItem);
  const written =
    text ??
    alt ??
    body
      ?.flatMap(({ runs }) => runs.map((run) => run.text))
      .join(' ')
      .slice(0, 60);
  return shown(written ?? document.menus.nodes.get(menu ?? shows ?? '')?.name ?? null) ?? partWords[kind];
}

function pageTitle(document: SiteDocument, { destination }: Face): string | null {
  return destination.kind === 'page' ? (document.pages.nodes.get(destination.page)?.title ?? null) : null;
}

function shown(text: string | null): string | null {
  return text === null || text.trim() === '' ? null : text;
}
