import Papa from 'papaparse';
import {
  isPagePath,
  no,
  ok,
  plainLine,
  plainPath,
  refusal,
  type IncomingPage,
  type PageKind,
  type PageState,
  type Result,
  type Sketch,
} from '@zorvik/core';
import { plainCell } from '../formulaCells.ts';
import { titleFromSlug } from '../titleFromSlug.ts';

/** What a column may hold. */
export const pageColumns = [
  'title',
  'address',
  'id',
  'parent',
  'path',
  'kind',
  'state',
  'template',
  'categories',
  'date',
  'visits',
  'order',
] as const;
export type PageColumn = (typeof pageColumns)[number];

/** A table of pages before anybody said what its columns hold. */
export interface PageTable {
  readonly headers: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What each column seems to hold by its name; null: nothing of ours. */
  readonly guesses: readonly (PageColumn | null)[];
}

export interface RowProblem {
  /** From 1, the line of column names being the first. */
  readonly line: number;
  readonly reason: string;
}

export interface PagesFromFile {
  /** Parents before their children. */
  readonly pages: readonly IncomingPage[];
  readonly problems: readonly RowProblem[];
}

export const MOST_ROWS = 100_000;

/**
 * Bytes of a table as text: UTF-8 or, where they are not that, Windows-1252, which spreadsheets still write.
 */
export function tableText(
  bytes: Uint8Array,
  decode: (bytes: Uint8Array, type: string | null) => string,
): string {
  return decode(bytes, null).replace(/^\uFEFF/, '');
}

const names: Readonly<Record<string, PageColumn>> = {
  title: 'title',
  name: 'title',
  label: 'title',
  address: 'address',
  url: 'address',
  link: 'address',
  slug: 'address',
  loc: 'address',
  id: 'id',
  key: 'id',
  parent: 'parent',
  parent_id: 'parent',
  path: 'path',
  breadcrumb: 'path',
  kind: 'kind',
  type: 'kind',
  state: 'state',
  status: 'state',
  template: 'template',
  layout: 'template',
  categories: 'categories',
  category: 'categories',
  tags: 'categories',
  date: 'date',
  published: 'date',
  modified: 'date',
  visits: 'visits',
  views: 'visits',
  pageviews: 'visits',
  order: 'order',
  position: 'order',
  sort: 'order',
};

/** Reads a table (RFC 4180; semicolons and tabs are told by their look) with a line of column names. */
export function readPageTable(text: string): Result<PageTable> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''));
  const fault = errors.find(({ type }) => type === 'Quotes');
  if (fault !== undefined)
    return no(refusal('badPageFile', { problem: `row ${(fault.row ?? 0) + 1}: ${fault.message}` }));
  const [headers, ...rows] = data;
  if (headers === undefined || rows.every(isBlank))
    return no(refusal('badPageFile', { problem: 'it has no rows below the column names' }));
  if (rows.length > MOST_ROWS)
    return no(refusal('tooMany', { count: rows.length, what: 'rows', most: MOST_ROWS }));
  const taken = new Set<PageColumn>();
  const guesses = headers.map((header) => {
    const guess =
      names[
        header
          .trim()
          .toLowerCase()
          .replaceAll(/[\s-]+/g, '_')
      ] ?? null;
    if (guess === null || taken.has(guess)) return null;
    taken.add(guess);
    return guess;
  });
  return ok({ headers: headers.map((header) => plainLine(header)), rows, guesses });
}

function isBlank(cells: readonly string[]): boolean {
  return cells.every((cell) => cell.trim() === '');
}

interface Row {
  readonly line: number;
  readonly key: string;
  readonly page: Omit<IncomingPage, 'above'>;
  /** What its parent is named by; empty: the top. */
  readonly parent: string;
  readonly order: number;
}

/**
 * The pages of a table, once it is said what each column holds. A row that is no page is told with its line
 * and left out; a parent that is not there, and one that would close a circle, are told and the page stands
 * at the top. Parents may come later. O(rows * depth).
 */
