import type { SiteDocument } from '../model/document.ts';
import { LINKS, type VisitRef } from '../schema/ref.ts';
import { eachRef } from '../refs/refsOf.ts';
import type { Page } from '../schema/page.ts';

/** Finds what became of addresses and pages. */
export interface Successors {
  /**
   * The live page that took a gone page's place: it has its address now, or had it before, or is the only one
   * with its title.
   */
  readonly of: (gone: Page) => Page | null;
  /**
   * The page that an address of the site led to, if it does so no longer of itself: it is gone, or redirects.
   * `page`: where to lead instead.
   */
  readonly at: (address: string) => { readonly page: Page | null; readonly isGone: boolean } | null;
  /** The page that has an address of the site now; null: none has. */
  readonly pageAt: (address: string) => Page | null;
  /** Whether a page, as it was or is, has to do with any of it. */
  readonly concerns: (page: Page) => boolean;
}

/**
 * What became of the gone pages and the plain addresses that items and panels link to. Only what is wanted is
 * looked for, in one pass over the pages, and none where nothing is: an index of all pages would cost more
 * than all the rest of drift. O(items + parts), and O(pages) where something is.
 */
export function successors(document: SiteDocument): Successors {
  const { pages, site } = document;
  const addresses = new Set<string>();
  const titles = new Set<string>();
  const want: VisitRef = (to, value) => {
    if (to === 'address') {
      const own = ownPath(value, site.origin);
      if (own !== null) addresses.add(own);
    } else if (to === 'page') {
      const page = pages.nodes.get(value);
      if (page?.state !== 'gone') return;
      addresses.add(plain(page.address));
      titles.add(page.title);
    }
  };
  for (const item of document.items.nodes.values()) eachRef('items', item, want, LINKS);
  for (const link of document.sharedLinks.nodes.values()) eachRef('sharedLinks', link, want, LINKS);
  for (const part of document.parts.nodes.values()) eachRef('parts', part, want, LINKS);
  const found = addresses.size === 0 ? nothing : lookFor(pages.nodes.values(), addresses, titles);
  const of = (gone: Page): Page | null => {
    const address = plain(gone.address);
    return found.live.get(address) ?? found.former.get(address) ?? found.titles.get(gone.title) ?? null;
  };
  return {
    of,
    at(address) {
      const path = ownPath(address, site.origin);
      if (path === null || found.live.has(path)) return null;
      const next = found.former.get(path);
      if (next !== undefined) return { page: next, isGone: false };
      const was = found.gone.get(path);
      return was === undefined ? null : { page: of(was), isGone: true };
    },
    pageAt(address) {
      const path = ownPath(address, site.origin);
      return (path === null ? undefined : found.live.get(path)) ?? null;
    },
    concerns: ({ address, formerAddresses = [], title }) =>
      titles.has(title) ||
      addresses.has(plain(address)) ||
      formerAddresses.some((one) => addresses.has(plain(one))),
  };
}

interface Found {
  readonly live: ReadonlyMap<string, Page>;
  readonly former: ReadonlyMap<string, Page>;
  readonly gone: ReadonlyMap<string, Page>;
  /** Null: several are called so. */
  readonly titles: ReadonlyMap<string, Page | null>;
}
const nothing: Found = { live: new Map(), former: new Map(), gone: new Map(), titles: new Map() };

function lookFor(pages: Iterable<Page>, addresses: ReadonlySet<string>, wanted: ReadonlySet<string>): Found {
  const live = new Map<string, Page>();
  const former = new Map<string, Page>();
  const gone = new Map<string, Page>();
  const titles = new Map<string, Page | null>();
  for (const page of pages) {
    const address = plain(page.address);
    if (page.state === 'gone') {
      if (addresses.has(address)) gone.set(address, page);
      continue;
    }
    if (addresses.has(address)) live.set(address, page);
    for (const one of page.formerAddresses ?? []) if (addresses.has(plain(one))) former.set(plain(one), page);
    if (wanted.has(page.title)) titles.set(page.title, titles.has(page.title) ? null : page);
  }
  return { live, former, gone, titles };
}

/** A path of the site itself; null: an address elsewhere. */
function ownPath(address: string, origin: string): string | null {
  const own = origin !== '' && address.startsWith(`${origin}/`) ? address.slice(origin.length) : address;
  return own.startsWith('/') && !own.startsWith('//') ? plain(own) : null;
}

/** Without an anchor and a slash at the end. */
function plain(address: string): string {
  const anchor = address.indexOf('#');
  const path = anchor < 0 ? address : address.slice(0, anchor);
  return path.length > 1 && path.endsWith('/') ? path.replace(/\/+$/, '') || '/' : path;
}
