import {
  childrenOf,
  exceptionWords,
  faceOf,
  linksIn,
  nodeAt,
  type Id,
  type SiteDocument,
} from '@zorvik/core';

/** One link to a page. */
export interface PagePlace {
  readonly menu: Id;
  readonly item: Id;
  /** The part of the item's panel that has the link; null: the item itself. */
  readonly part: Id | null;
  /** From 1. */
  readonly level: number;
  /** What is special about it there. */
  readonly words: readonly string[];
}

let last: { readonly of: readonly unknown[]; readonly places: ReadonlyMap<Id, readonly PagePlace[]> } | null =
  null;

/** Where each page appears in the menus, in their order. O(items + parts) once for each state of them. */
export function pagePlaces(
  stored: SiteDocument,
  document: SiteDocument,
): ReadonlyMap<Id, readonly PagePlace[]> {
  const of = [document.items, document.sharedLinks, document.parts, document.menus];
  if (last?.of.every((one, at) => one === of[at]) === true) return last.places;
  const places = new Map<Id, PagePlace[]>();
  for (const menu of childrenOf(document.menus, document.site.id)) {
    for (const { to, value: page, item, part, level } of linksIn(document, menu)) {
      if (to !== 'page') continue;
      const words = part === null ? wordsOf(stored, document, item) : ['in its panel'];
      const known = places.get(page);
      const place = { menu, item, part, level, words };
      if (known === undefined) places.set(page, [place]);
      else known.push(place);
    }
  }
  last = { of, places };
  return places;
}

function wordsOf(stored: SiteDocument, document: SiteDocument, item: Id): string[] {
  const shown = nodeAt(document.items, item);
  const { label, heldBack, hiddenOn } = faceOf(document, shown);
  const own = label === null ? [] : ['own label'];
  return [
    ...(shown.exception === undefined ? own : ['followed', ...exceptionWords(stored, item)]),
    ...(heldBack === true ? ['unpublished'] : []),
    ...(hiddenOn === undefined ? [] : [`not on ${hiddenOn.join(', ')}`]),
  ];
}
