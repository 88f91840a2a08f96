import { parse } from 'parse5';
import { plainLine, plainPath, type PageAnchor, type PageKind } from '@zorvik/core';
import { attributeOf, elementsBelow, isElement, textOf, type HtmlElement } from './htmlTree.ts';
import { skeletonOf } from './skeleton.ts';
import { trailsOf, type Trail } from './trails.ts';

/** An entry of one of a page's own lists of links. Addresses are of the page's own site: path and query. */
export interface ListEntry {
  readonly address: string;
  readonly title: string;
  /** The entry whose list it stands in; null: none with an address. */
  readonly above: string | null;
}

/**
 * What a page says of itself. Addresses are path and query, on its own site; what leads elsewhere is left
 * out.
 */
export interface PageFacts {
  readonly address: string;
  readonly canonical: string | null;
  readonly title: string;
  readonly heading: string;
  readonly language: string | null;
  readonly kind: PageKind;
  /** The template that it names itself (`meta name=template`, or `data-template`); null: none. */
  readonly template: string | null;
  /** What its markup is like; see `skeletonOf`. */
  readonly skeleton: readonly number[];
  readonly date: string | null;
  readonly summary: string | null;
  readonly picture: string | null;
  readonly anchors: readonly PageAnchor[];
  readonly trails: readonly {
    readonly by: Trail['by'];
    readonly steps: readonly { readonly title: string; readonly address: string | null }[];
  }[];
  readonly up: string | null;
  readonly previous: string | null;
  readonly next: string | null;
  readonly links: readonly string[];
  readonly lists: readonly ListEntry[];
  /** It answers as if it were there, but says that it is not. */
  readonly isErrorPage: boolean;
}

const MOST_ANCHORS = 200;
const LONGEST_TITLE = 200;

/**
 * Reads a page's HTML, however broken: parse5 takes what browsers take. `url` is where it was found in the
 * end.
 */
export function readPage(html: string, url: string): PageFacts {
  const document = parse(html);
  const elements = elementsBelow(document);
  const first = (tag: string): HtmlElement | undefined => elements.find(({ tagName }) => tagName === tag);
  const base = hrefOf(first('base'), url) ?? url;
  const origin = new URL(url).origin;
  // A link stands in the lists, in the trails and among all links: what it leads to is found once.
  const known = new Map<string, string | null>();
  const own = (address: string | null): string | null => {
    if (address === null) return null;
    const before = known.get(address);
    if (before !== undefined) return before;
    const found = ownAddress(address, base, origin);
    known.set(address, found);
    return found;
  };
  const metas = new Map(
    elements
      .filter(({ tagName }) => tagName === 'meta')
      .map(
        (meta) =>
          [
            (attributeOf(meta, 'name') ?? attributeOf(meta, 'property') ?? '').toLowerCase(),
            plainLine(attributeOf(meta, 'content') ?? ''),
          ] as const,
      ),
  );
  const related = (name: string): string | null => {
    const link = elements.find(
      (one) =>
        (one.tagName === 'link' || one.tagName === 'a') &&
        (attributeOf(one, 'rel') ?? '').toLowerCase().split(/\s+/).includes(name),
    );
    return link === undefined ? null : own(attributeOf(link, 'href'));
  };
  const titled = first('title');
  const headed = first('h1');
  const title = titled === undefined ? '' : textOf(titled);
  const heading = headed === undefined ? '' : textOf(headed).replace(/\s*[¶#§🔗]\s*$/u, '');
  const links = elements
    .filter(({ tagName }) => tagName === 'a')
    .flatMap((link) => own(attributeOf(link, 'href')) ?? []);
  const types = jsonTypes(elements);
  return {
    address: ownAddress(url, url, origin) ?? '/',
    canonical: related('canonical'),
    title: title.slice(0, LONGEST_TITLE),
    heading: heading.slice(0, LONGEST_TITLE),
    language: languageOf(first('html')),
    kind: kindOf(types, metas.get('og:type') ?? ''),
    template: templateIn(elements, metas),
    skeleton: skeletonOf(document),
    date:
      /^\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])/.exec(
        metas.get('article:modified_time') ?? metas.get('article:published_time') ?? '',
      )?.[0] ?? null,
    summary: (metas.get('description') ?? metas.get('og:description') ?? '').slice(0, 1000) || null,
    picture: metas.get('og:image')?.slice(0, 2048) || null,
    anchors: anchorsIn(elements),
    trails: trailsOf(elements).map(({ by, steps }) => ({
      by,
      steps: steps.map((step) => ({ title: step.title, address: own(step.address) })),
    })),
    up: related('up') ?? own(keyedUp(elements)),
    previous: related('prev') ?? related('previous'),
    next: related('next'),
    links: [...new Set(links)],
    lists: listsIn(elements, own),
    isErrorPage:
      /\b(?:404|not found|page introuvable|nicht gefunden|no encontrada)\b/i.test(`${title} ${heading}`) &&
      /noindex/i.test(metas.get('robots') ?? 'noindex'),
  };
}

/** The template that a page names, for machines. */
function templateIn(elements: readonly HtmlElement[], metas: ReadonlyMap<string, string>): string | null {
  const marked = elements.find(
    (one) => (one.tagName === 'html' || one.tagName === 'body') && attributeOf(one, 'data-template') !== null,
  );
  const named =
    metas.get('template') ?? (marked === undefined ? '' : attributeOf(marked, 'data-template')) ?? '';
  return plainLine(named).slice(0, 80) || null;
}