export function pagesFromTable({ rows }: PageTable, columns: readonly (PageColumn | null)[]): PagesFromFile {
  const problems: RowProblem[] = [];
  const at = new Map(columns.flatMap((column, index) => (column === null ? [] : [[column, index] as const])));
  const found = new Map<string, Row>();
  const named = new Map<string, string>();
  rows.forEach((cells, index) => {
    // Empty lines count, so that the numbers are those of the file.
    if (isBlank(cells)) return;
    const line = index + 2;
    const row = rowOf(
      (column) => plainCell(plainLine(cells[at.get(column) ?? -1] ?? '')),
      line,
      (reason) => problems.push({ line, reason }),
    );
    if (row === null) return;
    if (found.has(row.page.address))
      return void problems.push({
        line,
        reason: `the address ${row.page.address} is already used in line ${found.get(row.page.address)?.line ?? 0}`,
      });
    found.set(row.page.address, row);
    // A parent is named by id, address, title or path: the first row that is called so is meant.
    for (const name of [row.key, row.page.address, row.page.title])
      if (name !== '' && !named.has(name)) named.set(name, row.page.address);
  });
  const parentOf = new Map<string, string | null>();
  for (const { line, parent, page } of found.values()) {
    // A parent that is written as a path may be on the site already, though not in the table.
    const onSite = parent.startsWith('/') ? pathOf(parent) : null;
    const above =
      parent === ''
        ? null
        : (named.get(parent) ?? named.get(pathOf(parent) ?? parent) ?? onSite ?? undefined);
    if (above === undefined)
      problems.push({
        line,
        reason: `its parent “${parent}” is not in the table, so it is on the top level`,
      });
    const isCircle = above != null && closesCircle(page.address, above, parentOf);
    if (isCircle)
      problems.push({ line, reason: `its parent “${parent}” is below it, so it is on the top level` });
    parentOf.set(page.address, above === undefined || isCircle ? null : above);
  }
  return { pages: inOrder(found, parentOf), problems };
}

