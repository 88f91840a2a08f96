import { mintId, type Id, type RandomBits } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, spotOf, withNode, withNodeMoved } from '../model/forest.ts';
import { isWithin } from '../model/isWithin.ts';
import { latestSince } from '../model/latestSince.ts';
import type { ImportPages, PlacedPage } from '../ops/importPages.ts';
import type { MovePage } from '../ops/movePage.ts';
import type { UpdatePage } from '../ops/updatePage.ts';
import type { Page } from '../schema/page.ts';
import type { IncomingPage } from './diffPages.ts';

export interface ReadingChoices {
  readonly missing: 'keep' | 'retire';
  readonly random: RandomBits;
  /** Old addresses that the site answers with new ones. */
  readonly redirects?: ReadonlyMap<string, string>;
}

/** How a known page was recognised. */
export type RecognisedBy = 'address' | 'redirect' | 'former' | 'title';

/** What reading a site would change: the operation, and the same as lists to show. */
export interface ReadingDiff {
  readonly operation: ImportPages;
  readonly added: readonly { readonly title: string; readonly address: string }[];
  readonly renamed: readonly { readonly was: string; readonly title: string }[];
  readonly moved: readonly { readonly title: string; readonly was: string; readonly now: string }[];
  readonly readdressed: readonly {
    readonly title: string;
    readonly was: string;
    readonly address: string;
    readonly by: RecognisedBy;
  }[];
  readonly gone: readonly { readonly title: string; readonly address: string }[];
  /** Known pages of which nothing but facts is otherwise: headings, dates, what placed them. */
  readonly facts: number;
}

/**
 * The one operation that brings the pages up to what a site says of itself when it is read: titles, places,
 * addresses and facts, too. Known pages are recognised by their address, by an address that is answered with
 * another, and by the same title under the same parent, so that their ids survive renames and moves, and with
 * them the menus. The title that was read is kept beside the title: one that a person gave the page here
 * stands until the site changes its own. Parents come before their children in `incoming`. O(pages * depth).
 */
export function diffReading(
  document: SiteDocument,
  incoming: readonly IncomingPage[],
  { missing, random, redirects = new Map() }: ReadingChoices,
): ReadingDiff {
  const since = latestSince(document) + 1;
  const isFirst = document.pages.nodes.size === 0;
  const recognised = recognise(document, incoming, redirects);
  const roots = { site: document.site.id, there: addressesOf(document) };
  const guessed = templateNames(incoming, recognised);
  const idOf = new Map<string, Id>();
  const added: PlacedPage[] = [];
  const moved: MovePage[] = [];
  const changed: UpdatePage[] = [];
  const summary = {
    added: [] as ReadingDiff['added'][number][],
    renamed: [] as ReadingDiff['renamed'][number][],
    moved: [] as ReadingDiff['moved'][number][],
    readdressed: [] as ReadingDiff['readdressed'][number][],
    gone: [] as ReadingDiff['gone'][number][],
  };
  let facts = 0;
  // New pages are added first and known ones moved then: so the places of both are found on a forest that
  // grows alike.
  let pages = document.pages;
  const lastUnder = new Map<Id, Id>();
  for (const page of incoming) {
    const known = recognised.get(page.key);
    const parent = parentIn(page, idOf, roots);
    if (known === undefined) {
      const id = mintId('page', random);
      idOf.set(page.key, id);
      const { key, address, title, kind, language = null, state = 'live' } = page;
      const template = page.template ?? guessed(page);
      const facts = Object.fromEntries(
        factNames.flatMap((name) => (page[name] === undefined ? [] : [[name, page[name]]])),
      );
      const node: Page = {
        id,
        parent,
        key,
        kind,
        title,
        address,
        state,
        language,
        template,
        ...facts,
        ...(isFirst ? {} : { since }),
        readTitle: page.title,
      };
      const after = lastUnder.get(parent) ?? (isFirst ? null : lastKnownUnder(document, parent));
      added.push({ page: node, after });
      pages = withNode(pages, node, after);
      lastUnder.set(parent, id);
      summary.added.push({ title: page.title, address: page.address });
    } else idOf.set(page.key, known.page.id);
  }
  for (const page of incoming) {
    const known = recognised.get(page.key);
    if (known === undefined) continue;
    const { id, parent: was, title, address } = known.page;
    const parent = parentIn(page, idOf, roots);
    const set = fieldsOf(known.page, page, since);
    const guess = known.page.template === null && page.template === undefined ? guessed(page) : null;
    if (guess !== null) set.template = guess;
    if (was !== parent && !isWithin(pages, parent, id)) {
      const to = { parent, after: childrenOf(pages, parent).last() };
      moved.push({ kind: 'movePage', id, from: spotOf(pages, id), to });
      pages = withNodeMoved(pages, id, to);
      Object.assign(set, { since });
      summary.moved.push({ title, was: titleAt(document, was), now: nodeTitle(pages, document, parent) });
    }
    if (set.title !== undefined) summary.renamed.push({ was: title, title: set.title as string });
    if (set.state === 'gone') summary.gone.push({ title, address });
    if (set.address !== undefined)
      summary.readdressed.push({ title: page.title, was: address, address: page.address, by: known.by });
    if (
      Object.keys(set).length > 0 &&
      ['title', 'address', 'state', 'since'].every((name) => set[name] === undefined)
    )
      facts += 1;
    if (Object.keys(set).length > 0) changed.push({ kind: 'updatePage', id, set, was: {} } as UpdatePage);
  }
  reorder(incoming, idOf, roots, new Set([...recognised.values()].map(({ page }) => page.id)), pages, moved);
  if (missing === 'retire') {
    const met = new Set([...recognised.values()].map(({ page }) => page.id));
    for (const page of document.pages.nodes.values()) {
      if (page.state !== 'live' || met.has(page.id)) continue;
      changed.push({ kind: 'updatePage', id: page.id, set: { state: 'gone' }, was: { state: page.state } });
      summary.gone.push({ title: page.title, address: page.address });
    }
  }
  return { operation: { kind: 'importPages', added, moved, removed: [], changed }, ...summary, facts };
}

