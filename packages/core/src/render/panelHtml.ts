import type { ResolvedItem } from '../resolve/resolved.ts';
import type { Dropdown } from '../schema/dropdown.ts';
import type { Piece } from '../parts/partHandler.ts';
import { rowsHtml, type PanelAround } from './partHtml.ts';

/** Whether an entry of a bar drops as a panel. */
export function hasPanel({ columns, rows }: ResolvedItem): boolean {
  return columns !== undefined || rows !== undefined;
}

/**
 * Whether the content of its panel is fetched: only where the item itself leads somewhere, which is what is
 * left without a script.
 */
export function isFetched({ dropdown, href }: ResolvedItem): boolean {
  return dropdown?.panel?.isFetched === true && href !== null;
}

/**
 * What the entry of a bar needs to drop in its form: classes, and what the script reads; for its `li`, each
 * with a space before it.
 */
export function dropClasses(item: ResolvedItem): string {
  const { dropdown, children } = item;
  if (dropdown === undefined) return '';
  const { form, list = {}, panel = {} } = dropdown;
  if (form === 'panel') {
    if (!hasPanel(item)) return '';
    const { gap, innerWidth, narrow, medium } = panel;
    return ` zv-drops-panel${gap === undefined ? '' : ` zv-gap-${gap}`}${innerWidth === undefined ? '' : ` zv-inner-width-${innerWidth}`}${narrow === undefined ? '' : ` zv-narrow-${narrow}`}${medium === undefined ? '' : ` zv-medium-${medium}`}`;
  }
  if (children.length === 0) return '';
  if (form === 'flyouts') return ' zv-drops-flyouts';
  if (form === 'row') return ' zv-drops-row';
  const { width, align, columns } = list;
  return `${width === undefined ? '' : ` zv-width-${width}`}${align === undefined ? '' : ` zv-align-${align}`}${columns === undefined ? '' : ` zv-list-columns-${columns}`}`;
}

/** When the entry opens, where that is not the usual way. `inPlace`: what its place says of all entries. */
export function opensAttribute({ dropdown }: ResolvedItem, inPlace?: Dropdown['opens']): string {
  const opens = inPlace ?? dropdown?.opens;
  return opens === undefined || opens === 'rest' ? '' : ` data-zv-opens="${opens}"`;
}

/**
 * The beginning of a panel: the script reads how far it reaches, what it is in line with, how far it is put
 * on, and where its content is if that is not in it.
 */
export function panelStart(
  id: string,
  { dropdown, columns, rows }: ResolvedItem,
  source: string | null,
): string {
  const { extent = 'bar', align = 'item', offset = 0 } = dropdown?.panel ?? {};
  const form = rows === undefined ? `zv-columns-${columns?.length ?? 1}` : 'zv-rows';
  const later = source === null ? '' : ` data-zv-from="${source}"`;
  return `<div class="zv-panel ${form}" id="${id}" data-zv-panel="${extent} ${align}${offset === 0 ? '' : ` ${offset}`}"${later}>`;
}

/** What stands in the panel of an item: its rows, or a list for each of its columns. */
export function panelPieces(
  item: ResolvedItem,
  { id, ...around }: Omit<PanelAround, 'prefix' | 'children'> & { readonly id: string },
): Piece[] {
  const { rows, columns = [], children } = item;
  if (rows === undefined) {
    const lists = columnsOf(columns, children);
    // A column without anything in it is no list; the next one says where it stands.
    return lists.flatMap((list, at) =>
      list.length === 0
        ? []
        : [lists[at - 1]?.length === 0 ? { list, className: `zv-at-column-${at + 1}` } : { list }],
    );
  }
  const pieces = rowsHtml(rows, {
    ...around,
    prefix: id,
    children: new Map(children.map((child) => [child.id, child])),
  });
  const { narrow, medium } = item.dropdown?.panel ?? {};
  const isListed = (narrow === 'list' || medium === 'list') && children.length > 0;
  return isListed ? [...pieces, { list: children, className: 'zv-all-items' }] : pieces;
}

/**
 * The rows of a composed panel where nothing drops, such as a side menu or a drawer; null where it shows as a
 * list, or not at all.
 */
export function stackedRows(
  item: ResolvedItem,
  context: Omit<PanelAround, 'prefix' | 'children'> & { readonly id: string },
  /** The id of the branch that a button opens, and what it begins with; null: it is always open. */
  branch: { readonly id: string; readonly start: string } | null = null,
): Piece[] | null {
  const { rows, dropdown } = item;
  const narrow = dropdown?.panel?.narrow ?? 'stacked';
  if (rows === undefined || narrow === 'list') return null;
  if (narrow === 'item') return [];
  const shown = rows.filter(({ only }) => (narrow === 'own' ? only === 'narrow' : only === undefined));
  return [
    branch === null
      ? '<div class="zv-rows zv-stacked">'
      : `<div class="zv-rows zv-stacked" id="${branch.id}">${branch.start}`,
    ...panelPieces({ ...item, rows: shown.map(({ only: _, ...row }) => row) }, context),
    '</div>',
  ];
}

/** The children of a panel, a list for each of its columns. */
function columnsOf(
  columns: readonly number[],
  children: readonly ResolvedItem[],
): readonly (readonly ResolvedItem[])[] {
  let from = 0;
  return columns.map((size) => {
    from += size;
    return children.slice(from - size, from);
  });
}
