import type { ResolvedItem } from './resolved.ts';

/** What ids of entries begin with that are written again in “More”. */
export const AGAIN = 'more-';
/** The id of the entry that opens them. */
export const MORE = 'more';

/**
 * The entry that opens what does not fit into a bar: all entries but the first once more, as links with the level below
 * them. Each is shown there only where it is not shown in the bar.
 */
export function moreEntry(items: readonly ResolvedItem[], label: string): ResolvedItem {
  return {
    id: MORE,
    label,
    href: null,
    opensNewTab: false,
    cssClass: 'zv-more',
    children: items.slice(1).map((item) =>
      again(
        item,
        item.children.map((child) => again(child, [])),
      ),
    ),
  };
}

/** An entry as it is in a list: without its panel, and without what only a bar has. */
function again(item: ResolvedItem, children: readonly ResolvedItem[]): ResolvedItem {
  const {
    look: _,
    dropdown: __,
    rows: ___,
    columns: ____,
    arrowHidden: _____,
    activation: ______,
    ...plain
  } = item;
  return { ...plain, id: `${AGAIN}${item.id}`, children };
}
