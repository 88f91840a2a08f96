import { preorder, childrenOf, nodeAt, type Forest, type Id, type Page, type SiteDocument } from '@zorvik/core';

interface Entry {
  readonly page: Page;
  readonly title: string;
  readonly address: string;
}

const indexes = new WeakMap<Forest<Page>, readonly Entry[]>();

/** The letters of a text without case and marks, so that "cafe" finds "Café". */
export function plain(text: string): string {
  return text.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase();
}

function indexOf({ pages, site }: SiteDocument): readonly Entry[] {
  const present = indexes.get(pages);
  if (present !== undefined) return present;
  const made = [...preorder(childrenOf(pages, site.id), (id: Id) => childrenOf(pages, id))].map(({ node }) => {
    const page = nodeAt(pages, node);
    return { page, title: plain(page.title), address: plain(page.address) };
  });
  indexes.set(pages, made);
  return made;
}

/**
 * Pages by words in any order, each anywhere in the title or the address; titles that begin with what was typed come first, then
 * titles with a word that does. Without words, all pages in their order. O(pages).
 */
export function searchPages(document: SiteDocument, typed: string): readonly Page[] {
  const wanted = plain(typed).trim();
  const entries = indexOf(document);
  if (wanted === '') return entries.map(({ page }) => page);
  const words = wanted.split(/\s+/);
  const ranked: Page[][] = [[], [], [], []];
  for (const entry of entries) {
    if (words.every((word) => entry.title.includes(word) || entry.address.includes(word))) ranked[rankOf(entry, wanted)]?.push(entry.page);
  }
  return ranked.flat();
}

function rankOf({ title }: Entry, wanted: string): number {
  if (title === wanted) return 0;
  if (title.startsWith(wanted)) return 1;
  return title.includes(` ${wanted}`) ? 2 : 3;
}