interface Recognised {
  readonly page: Page;
  readonly by: RecognisedBy;
}

function recognise(
  document: SiteDocument,
  incoming: readonly IncomingPage[],
  redirects: ReadonlyMap<string, string>,
): Map<string, Recognised> {
  const byAddress = new Map<string, Page>();
  for (const page of document.pages.nodes.values())
    for (const one of [page.key, page.address])
      if (byAddress.get(plain(one))?.state !== 'live') byAddress.set(plain(one), page);
  const found = new Map<string, Recognised>();
  const taken = new Set<Id>();
  const take = (key: string, page: Page | undefined, by: RecognisedBy): void => {
    if (page === undefined || taken.has(page.id) || found.has(key)) return;
    taken.add(page.id);
    found.set(key, { page, by });
  };
  for (const { key, address } of incoming) take(key, byAddress.get(plain(address)), 'address');
  const newOf = new Map([...redirects].map(([from, to]) => [plain(from), plain(to)]));
  const keyAt = new Map(incoming.map(({ key, address }) => [plain(address), key]));
  for (const [from, to] of newOf) {
    const key = keyAt.get(to);
    if (key !== undefined) take(key, byAddress.get(from), 'redirect');
  }
  // What is left on both sides and is called alike below the same parent is the same page at another address.
  const titles = new Map<string, Page | null>();
  for (const page of document.pages.nodes.values()) {
    if (taken.has(page.id) || page.state === 'gone') continue;
    const name = `${page.parent} ${page.title}`;
    titles.set(name, titles.has(name) ? null : page);
  }
  for (const page of incoming) {
    if (found.has(page.key)) continue;
    const above =
      page.above.map((key) => found.get(key)?.page.id).find((id) => id !== undefined) ?? document.site.id;
    take(page.key, titles.get(`${above} ${page.title}`) ?? undefined, 'title');
  }
  return found;
}

function plain(address: string): string {
  return address.length > 1 ? address.replace(/\/+$/, '') || '/' : address;
}

/**
 * The page that one stands under: another that comes with it or, where a file names but a part of the site,
 * one that is there already.
 */
function parentIn(
  { above }: IncomingPage,
  idOf: ReadonlyMap<string, Id>,
  { site, there }: { readonly site: Id; readonly there: ReadonlyMap<string, Id> },
): Id {
  for (const key of above) {
    const id = idOf.get(key) ?? there.get(plain(key));
    if (id !== undefined) return id;
  }
  return site;
}

