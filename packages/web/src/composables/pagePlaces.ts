import {
  childrenOf,
  exceptionWords,
  faceOf,
  nodeAt,
  preorder,
  type Id,
  type SiteDocument,
} from '@zorvik/core';

/** One item that leads to a page. */
export interface PagePlace {
  readonly menu: Id;
  readonly item: Id;
  /** From 1. */
  readonly level: number;
  /** What is special about it there. */
  readonly words: readonly string[];
}

let last: { readonly of: readonly unknown[]; readonly places: ReadonlyMap<Id, readonly PagePlace[]> } | null =
  null;

/** Where each page appears in the menus, in their order. O(items) once for each state of them. */
export function pagePlaces(
  stored: SiteDocument,
  document: SiteDocument,
): ReadonlyMap<Id, readonly PagePlace[]> {
  const of = [document.items, document.sharedLinks, document.menus];
  if (last?.of.every((one, at) => one === of[at]) === true) return last.places;
  const places = new Map<Id, PagePlace[]>();
  const below = (id: Id): Iterable<Id> => childrenOf(document.items, id);
  for (const menu of childrenOf(document.menus, document.site.id)) {
    for (const { node: item, depth } of preorder<Id>(below(menu), below)) {
      const shown = nodeAt(document.items, item);
      const face = faceOf(document, shown);
      if (face.destination.kind !== 'page') continue;
      const isFollowed = shown.exception !== undefined;
      const words = [
        ...(isFollowed
          ? ['followed', ...exceptionWords(stored, item)]
          : face.label === null
            ? []
            : ['own label']),
        ...(face.heldBack === true ? ['unpublished'] : []),
        ...(face.hiddenOn === undefined ? [] : [`not on ${face.hiddenOn.join(', ')}`]),
      ];
      const known = places.get(face.destination.page);
      const place = { menu, item, level: depth + 1, words };
      if (known === undefined) places.set(face.destination.page, [place]);
      else known.push(place);
    }
  }
  last = { of, places };
  return places;
}
