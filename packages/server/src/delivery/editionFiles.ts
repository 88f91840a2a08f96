import {
  childrenOf,
  filesShown,
  formOf,
  isFetched,
  navigationScript,
  placementOf,
  renderMenu,
  renderPanel,
  renderStyles,
  resolveMenu,
  withFollowed,
  type ResolvedItem,
  type ResolvedMenu,
  type SiteDocument,
} from '@zorvik/core';
import type { EditionFile } from '../repositories/editions.ts';

export interface EditionContent {
  readonly files: readonly EditionFile[];
  /** The hashes of the uploaded files that they show. */
  readonly uploads: readonly string[];
  /** How many items visitors get, over all menus. */
  readonly items: number;
}

/**
 * All that a site is served of its working copy: each menu as data and as HTML, the style sheet, the script.
 * A menu that stands in no place is rendered as a list. `pictures` is what the names of picture files are put
 * behind.
 */
export function contentOf(stored: SiteDocument, pictures: string): EditionContent {
  const { compare } = new Intl.Collator(stored.site.language, { numeric: true });
  const document = withFollowed(stored, compare);
  const menus = [...childrenOf(document.menus, document.site.id)].map((id) => ({
    menu: resolveMenu(document, id, { compareTitles: compare }),
    place: placementOf(document, id)?.place ?? 'inPage',
  }));
  const css = renderStyles(
    document.site,
    menus.map(({ menu }) => menu),
  );
  const files: EditionFile[] = [
    { path: 'navigation.css', type: 'text/css; charset=utf-8', body: css },
    { path: 'navigation.js', type: 'text/javascript; charset=utf-8', body: navigationScript },
  ];
  let items = 0;
  for (const { menu, place } of menus) {
    const { key } = menu;
    files.push({ path: `menus/${key}`, type: 'application/json; charset=utf-8', body: JSON.stringify(menu) });
    files.push({
      path: `menus/${key}.html`,
      type: 'text/html; charset=utf-8',
      body: renderMenu(menu, { place, pictures, fetches: true }),
    });
    for (const item of formOf(place) === 'bar' ? menu.items.filter(isFetched) : []) {
      files.push({
        path: `panels/${key}/${item.id}.html`,
        type: 'text/html; charset=utf-8',
        body: renderPanel(menu, item, { place, pictures }),
      });
    }
    items += countOf(menu);
  }
  const uploads = new Set(menus.flatMap(({ menu }) => [...filesShown(menu)]));
  return { files, uploads: [...uploads], items };
}

function countOf({ items }: ResolvedMenu): number {
  let count = 0;
  const stack: ResolvedItem[] = [...items];
  for (let item = stack.pop(); item !== undefined; item = stack.pop()) {
    count += 1;
    for (const child of item.children) stack.push(child);
  }
  return count;
}
