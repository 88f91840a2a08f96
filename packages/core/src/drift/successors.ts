import { foldText } from '../base/foldText.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Page } from '../schema/page.ts';

/** Finds what became of addresses and pages. */
export interface Successors {
  /** The live page that took a gone page's place: it has its address now, or had it before, or is the only one with its title. */
  readonly of: (gone: Page) => Page | null;
  /** The page that an address of the site led to, if it does so no longer of itself: it is gone, or redirects. `page`: where to lead instead. */
  readonly at: (address: string) => { readonly page: Page | null; readonly isGone: boolean } | null;
}

interface Indexes {
  readonly live: ReadonlyMap<string, Page>;
  readonly former: ReadonlyMap<string, Page>;
  readonly gone: ReadonlyMap<string, Page>;
  /** Null: several are called so. */
  readonly titles: ReadonlyMap<string, Page | null>;
}

const kept = new WeakMap<object, Indexes>();

/** Nothing is read before something is asked: most menus have nothing to ask. Then O(pages), once for each state of them. */
export function successors({ pages: { nodes }, site }: SiteDocument): Successors {
  const indexes = (): Indexes => {
    const known = kept.get(nodes);
    if (known !== undefined) return known;
    const made = indexesOf(nodes.values());
    kept.set(nodes, made);
    return made;
  };
  const of = (gone: Page): Page | null => {
    const { live, former, titles } = indexes();
    const address = plain(gone.address);
    return live.get(address) ?? former.get(address) ?? titles.get(foldText(gone.title)) ?? null;
  };
  return {
    of,
    at(address) {
      const own = site.origin !== '' && address.startsWith(`${site.origin}/`) ? address.slice(site.origin.length) : address;
      if (!own.startsWith('/') || own.startsWith('//')) return null;
      const { live, former, gone } = indexes();
      const path = plain(own);
      if (live.has(path)) return null;
      const next = former.get(path);
      if (next !== undefined) return { page: next, isGone: false };
      const was = gone.get(path);
      return was === undefined ? null : { page: of(was), isGone: true };
    },
  };
}

function indexesOf(pages: Iterable<Page>): Indexes {
  const live = new Map<string, Page>();
  const former = new Map<string, Page>();
  const gone = new Map<string, Page>();
  const titles = new Map<string, Page | null>();
  for (const page of pages) {
    const address = plain(page.address);
    if (page.state === 'gone') {
      gone.set(address, page);
      continue;
    }
    live.set(address, page);
    for (const one of page.formerAddresses ?? []) former.set(plain(one), page);
    const title = foldText(page.title);
    titles.set(title, titles.has(title) ? null : page);
  }
  return { live, former, gone, titles };
}

function plain(address: string): string {
  return (address.split('#')[0] ?? '').replace(/\/+$/, '') || '/';
}