function hrefOf(element: HtmlElement | undefined, url: string): string | null {
  const href = element === undefined ? null : attributeOf(element, 'href');
  return href !== null && URL.canParse(href, url) ? new URL(href, url).href : null;
}

/** Path and query of an address of the page's own site; null: it is elsewhere, or no page. */
export function ownAddress(address: string | null, base: string, origin: string): string | null {
  if (address === null || !URL.canParse(address, base)) return null;
  const url = new URL(address, base);
  if (url.origin !== origin || !/^https?:$/.test(url.protocol)) return null;
  if (
    /\.(?:png|jpe?g|gif|webp|avif|svg|ico|css|js|mjs|json|xml|rss|atom|pdf|zip|gz|bz2|xz|tar|mp[34]|webm|woff2?|ttf|txt|epub|ps)$/i.test(
      url.pathname,
    )
  )
    return null;
  return addressKey(url.pathname + url.search);
}

/**
 * One form for addresses that lead to one page: without index.html, and the parts of a query in their order.
 */
export function addressKey(address: string): string {
  const [path = '', query] = address.split('?');
  const plain = plainPath(path).replace(/\/index\.(?:html?|php)$/i, '/');
  if (query === undefined || query === '') return plain;
  return `${plain}?${query.split('&').sort().join('&')}`;
}

function languageOf(html: HtmlElement | undefined): string | null {
  const language = html === undefined ? null : attributeOf(html, 'lang');
  return language !== null && /^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$/.test(language) && language.length <= 35
    ? language
    : null;
}

function anchorsIn(elements: readonly HtmlElement[]): PageAnchor[] {
  const found: PageAnchor[] = [];
  for (const element of elements) {
    if (!/^h[2-4]$/.test(element.tagName)) continue;
    const inner = elementsBelow(element).find((one) => attributeOf(one, 'id') !== null);
    const section =
      element.parentNode !== null &&
      'tagName' in element.parentNode &&
      element.parentNode.tagName === 'section'
        ? element.parentNode
        : null;
    const id =
      attributeOf(element, 'id') ??
      (inner === undefined ? null : attributeOf(inner, 'id')) ??
      (section === null ? null : attributeOf(section, 'id'));
    const title = textOf(element).replace(/\s*[¶#§🔗]\s*$/u, '');
    if (id !== null && id !== '' && id.length <= 200 && title !== '' && found.length < MOST_ANCHORS)
      found.push({ id, title: title.slice(0, LONGEST_TITLE) });
  }
  return found;
}

function jsonTypes(elements: readonly HtmlElement[]): string {
  return elements
    .filter((one) => one.tagName === 'script' && attributeOf(one, 'type') === 'application/ld+json')
    .map((one) => one.childNodes.map((node) => ('value' in node ? node.value : '')).join(''))
    .join(' ');
}

function kindOf(json: string, ogType: string): PageKind {
  const has = (type: string): boolean => new RegExp(`"@type"\\s*:\\s*\\[?\\s*"${type}"`).test(json);
  if (has('Product') || ogType === 'product') return 'product';
  if (has('Event')) return 'event';
  if (has('CollectionPage') || has('ProductGroup')) return 'category';
  return has('Article') || has('NewsArticle') || has('BlogPosting') || ogType === 'article'
    ? 'article'
    : 'page';
}

/** The page's own nested lists of links, flat: each entry with the one that its list belongs to. */
function listsIn(
  elements: readonly HtmlElement[],
  own: (address: string | null) => string | null,
): ListEntry[] {
  const found: ListEntry[] = [];
  for (const element of elements) {
    if (element.tagName !== 'li' && element.tagName !== 'dt') continue;
    const link = ownLink(element);
    const address = link === null ? null : own(attributeOf(link, 'href'));
    if (link === null || address === null || (attributeOf(link, 'href') ?? '').startsWith('#')) continue;
    found.push({ address, title: textOf(link), above: addressAbove(element, own) });
  }
  return found;
}

/** The first link of an entry that is not in a list below it. */
function ownLink(entry: HtmlElement): HtmlElement | null {
  const stack = [...entry.childNodes].reverse();
  for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
    if (!isElement(node) || node.tagName === 'ul' || node.tagName === 'ol' || node.tagName === 'dl') continue;
    if (node.tagName === 'a' && attributeOf(node, 'href') !== null) return node;
    stack.push(...[...node.childNodes].reverse());
  }
  return null;
}

/**
 * Manuals that say it in no other way have the key U on the link that leads up, as P and N are on those that
 * lead back and on.
 */
function keyedUp(elements: readonly HtmlElement[]): string | null {
  const link = elements.find(
    (one) => one.tagName === 'a' && attributeOf(one, 'accesskey')?.toLowerCase() === 'u',
  );
  return link === undefined ? null : attributeOf(link, 'href');
}

/** The term that a description belongs to: the nearest one before it (HTML, 4.4.9). */
function termOf(description: HtmlElement): HtmlElement | null {
  const siblings = description.parentNode?.childNodes ?? [];
  for (let at = siblings.indexOf(description) - 1; at >= 0; at -= 1) {
    const before = siblings[at];
    if (isElement(before) && before.tagName === 'dt') return before;
  }
  return null;
}

function addressAbove(entry: HtmlElement, own: (address: string | null) => string | null): string | null {
  for (let at = entry.parentNode; at !== null && 'tagName' in at; at = at.parentNode) {
    // Nested terms stand in the description of the one above.
    const holder = at.tagName === 'li' ? at : at.tagName === 'dd' ? termOf(at) : null;
    const link = holder === null ? null : ownLink(holder);
    const address = link === null ? null : own(attributeOf(link, 'href'));
    if (address !== null) return address;
  }
  return null;
}
