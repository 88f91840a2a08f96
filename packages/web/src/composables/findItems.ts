import {
  childrenOf,
  faceOf,
  foldText,
  labelOf,
  nodeAt,
  preorder,
  writtenOut,
  type Id,
  type SiteDocument,
} from '@zorvik/core';

/** What items can be filtered by. */
export const itemStates = ['noLink', 'heading', 'unpublished', 'draft', 'deleted', 'follows'] as const;
/** See `itemStates`. */
export type ItemState = (typeof itemStates)[number];

/** What is looked for: every word of a text, in the label or the address, on a level from 1, in a state. */
export interface WantedItems {
  readonly text: string;
  readonly level: number | null;
  readonly state: ItemState | null;
}

/** The items of a menu that are looked for, from top to bottom, folded or not. O(items). */
export function findItems(document: SiteDocument, menu: Id, { text, level, state }: WantedItems): Id[] {
  const words = foldText(text).split(/\s+/).filter(Boolean);
  if (words.length === 0 && level === null && state === null) return [];
  const found: Id[] = [];
  for (const { node: id, depth } of preorder<Id>(childrenOf(document.items, menu), (one) =>
    childrenOf(document.items, one),
  )) {
    if (level !== null && depth + 1 !== level) continue;
    if (state !== null && !isIn(document, id, state)) continue;
    if (words.length > 0) {
      const said = foldText(wordsOf(document, id));
      if (!words.every((word) => said.includes(word))) continue;
    }
    found.push(id);
  }
  return found;
}

function wordsOf(document: SiteDocument, id: Id): string {
  const face = faceOf(document, nodeAt(document.items, id));
  const { destination } = face;
  const page = destination.kind === 'page' ? document.pages.nodes.get(destination.page) : undefined;
  return `${labelOf(document, face)} ${page?.address ?? writtenOut(destination) ?? ''}`;
}

function isIn(document: SiteDocument, id: Id, state: ItemState): boolean {
  const item = nodeAt(document.items, id);
  const { destination, heldBack } = faceOf(document, item);
  const page = destination.kind === 'page' ? document.pages.nodes.get(destination.page) : undefined;
  switch (state) {
    case 'noLink':
      return destination.kind === 'undecided';
    case 'heading':
      return destination.kind === 'none';
    case 'unpublished':
      return heldBack === true || item.heldBack === true;
    case 'draft':
      return page?.state === 'draft';
    case 'deleted':
      return page?.state === 'gone';
    case 'follows':
      return item.follow !== undefined;
  }
}

/** How many levels a menu has. */
export function levelsOf(document: SiteDocument, menu: Id): number {
  let levels = 0;
  for (const { depth } of preorder<Id>(childrenOf(document.items, menu), (one) =>
    childrenOf(document.items, one),
  ))
    levels = Math.max(levels, depth + 1);
  return levels;
}
