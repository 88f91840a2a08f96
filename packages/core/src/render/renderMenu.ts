import type { ResolvedItem, ResolvedMenu } from '../resolve/resolveMenu.ts';
import type { Place } from '../schema/placement.ts';
import { escapeHtml } from './escape.ts';
import { entryClass, faceHtml } from './faceHtml.ts';
import { columnsOf, dropClasses, opensAttribute, panelStart } from './panelHtml.ts';

export interface RenderChoices {
  readonly place: Place;
  /** Marks each `li` with its item's id, for the live header to select by. Off in what the site is served. */
  readonly marks?: boolean;
}

/**
 * A menu as HTML: `nav` > `ul` > `li`, with a button beside the link that opens the branch below it (the disclosure pattern for
 * site navigation). Bars open their branches; the other places show theirs unfolded, without buttons. The HTML is the same on
 * every page of the site. Explicit stack: depth cannot overflow. O(items).
 */
export function renderMenu(menu: ResolvedMenu, { place, marks = false }: RenderChoices): string {
  const prefix = `zv-${menu.key}`;
  const form = formOf(place);
  const out = [`<nav class="zv zv-${form}" id="${prefix}" aria-label="${escapeHtml(menu.name)}" lang="${escapeHtml(menu.language)}" dir="${menu.direction}">`];
  const stack: (string | Entry)[] = ['</nav>'];
  const open = (items: readonly ResolvedItem[], id: string | null, below: Omit<Entry, 'item'>): void => {
    out.push(id === null ? '<ul>' : `<ul id="${id}">`);
    stack.push('</ul>');
    pushItems(items, below);
  };
  const pushItems = (items: readonly ResolvedItem[], below: Omit<Entry, 'item'>): void => {
    for (let at = items.length - 1; at >= 0; at -= 1) stack.push({ item: items[at] as ResolvedItem, ...below });
  };
  const openPanel = (item: ResolvedItem, id: string): void => {
    out.push(panelStart(id, item));
    stack.push('</div>');
    const columns = columnsOf(item);
    for (let at = columns.length - 1; at >= 0; at -= 1) {
      const column = columns[at] ?? [];
      if (column.length === 0) continue;
      stack.push('</ul>');
      pushItems(column, { isTop: false, isUnfolded: true });
      // A column without anything in it is no list; the next one says where it stands.
      stack.push(at > 0 && columns[at - 1]?.length === 0 ? `<ul class="zv-at${at + 1}">` : '<ul>');
    }
  };
  if (menu.items.length > 0) open(menu.items, null, { isTop: form === 'bar', isUnfolded: form !== 'bar' });
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (typeof next === 'string') {
      out.push(next);
      continue;
    }
    const { item, isTop, isUnfolded } = next;
    const branch = !isUnfolded && item.children.length > 0 ? `${prefix}-${item.id}` : null;
    const drop = isTop ? dropClasses(item) : '';
    out.push(`<li${marks ? ` data-zv-item="${item.id}"` : ''}${entryClass(item, drop)}${isTop ? opensAttribute(item) : ''}>`, faceHtml(item, branch));
    stack.push('</li>');
    if (item.children.length === 0) continue;
    if (isTop && item.columns !== undefined && branch !== null) openPanel(item, branch);
    else open(item.children, branch, { isTop: false, isUnfolded });
  }
  return out.join('');
}

interface Entry {
  readonly item: ResolvedItem;
  /** It stands in the bar itself. */
  readonly isTop: boolean;
  /** What is below it shows at once, without a button. */
  readonly isUnfolded: boolean;
}

export type MenuForm = 'bar' | 'list';

/** Which form a menu takes in a place: until the frame is composed, bars are bars and all else is a list. */
export function formOf(place: Place): MenuForm {
  return place === 'bar' || place === 'secondBar' ? 'bar' : 'list';
}
