import Papa from 'papaparse';
import {
  childrenOf,
  nodeAt,
  preorder,
  type Id,
  type Page,
  type SiteDocument,
  type Sketch,
} from '@zorvik/core';
import { asTextCell } from '../formulaCells.ts';
import { menuFormats } from '../menus/menuFormats.ts';

/** The ways in which a page tree is written down; all of them are read back. */
export const pageFormats = [
  { key: 'csv', name: 'CSV: a table with all facts', ending: '.csv', type: 'text/csv' },
  { key: 'json', name: 'JSON', ending: '.json', type: 'application/json' },
  { key: 'opml', name: 'OPML', ending: '.opml', type: 'text/x-opml' },
  { key: 'html', name: 'HTML: nested lists', ending: '.html', type: 'text/html' },
] as const;
export type PageFormatKey = (typeof pageFormats)[number]['key'];

/**
 * Writes the page tree. The table has every page and its facts; the nested forms have titles and addresses of
 * what is not gone. O(pages).
 */
export function writePages(document: SiteDocument, key: PageFormatKey): string {
  if (key === 'csv') return tableOf(document);
  const format = menuFormats.find((one) => one.key === key);
  if (format === undefined) throw new Error(`There is no format ${key}.`);
  return format.write({ name: document.site.name, sketches: sketchesOf(document) });
}

const fields = [
  'id',
  'parent',
  'title',
  'address',
  'kind',
  'state',
  'template',
  'categories',
  'date',
  'visits',
] as const;

function tableOf(document: SiteDocument): string {
  const below = (id: Id): Iterable<Id> => childrenOf(document.pages, id);
  const data = [...preorder<Id>(below(document.site.id), below)].map(({ node }) => {
    const page = nodeAt(document.pages, node);
    const { id, title, address, kind, state, template, categories = [], date = '', visits } = page;
    return [
      id,
      page.parent === document.site.id ? '' : page.parent,
      title,
      address,
      kind,
      state,
      template ?? '',
      categories.join('; '),
      date,
      String(visits ?? ''),
    ].map(asTextCell);
  });
  return `${Papa.unparse({ fields: [...fields], data }, { newline: '\r\n' })}\r\n`;
}

function sketchesOf(document: SiteDocument): Sketch[] {
  type Grown = Omit<Sketch, 'children'> & { readonly children: Grown[] };
  const isThere = ({ state }: Page): boolean => state !== 'gone';
  const below = (id: Id): Id[] =>
    [...childrenOf(document.pages, id)].filter((one) => isThere(nodeAt(document.pages, one)));
  const made = new Map<Id, Grown>();
  const top: Grown[] = [];
  for (const { node } of preorder<Id>(below(document.site.id), below)) {
    const { title, address, parent } = nodeAt(document.pages, node);
    const sketch: Grown = { label: title, target: { kind: 'address', address }, children: [] };
    made.set(node, sketch);
    (made.get(parent)?.children ?? top).push(sketch);
  }
  return top;
}