function rowOf(
  cell: (column: PageColumn) => string,
  line: number,
  tell: (reason: string) => void,
): Row | null {
  const path = cell('path')
    .split(/\s*[>›»/]\s*/)
    .filter((part) => part !== '');
  const title = cell('title') || (path.at(-1) ?? '');
  const given = pathOf(cell('address'));
  if (cell('address') !== '' && given === null) {
    tell(`“${cell('address')}” is not a valid page address`);
    return null;
  }
  if (title === '' && given === null) {
    tell('it has neither a title nor an address');
    return null;
  }
  const address = given ?? `/${slug(path.length > 1 ? path.join('/') : title)}`;
  const date = /^\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])/.exec(cell('date'))?.[0];
  if (cell('date') !== '' && date === undefined)
    tell(`“${cell('date')}” is not a date such as 2026-11-23; it is skipped`);
  const visits = /^\d+$/.test(cell('visits').replaceAll(/[\s,.']/g, ''))
    ? Number(cell('visits').replaceAll(/[\s,.']/g, ''))
    : undefined;
  if (cell('visits') !== '' && visits === undefined)
    tell(`“${cell('visits')}” is not a number of visits; it is skipped`);
  const categories = [
    ...new Set(
      cell('categories')
        .split(/\s*[;|]\s*/)
        .filter((one) => one !== ''),
    ),
  ].slice(0, 50);
  const template = cell('template');
  const state = states[cell('state').toLowerCase()];
  if (cell('state') !== '' && state === undefined)
    tell(`“${cell('state')}” is not a state (live, draft or gone), so the page is live`);
  const page = {
    key: address,
    address,
    title: (title === '' ? (titleFromSlug(address.split('/').at(-1) ?? '') ?? address) : title).slice(0, 200),
    kind: kindOf(cell('kind')),
    ...(date === undefined ? {} : { date }),
    ...(visits === undefined || !Number.isSafeInteger(visits) ? {} : { visits }),
    ...(categories.length === 0 ? {} : { categories: categories.map((one) => one.slice(0, 200)) }),
    ...(state === undefined || state === 'live' ? {} : { state }),
    ...(template === '' ? {} : { template: template.slice(0, 80) }),
  };
  const parent = cell('parent') || (path.length > 1 ? (path.at(-2) ?? '') : '');
  return {
    line,
    key: cell('id'),
    page,
    parent,
    order: cell('order') === '' ? line : Number(cell('order')) || line,
  };
}

/** A page's path and query, of a path or a whole address; null: it is none. */
function pathOf(address: string): string | null {
  if (address === '') return null;
  if (/^https?:\/\//i.test(address)) {
    if (!URL.canParse(address)) return null;
    const url = new URL(address);
    return plainPath(url.pathname) + url.search;
  }
  const path = address.startsWith('/') ? address : `/${address}`;
  return isPagePath(path) && path.length <= 2048 ? path : null;
}

function slug(text: string): string {
  return text
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9/]+/g, '-')
    .replaceAll(/^-+|-+$/g, '');
}

const kinds: Readonly<Record<string, PageKind>> = {
  page: 'page',
  category: 'category',
  section: 'category',
  article: 'article',
  post: 'article',
  product: 'product',
  event: 'event',
};
const states: Readonly<Record<string, PageState>> = {
  live: 'live',
  published: 'live',
  public: 'live',
  draft: 'draft',
  unpublished: 'draft',
  gone: 'gone',
  retired: 'gone',
  deleted: 'gone',
};
function kindOf(text: string): PageKind {
  return kinds[text.toLowerCase()] ?? 'page';
}

function closesCircle(address: string, above: string, parentOf: ReadonlyMap<string, string | null>): boolean {
  for (let at: string | null = above; at !== null; at = parentOf.get(at) ?? null)
    if (at === address) return true;
  return false;
}

function inOrder(
  found: ReadonlyMap<string, Row>,
  parentOf: ReadonlyMap<string, string | null>,
): IncomingPage[] {
  const childrenOf = new Map<string | null, Row[]>();
  for (const row of found.values()) {
    const above = parentOf.get(row.page.address) ?? null;
    // What stands below a page that is not here begins a tree of its own.
    const parent = above !== null && found.has(above) ? above : null;
    const siblings = childrenOf.get(parent);
    if (siblings === undefined) childrenOf.set(parent, [row]);
    else siblings.push(row);
  }
  for (const siblings of childrenOf.values()) siblings.sort((a, b) => a.order - b.order);
  const pages: IncomingPage[] = [];
  const stack = [...(childrenOf.get(null) ?? [])].reverse();
  for (let row = stack.pop(); row !== undefined; row = stack.pop()) {
    const above = parentOf.get(row.page.address) ?? null;
    pages.push({ ...row.page, above: above === null ? [] : [above] });
    stack.push(...[...(childrenOf.get(row.page.address) ?? [])].reverse());
  }
  return pages;
}

/**
 * Pages of nested entries, as OPML, HTML lists and JSON have them: each entry that leads to a path of the
 * site, under the nearest one above.
 */
export function pagesFromSketches(sketches: readonly Sketch[], origin: string): PagesFromFile {
  const pages = new Map<string, IncomingPage>();
  const problems: RowProblem[] = [];
  const stack = [...sketches].reverse().map((sketch) => ({ sketch, above: null as string | null }));
  let line = 0;
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { sketch, above } = next;
    line += 1;
    const typed = sketch.target.kind === 'address' ? sketch.target.address : '';
    const isElsewhere = /^[a-z]+:/i.test(typed) && (origin === '' || !typed.startsWith(`${origin}/`));
    const address = isElsewhere ? null : pathOf(typed.split('#')[0] ?? '');
    if (address === null)
      problems.push({ line, reason: `“${sketch.label}” does not link to a page of the site` });
    else if (!pages.has(address)) {
      pages.set(address, {
        key: address,
        address,
        title: sketch.label.slice(0, 200) || address,
        kind: 'page',
        above: above === null ? [] : [above],
      });
    }
    for (const child of [...sketch.children].reverse())
      stack.push({ sketch: child, above: address ?? above });
  }
  return { pages: [...pages.values()], problems };
}
