import type { ResolvedItem, ResolvedMenu } from '../resolve/resolveMenu.ts';
import type { Place } from '../schema/placement.ts';
import { escapeHtml } from './escape.ts';
import { entryClass, faceHtml } from './faceHtml.ts';

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
  const stack: (string | ResolvedItem)[] = ['</nav>'];
  const open = (items: readonly ResolvedItem[], id: string | null): void => {
    out.push(id === null ? '<ul>' : `<ul id="${id}">`);
    stack.push('</ul>');
    for (let at = items.length - 1; at >= 0; at -= 1) stack.push(items[at] as ResolvedItem);
  };
  if (menu.items.length > 0) open(menu.items, null);
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (typeof next === 'string') {
      out.push(next);
      continue;
    }
    const branch = form === 'bar' && next.children.length > 0 ? `${prefix}-${next.id}` : null;
    out.push(`<li${marks ? ` data-zv-item="${next.id}"` : ''}${entryClass(next)}>`, faceHtml(next, branch));
    stack.push('</li>');
    if (next.children.length > 0) open(next.children, branch);
  }
  return out.join('');
}

export type MenuForm = 'bar' | 'list';

/** Which form a menu takes in a place: until the frame is composed, bars are bars and all else is a list. */
export function formOf(place: Place): MenuForm {
  return place === 'bar' || place === 'secondBar' ? 'bar' : 'list';
}
