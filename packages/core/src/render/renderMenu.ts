import { AGAIN, MORE, moreEntry } from '../resolve/moreEntry.ts';
import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import type { Dropdown } from '../schema/dropdown.ts';
import type { Place } from '../schema/placement.ts';
import { escapeHtml } from '../base/escape.ts';
import { entryClass, faceHtml } from './faceHtml.ts';
import {
  dropClasses,
  hasPanel,
  isFetched,
  opensAttribute,
  panelPieces,
  panelStart,
  stackedRows,
} from './panelHtml.ts';
import { foldClasses, type Fold } from './fold.ts';
import { styledClass } from './styledClass.ts';
import type { Piece } from '../parts/partHandler.ts';

/** How a menu is written as HTML. */
export interface RenderChoices {
  readonly place: Place;
  /**
   * Marks each `li` with its item's id, and each part of a panel with its own, for the live header to select
   * by. Off in what the site is served.
   */
  readonly marks?: boolean;
  /** What the names of picture files are put behind: where they are served. */
  readonly pictures?: string;
  /**
   * What all ids, and the names of radio buttons, begin with: one for each time that a menu is placed, so that
   * it may stand twice on a page. Not there: made of the menu's key.
   */
  readonly prefix?: string;
  /**
   * Where panels are fetched from when they are opened first, such as `panels/main`; those that are to be
   * fetched are left out then, and `renderPanel` gives their content. Not there: all are in the HTML.
   */
  readonly panels?: string;
  /** What “More” is called in a bar that folds what does not fit; not there: it does not fold. */
  readonly more?: string;
  /** From this entry of a bar on, they stand at the far end. */
  readonly pushed?: string;
  /** What opens the branches of a bar; not there: what each entry says. */
  readonly opens?: Dropdown['opens'];
  /** How a list folds; not there: all its branches are open. */
  readonly fold?: Fold | undefined;
  /** What has looks of its own, and a class for them (`styledIn`). */
  readonly styled?: ReadonlySet<string>;
  /** What the row that leads back is called besides the name of the entry; for lists that step in. */
  readonly back?: string;
}

/**
 * A menu as HTML: `nav` > `ul` > `li`, with a button beside the link that opens the branch below it (the
 * disclosure pattern for site navigation). Bars open their branches; the other places show theirs unfolded,
 * without buttons. The HTML is the same on every page of the site. Explicit stack: depth cannot overflow.
 * O(items).
 */
export function renderMenu(menu: ResolvedMenu, choices: RenderChoices): string {
  const prefix = prefixOf(menu, choices);
  const form = formOf(choices.place);
  const { fold } = choices;
  const isFolding = form === 'list' && fold !== undefined;
  const start = `<nav class="zv zv-${form}${isFolding ? foldClasses(fold) : ''}${styledClass(menu.key, choices.styled)}" id="${prefix}" aria-label="${escapeHtml(menu.name)}" lang="${escapeHtml(menu.language)}" dir="${menu.direction}">`;
  const { more } = choices;
  const items = more === undefined ? menu.items : [...menu.items, moreEntry(menu.items, more)];
  const top: Piece[] = items.length > 0 ? [{ list: items }] : [];
  return (
    start +
    joined(top, {
      ...choices,
      prefix,
      isTop: form === 'bar',
      isUnfolded: form !== 'bar' && !isFolding,
      // A bar may have been told how it folds for another shape of the header.
      fold: isFolding ? fold : undefined,
    }) +
    '</nav>'
  );
}

/** What stands in the panel of an item: the fragment that is fetched when it is opened first. */
export function renderPanel(menu: ResolvedMenu, item: ResolvedItem, choices: RenderChoices): string {
  const prefix = prefixOf(menu, choices);
  const context = { ...choices, prefix, isTop: false, isUnfolded: true };
  return joined(
    panelPieces(item, {
      id: `${prefix}-${item.id}`,
      marks: choices.marks === true,
      pictures: choices.pictures ?? '',
      ...(choices.styled === undefined ? {} : { styled: choices.styled }),
    }),
    context,
  );
}

/** Lists of links that stand beside other HTML, outside of any menu. */
export function writeLists(pieces: readonly Piece[], marks: boolean): string {
  return joined(pieces, { place: 'inPage', marks, prefix: '', isTop: false, isUnfolded: true });
}

function prefixOf({ key }: ResolvedMenu, { prefix = `zv-${key}` }: RenderChoices): string {
  return prefix;
}

interface Writing extends RenderChoices {
  readonly prefix: string;
  /** What is written stands in the bar itself. */
  readonly isTop: boolean;
  /** What is below shows at once, without a button. */
  readonly isUnfolded: boolean;
}

