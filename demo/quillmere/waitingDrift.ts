import {
  childrenOf,
  nodeAt,
  withNodeChanged,
  withNodesLast,
  type AgreedFacts,
  type Id,
  type Item,
  type Page,
  type SiteDocument,
} from '@zorvik/core';

/**
 * Quillmere as its editors find it on a Monday: the site went on while nobody looked at the menus. What the
 * menus remember is older than what the pages say, so that there is drift to mend from the first start.
 */
export function withWaitingDrift(
  document: SiteDocument,
  pageAt: (path: string) => Id,
  mint: (kind: 'page' | 'item') => Id,
): SiteDocument {
  let { pages, items } = document;
  const change = (path: string, set: Partial<Page>): void =>
    void (pages = withNodeChanged(pages, { ...nodeAt(pages, pageAt(path)), ...set }));
  const remember = (
    menu: string,
    path: string,
    agreed: Partial<AgreedFacts>,
    set: Partial<Item> = {},
  ): void => {
    for (const item of itemsIn(document, menu)) {
      const { destination } = item;
      if (destination.kind !== 'page' || destination.page !== pageAt(path) || item.agreed === null) continue;
      items = withNodeChanged(items, { ...item, ...set, agreed: { ...item.agreed, ...agreed } });
    }
  };
  // A house was opened, and is shown in no menu yet.
  change('/garden/glasshouses/succulent-house', { since: 1 });
  // A section took a shorter address; the old one is answered with the new.
  change('/visit/getting-here', { formerAddresses: ['/visit/travel'] });
  remember('main', '/visit/getting-here', { address: '/visit/travel' });
  // A page was renamed, and the menu still has its old title as a label.
  remember('main', '/research/herbarium', { title: 'Dried plants' }, { label: 'Dried plants' });
  // One was taken off the site for good.
  const lost: Page = {
    id: mint('page'),
    parent: pageAt('/membership'),
    key: '/membership/lottery',
    kind: 'page',
    title: 'Garden lottery',
    address: '/membership/lottery',
    state: 'gone',
    language: null,
    template: 'membership',
  };
  pages = withNodesLast(pages, [lost]);
  const drawer = menuAt(document, 'phone');
  const facts: AgreedFacts = {
    title: lost.title,
    address: lost.address,
    parent: lost.parent,
    after: null,
    kind: 'page',
  };
  const item: Item = {
    id: mint('item'),
    parent: drawer,
    label: null,
    destination: { kind: 'page', page: lost.id, anchor: null },
    opensNewTab: false,
    agreed: facts,
  };
  items = withNodesLast(items, [item]);
  return { ...document, pages, items };
}

function menuAt({ menus }: SiteDocument, key: string): Id {
  for (const menu of menus.nodes.values()) if (menu.key === key) return menu.id;
  throw new Error(`Quillmere has no menu ${key}.`);
}

function itemsIn(document: SiteDocument, key: string): Item[] {
  const found: Item[] = [];
  const stack = [menuAt(document, key)];
  for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
    for (const id of childrenOf(document.items, at)) {
      found.push(nodeAt(document.items, id));
      stack.push(id);
    }
  }
  return found;
}
