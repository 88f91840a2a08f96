import UFuzzy from '@leeoniya/ufuzzy';

/** A page as the search knows it. */
export interface Findable {
  readonly id: string;
  readonly title: string;
  readonly address: string;
}

export interface PageSearch {
  /** What is found, best first, as indices into the pages; without words, all in their order. */
  readonly find: (typed: string) => number[];
}

/** The letters of a text without case and marks, so that "cafe" finds "Café". */
export function plain(text: string): string {
  return text.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase();
}

/** More than this many are ranked no further. */
const MOST_RANKED = 2000;

/**
 * Searches titles and addresses for words in any order, each anywhere in them. O(pages) to make and for each
 * search.
 */
export function exactSearch(pages: readonly Findable[]): PageSearch {
  const titles = pages.map(({ title }) => plain(title));
  const addresses = pages.map(({ address }) => plain(address));
  return {
    find(typed) {
      const wanted = plain(typed).trim();
      if (wanted === '') return pages.map((_, at) => at);
      const words = wanted.split(/\s+/);
      const ranked: number[][] = [[], [], [], []];
      for (let at = 0; at < pages.length; at += 1) {
        const [title = '', address = ''] = [titles[at], addresses[at]];
        if (words.every((word) => title.includes(word) || address.includes(word)))
          ranked[rankOf(title, wanted)]?.push(at);
      }
      return ranked.flat();
    },
  };
}

/**
 * The same, and where nothing fits, one typing error a word is forgiven: a letter too many, too few, another
 * one, two the wrong way round.
 */
export function forgivingSearch(pages: readonly Findable[]): PageSearch {
  const exact = exactSearch(pages);
  const fuzzy = new UFuzzy({
    intraMode: 1,
    intraIns: 1,
    intraSub: 1,
    intraTrn: 1,
    intraDel: 1,
    unicode: true,
    interSplit: '[^\\p{L}\\d]+',
    intraSplit: '\\p{Ll}\\p{Lu}',
    intraBound: '\\p{L}\\d|\\d\\p{L}|\\p{Ll}\\p{Lu}',
    intraChars: "[\\p{L}\\d']",
  });
  let lines: string[] | null = null;
  return {
    find(typed) {
      const found = exact.find(typed);
      if (found.length > 0) return found;
      lines ??= pages.map(({ title, address }) => plain(`${title} ${address}`));
      const [hits, info, order] = fuzzy.search(lines, plain(typed).trim(), 1, MOST_RANKED);
      return info != null && order != null ? order.map((at) => info.idx[at] ?? 0) : (hits ?? []);
    },
  };
}

/** Titles that begin with what was typed come first, then titles with a word that does. */
function rankOf(title: string, wanted: string): number {
  if (title === wanted) return 0;
  if (title.startsWith(wanted)) return 1;
  return title.includes(` ${wanted}`) ? 2 : 3;
}
