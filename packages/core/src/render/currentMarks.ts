import { pathKey } from '../base/pathKey.ts';
import { unescapeHtml } from '../base/escape.ts';
import { utf8Length } from '../base/utf8Length.ts';
import type { Insert } from './splice.ts';

/** A link within the site, and where a mark goes into its tag: a byte of the HTML in UTF-8. */
interface LinkPlace {
  readonly path: string;
  readonly at: number;
  /** The entry that it stands in; -1: none. */
  readonly entry: number;
}

/** An entry of a list: where marks go into its own tags, and the entry that it stands in; -1: none. */
interface EntryPlace {
  readonly faces: number[];
  readonly within: number;
}

/** Where the marks of the current page go into a fragment of HTML. */
export interface MarkPlaces {
  readonly links: readonly LinkPlace[];
  readonly entries: readonly EntryPlace[];
}

/** In what we write, no attribute holds a `>`. */
const TAG = /<(\/?)(li|a|span|button|ul|div|nav)\b([^>]*)>/g;

/**
 * Finds the links and entries in HTML that `renderMenu` or `renderPanel` wrote: so what was published long ago
 * can be marked, too. `inMenus`: only what stands in a menu counts, as in a fragment of a frame, where a logo leads
 * to the start page and is no mark of it. O(length).
 */
export function markPlaces(
  html: string,
  { inMenus = false }: { readonly inMenus?: boolean } = {},
): MarkPlaces {
  const links: LinkPlace[] = [];
  const entries: EntryPlace[] = [];
  const open: number[] = [];
  /** The entry whose own tags come next; -1: what comes is below an entry. */
  let facing = -1;
  let menus = 0;
  let byte = 0;
  let read = 0;
  for (const { 1: slash, 2: name = '', 3: attributes = '', index } of html.matchAll(TAG)) {
    byte += utf8Length(html, read, index);
    read = index;
    const at = byte + 1 + name.length;
    if (name === 'nav') menus += slash === '/' ? -1 : 1;
    if (inMenus && menus === 0) continue;
    if (slash === '/') {
      if (name === 'li') {
        open.pop();
        facing = -1;
      }
      continue;
    }
    if (name === 'li') {
      facing = entries.length;
      entries.push({ faces: [], within: open.at(-1) ?? -1 });
      open.push(facing);
    } else if (name === 'ul' || name === 'div' || name === 'nav') {
      facing = -1;
    } else {
      // An arrow beside a link is named by the link's label; the link is what is marked.
      if (facing >= 0 && !attributes.includes(' aria-label=')) entries[facing]?.faces.push(at);
      const [, href] = name === 'a' ? (/ href="(\/[^"]*)"/.exec(attributes) ?? []) : [];
      if (href !== undefined) links.push({ path: pathKey(unescapeHtml(href)), at, entry: open.at(-1) ?? -1 });
    }
  }
  return { links, entries };
}

/**
 * What is put into a fragment on a page: `aria-current="page"` on the links to it, `aria-current="true"` on the
 * links to pages above it and on the entries that either stands below. O(links).
 */
export function currentMarks(
  { links, entries }: MarkPlaces,
  page: string,
  above: ReadonlySet<string>,
): Insert[] {
  const marks = new Map<number, string>();
  const within = new Set<number>();
  const noteAbove = (link: LinkPlace): void => {
    const isFace = entries[link.entry]?.faces.includes(link.at) === true;
    let entry = isFace ? (entries[link.entry]?.within ?? -1) : link.entry;
    while (entry >= 0 && !within.has(entry)) {
      within.add(entry);
      entry = entries[entry]?.within ?? -1;
    }
  };
  for (const link of links) {
    const isPage = link.path === page;
    if (!isPage && !above.has(link.path)) continue;
    marks.set(link.at, isPage ? PAGE : WITHIN);
    noteAbove(link);
  }
  for (const entry of within)
    for (const at of entries[entry]?.faces ?? []) if (!marks.has(at)) marks.set(at, WITHIN);
  return [...marks].map(([at, text]) => ({ at, text })).sort((a, b) => a.at - b.at);
}

const PAGE = ' aria-current="page"';
const WITHIN = ' aria-current="true"';
