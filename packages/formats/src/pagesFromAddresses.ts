import {
  no,
  ok,
  plainPath,
  preorder,
  refusal,
  type IncomingPage,
  type Refusal,
  type Result,
} from '@zorvik/core';
import type { SitemapEntry } from './sitemap.ts';
import { titleFromSlug } from './titleFromSlug.ts';

export interface PageList {
  /** Scheme and host that all addresses share. */
  readonly origin: string;
  /** Parents before their children. */
  readonly pages: readonly IncomingPage[];
  /** How many addresses named a page that was named before. */
  readonly duplicates: number;
}

/** The longest title and address that the model keeps. */
const LONGEST_TITLE = 200;
const LONGEST_ADDRESS = 2048;

/**
 * The addresses of a sitemap as a page tree, by their path: a page stands under the nearest page whose path
 * its own begins with. A slash at the end makes no other page; a query does, and stands under the page
 * without it; an anchor never counts. Siblings keep the order of the sitemap. O(addresses times depth).
 */
export function pagesFromAddresses(entries: readonly SitemapEntry[]): Result<PageList> {
  const tree = new AddressTree();
  for (const entry of entries) {
    const problem = tree.add(entry);
    if (problem !== null) return no(problem);
  }
  return ok(tree.list());
}

/** The same, an address at a time: whoever has very many lets others have their turn in between. */
export class AddressTree {
  private readonly pages = new Map<string, IncomingPage>();
  private origin: string | null = null;
  private duplicates = 0;

  /** Takes one more address; gives why it cannot. */
  add({ location, line }: SitemapEntry): Refusal | null {
    const url = URL.canParse(location) ? new URL(location) : null;
    const problem = problemWith(location, url);
    if (url === null || problem !== null)
      return refusal('badLocation', {
        line,
        address: location,
        problem: problem ?? 'not an absolute address',
      });
    this.origin ??= url.origin;
    if (url.origin !== this.origin)
      return refusal('otherHost', { line, address: location, host: new URL(this.origin).host });
    const address = plainPath(url.pathname) + url.search;
    const key = keyOf(address);
    if (this.pages.has(key)) this.duplicates += 1;
    else this.pages.set(key, { key, address, title: titleOf(url), kind: 'page', above: keysAbove(key) });
    return null;
  }

  list(): PageList {
    return { origin: this.origin ?? '', pages: nested(this.pages), duplicates: this.duplicates };
  }
}

function problemWith(location: string, url: URL | null): string | null {
  if (location === '') return 'it is empty';
  if (location.length > LONGEST_ADDRESS) return `longer than ${LONGEST_ADDRESS} characters`;
  if (url === null) return 'not an absolute address';
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    return `its scheme is ${url.protocol.slice(0, -1)}, not http or https`;
  if (url.username !== '' || url.password !== '') return 'it contains a user name or a password';
  return (url.pathname + url.search).length > LONGEST_ADDRESS
    ? `longer than ${LONGEST_ADDRESS} characters when encoded`
    : null;
}

/** What two addresses of one page have in common. */
function keyOf(address: string): string {
  const [path = '', ...query] = address.split('?');
  const plain = path.replace(/\/+$/, '') || '/';
  return query.length === 0 ? plain : `${plain}?${query.join('?')}`;
}

function titleOf(url: URL): string {
  const slug = url.pathname.split('/').findLast((part) => part !== '');
  const title = slug === undefined ? 'Home' : (titleFromSlug(slug) ?? slug);
  const query = url.search === '' ? null : titleFromSlug(url.search.slice(1).replaceAll(/[&=]/g, ' '));
  return (query === null ? title : `${title} (${query})`).slice(0, LONGEST_TITLE);
}

/** Parents before their children, siblings as they came. */
function nested(pages: ReadonlyMap<string, IncomingPage>): IncomingPage[] {
  const childrenOf = new Map<string | null, IncomingPage[]>();
  for (const page of pages.values()) {
    const parent = page.above.find((key) => pages.has(key)) ?? null;
    const siblings = childrenOf.get(parent);
    if (siblings === undefined) childrenOf.set(parent, [page]);
    else siblings.push(page);
  }
  return [...preorder(childrenOf.get(null) ?? [], ({ key }) => childrenOf.get(key) ?? [])].map(
    ({ node }) => node,
  );
}

/**
 * The paths that a page's own begins with, longest first. The home page is none of them: it is the first of
 * the top level, and the site itself is the parent of all.
 */
function keysAbove(key: string): string[] {
  const query = key.indexOf('?');
  let path = query < 0 ? key : key.slice(0, query);
  const above = query < 0 || path === '/' ? [] : [path];
  for (let slash = path.lastIndexOf('/'); slash > 0; slash = path.lastIndexOf('/')) {
    path = path.slice(0, slash);
    above.push(path);
  }
  return above;
}