function addressesOf(document: SiteDocument): Map<string, Id> {
  return new Map(
    [...document.pages.nodes.values()]
      .filter(({ state }) => state !== 'gone')
      .map(({ id, address }) => [plain(address), id]),
  );
}

function lastKnownUnder({ pages }: SiteDocument, parent: Id): Id | null {
  return childrenOf(pages, parent).last();
}

/**
 * What a guessed template is called here: as most of the known pages in its group are, so that a site that is read
 * again keeps its names.
 */
function templateNames(
  incoming: readonly IncomingPage[],
  recognised: ReadonlyMap<string, { readonly page: Page }>,
): (page: IncomingPage) => string | null {
  const counts = new Map<string, Map<string, number>>();
  for (const { key, guessedTemplate } of incoming) {
    const own = recognised.get(key)?.page.template ?? null;
    if (guessedTemplate === undefined || own === null) continue;
    const names = counts.get(guessedTemplate) ?? new Map<string, number>();
    counts.set(guessedTemplate, names.set(own, (names.get(own) ?? 0) + 1));
  }
  const names = new Map(
    [...counts].map(([guess, known]) => [guess, [...known].sort((a, b) => b[1] - a[1])[0]?.[0] ?? guess]),
  );
  return ({ guessedTemplate }) =>
    guessedTemplate === undefined ? null : (names.get(guessedTemplate) ?? guessedTemplate);
}

const factNames = ['date', 'summary', 'picture', 'anchors', 'visits', 'categories', 'placedBy'] as const;

/** What is otherwise about a known page. */
function fieldsOf(page: Page, read: IncomingPage, since: number): Record<string, unknown> {
  const set: Record<string, unknown> = {};
  if (page.readTitle !== read.title) {
    set.readTitle = read.title;
    if (page.title !== read.title) set.title = read.title;
  }
  if (plain(page.address) !== plain(read.address)) {
    set.address = read.address;
    set.formerAddresses = [
      ...(page.formerAddresses ?? []).filter((one) => one !== read.address),
      page.address,
    ].slice(-50);
  }
  if (page.kind !== read.kind && read.kind !== 'page') set.kind = read.kind;
  for (const name of factNames)
    if (read[name] !== undefined && !isEqual(read[name], page[name] ?? null)) set[name] = read[name];
  const { state = 'live' } = read;
  if (page.state !== state) Object.assign(set, { state, ...(state === 'live' ? { since } : {}) });
  if (read.template !== undefined && read.template !== page.template) set.template = read.template;
  if (page.planned === true) set.planned = null;
  return set;
}

/**
 * Moves known pages whose order among their known siblings is another one now: each behind the one that it
 * follows on the site.
 */
function reorder(
  incoming: readonly IncomingPage[],
  idOf: ReadonlyMap<string, Id>,
  roots: Parameters<typeof parentIn>[2],
  recognised: ReadonlySet<Id>,
  start: SiteDocument['pages'],
  moved: MovePage[],
): void {
  let pages = start;
  const wanted = new Map<Id, Id[]>();
  for (const page of incoming) {
    const parent = parentIn(page, idOf, roots);
    const id = idOf.get(page.key);
    if (id === undefined || pages.nodes.get(id)?.parent !== parent) continue;
    const siblings = wanted.get(parent);
    if (siblings === undefined) wanted.set(parent, [id]);
    else siblings.push(id);
  }
  for (const [parent, ids] of wanted) {
    const known = new Set(ids);
    const present = [...childrenOf(pages, parent)].filter((id) => known.has(id));
    if (isEqual(present, ids)) continue;
    if (!ids.some((id) => recognised.has(id))) continue;
    let after: Id | null = null;
    for (const id of ids) {
      const { after: stands } = spotOf(pages, id);
      if (stands !== after) {
        moved.push({ kind: 'movePage', id, from: spotOf(pages, id), to: { parent, after } });
        pages = withNodeMoved(pages, id, { parent, after });
      }
      after = id;
    }
  }
}

function titleAt(document: SiteDocument, id: Id): string {
  return document.pages.nodes.get(id)?.title ?? document.site.name;
}

function nodeTitle(pages: SiteDocument['pages'], { site }: SiteDocument, id: Id): string {
  return id === site.id ? site.name : nodeAt(pages, id).title;
}
