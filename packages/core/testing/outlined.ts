import { seededRandom } from '../src/base/seededRandom.ts';
import { mintId, type Id } from '../src/base/ids.ts';
import { newDocument, type SiteDocument } from '../src/model/document.ts';
import { withNodesLast } from '../src/model/forest.ts';
import type { Item } from '../src/schema/item.ts';
import type { Page } from '../src/schema/page.ts';
import { withPlaced } from './withPlaced.ts';
import { siteFixture } from './siteFixture.ts';

export interface Outlined {
  readonly document: SiteDocument;
  /** Ids of items by label, of pages by address. */
  readonly ids: ReadonlyMap<string, Id>;
  readonly menu: Id;
}

/**
 * A document with one menu, “Menu”, from an outline set in by two spaces a level. `Label` is a heading,
 * `Label > /path` leads to an address, `= /path` to the page there, with its title; pages are given as an
 * outline of `/path Title`.
 */
export function outlined(items: string, pages = ''): Outlined {
  const random = seededRandom(5);
  const ids = new Map<string, Id>();
  const menu = mintId('menu', random);
  const start = newDocument(siteFixture);
  const pageNodes = tree(pages, siteFixture.id, () => mintId('page', random)).map(
    ({ id, parent, text }): Page => {
      const [address = '', ...title] = text.split(' ');
      ids.set(address, id);
      return {
        id,
        parent,
        key: address,
        kind: 'page',
        title: title.join(' '),
        address,
        state: 'live',
        language: null,
        template: null,
      };
    },
  );
  const itemNodes = tree(items, menu, () => mintId('item', random)).map(({ id, parent, text }): Item => {
    const [label = '', target] = text.startsWith('= ') ? ['', text.slice(2)] : text.split(' > ');
    const page = target === undefined ? undefined : ids.get(target);
    ids.set(label === '' ? `= ${target}` : label, id);
    const destination: Item['destination'] =
      target === undefined
        ? { kind: 'none' }
        : page === undefined
          ? { kind: 'address', address: target }
          : { kind: 'page', page, anchor: null };
    return { id, parent, label: label === '' ? null : label, destination, opensNewTab: false, agreed: null };
  });
  const document: SiteDocument = {
    ...start,
    pages: withNodesLast(start.pages, pageNodes),
    menus: withNodesLast(start.menus, [
      { id: menu, parent: siteFixture.id, key: 'menu', name: 'Menu', language: 'en', description: '' },
    ]),
    items: withNodesLast(start.items, itemNodes),
  };
  return { document: withPlaced(document, menu, 'bar', random), ids, menu };
}

function tree(outline: string, root: Id, mint: () => Id): { id: Id; parent: Id; text: string }[] {
  const open: Id[] = [];
  return outline
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const depth = (line.length - line.trimStart().length) / 2;
      const id = mint();
      open[depth] = id;
      return { id, parent: depth === 0 ? root : (open[depth - 1] ?? root), text: line.trim() };
    });
}