interface Entry {
  readonly item: ResolvedItem;
  readonly isTop: boolean;
  readonly isUnfolded: boolean;
}

/** Pieces, and all below the items in them, as HTML. */
function joined(
  pieces: readonly Piece[],
  { place, prefix, isTop, isUnfolded, marks = false, pictures = '', panels, pushed, opens, ...rest }: Writing,
): string {
  const { fold, back = '', styled } = rest;
  const around = { marks, pictures, ...(styled === undefined ? {} : { styled }) };
  let html = '';
  const stack: (string | Entry)[] = [];
  const push = (some: readonly Piece[], below: Omit<Entry, 'item'>): void => {
    for (const piece of some.toReversed()) {
      if (typeof piece === 'string') stack.push(piece);
      else
        pushList(
          piece.list,
          piece.className === undefined ? '<ul>' : `<ul class="${piece.className}">`,
          below,
        );
    }
  };
  const pushList = (items: readonly ResolvedItem[], start: string, below: Omit<Entry, 'item'>): void => {
    stack.push('</ul>');
    for (let at = items.length - 1; at >= 0; at -= 1)
      stack.push({ item: items[at] as ResolvedItem, ...below });
    stack.push(start);
  };
  push(pieces, { isTop, isUnfolded });
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    if (typeof next === 'string') {
      html += next;
      continue;
    }
    const { item } = next;
    const drops = next.isTop && hasPanel(item);
    const stacked =
      item.rows !== undefined && (place === 'side' || place === 'drawer')
        ? stackedRows(
            item,
            { id: `${prefix}-${item.id}`, ...around },
            next.isUnfolded
              ? null
              : { id: `${prefix}-${item.id}`, start: inList(foldStart(item, fold, back)) },
          )
        : null;
    const hasBranch = drops || (stacked === null ? item.children.length > 0 : stacked.length > 0);
    const branch = !next.isUnfolded && hasBranch ? `${prefix}-${item.id}` : null;
    const marked = markedId(item);
    const mark = marks && marked !== null ? ` data-zv-item="${marked}"` : '';
    const own = styledClass(item.id, styled);
    const entry = next.isTop
      ? `<li${mark}${entryClass(item, dropClasses(item) + (item.id === pushed ? ' zv-pushed' : '') + own)}${opensAttribute(item, opens)}>`
      : `<li${mark}${entryClass(item, own)}>`;
    html +=
      entry +
      faceHtml(
        item,
        branch,
        fold === undefined ? null : { rowOpens: fold.rowOpens, isOpen: fold.first === 'all' },
      );
    stack.push('</li>');
    if (drops && branch !== null) {
      stack.push('</div>');
      const address = panels !== undefined && isFetched(item) ? `${panels}/${item.id}.html` : null;
      if (address === null)
        push(panelPieces(item, { id: branch, ...around }), { isTop: false, isUnfolded: true });
      html += panelStart(branch, item, address);
      continue;
    }
    if (stacked !== null) push(stacked, { isTop: false, isUnfolded: true });
    else if (item.children.length > 0)
      pushList(
        item.children,
        branch === null ? '<ul>' : `<ul id="${branch}">${foldStart(item, fold, back)}`,
        {
          isTop: false,
          isUnfolded: next.isUnfolded,
        },
      );
  }
  return html;
}

/** The id that an entry is selected by; null: it stands for no item. What is written again is the same item. */
function markedId({ id }: ResolvedItem): string | null {
  if (id === MORE) return null;
  return id.startsWith(AGAIN) ? id.slice(AGAIN.length) : id;
}

/**
 * What a branch of a list that folds begins with: where it steps in, the row that leads back; where the whole row
 * opens it, the link that the row would have been.
 */
function foldStart(item: ResolvedItem, fold: Fold | undefined, back: string): string {
  if (fold === undefined) return '';
  const row =
    fold.pattern === 'stepIn'
      ? `<li class="zv-back"><button type="button"><i class="zv-visually-hidden">${escapeHtml(back)}: </i>${escapeHtml(item.label)}</button></li>`
      : '';
  if (!fold.rowOpens || item.href === null) return row;
  const { badge: _, description: __, icon: ___, labelHidden: ____, ...plain } = item;
  return `${row}<li class="zv-self">${faceHtml(plain, null)}</li>`;
}

/** Entries as a list of their own, where a branch is no list. */
function inList(entries: string): string {
  return entries === '' ? '' : `<ul>${entries}</ul>`;
}

/** The forms in which a menu is delivered. */
export type MenuForm = 'bar' | 'list';

/** Which form a menu takes in a place: bars are bars, and all else is a list. */
export function formOf(place: Place): MenuForm {
  return place === 'bar' || place === 'secondBar' ? 'bar' : 'list';
}
