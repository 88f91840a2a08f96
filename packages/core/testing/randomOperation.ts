import { mintId, type Id, type RandomBits } from '../src/base/ids.ts';
import { branchOf } from '../src/model/branchOf.ts';
import { diffPages } from '../src/diff/diffPages.ts';
import type { ForestName, SiteDocument } from '../src/model/document.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../src/model/forest.ts';
import type { Operation } from '../src/ops/registry.ts';
import { below, pick } from './pick.ts';

/**
 * Any operation on the document, many of which have to be refused (moves into their own branch, removals of what is used). Null
 * when there is nothing to do such a thing to.
 */
export function randomOperation(random: RandomBits, document: SiteDocument): Operation | null {
  const make = pick(random, makers);
  return make === undefined ? null : make(random, document);
}

type Maker = (random: RandomBits, document: SiteDocument) => Operation | null;

const makers: readonly Maker[] = [
  (random, document) => move(random, document, 'items', 'moveItem'),
  (random, document) => move(random, document, 'pages', 'movePage'),
  (random, document) => move(random, document, 'menus', 'moveMenu'),
  (random, document) => move(random, document, 'placements', 'movePlacement'),
  (random, document) => {
    const id = anyId(random, document, 'items');
    if (id === null) return null;
    const { label, opensNewTab } = nodeAt(document.items, id);
    return below(random, 2) === 0
      ? { kind: 'updateItem', id, set: { label: `Renamed ${below(random, 9)}` }, was: { label } }
      : { kind: 'updateItem', id, set: { opensNewTab: !opensNewTab }, was: { opensNewTab } };
  },
  (random, document) => {
    const id = anyId(random, document, 'pages');
    if (id === null) return null;
    const { title, state } = nodeAt(document.pages, id);
    return { kind: 'updatePage', id, set: { title: `Page ${below(random, 9)}`, state: 'gone' }, was: { title, state } };
  },
  (random, document) => {
    const id = anyId(random, document, 'menus');
    return id === null ? null : { kind: 'updateMenu', id, set: { key: `menu-${below(random, 4)}` }, was: { key: nodeAt(document.menus, id).key } };
  },
  (random, document) => {
    const id = anyId(random, document, 'placements');
    return id === null ? null : { kind: 'updatePlacement', id, set: { place: 'side' }, was: { place: nodeAt(document.placements, id).place } };
  },
  (random, document) => {
    const spot = anySpot(random, document, 'items');
    const page = anyId(random, document, 'pages');
    if (spot === null) return null;
    const top = { id: mintId('item', random), parent: spot.parent, label: 'New', destination: { kind: 'none' as const }, opensNewTab: false, agreed: null };
    const leaf = {
      ...top,
      id: mintId('item', random),
      parent: top.id,
      ...(page === null ? {} : { destination: { kind: 'page' as const, page, anchor: null } }),
    };
    return { kind: 'addItem', after: spot.after, branch: [top, leaf] };
  },
  (random, document) => {
    const spot = anySpot(random, document, 'pages');
    const id = mintId('page', random);
    if (spot === null) return null;
    const page = {
      id,
      parent: spot.parent,
      key: `/${id}`,
      kind: 'page' as const,
      title: 'New',
      address: `/${id}`,
      state: 'draft' as const,
      language: null,
      template: null,
    };
    return { kind: 'addPage', after: spot.after, branch: [page] };
  },
  (random, document) => {
    const id = mintId('menu', random);
    const key = `menu-${below(random, 6)}`;
    return { kind: 'addMenu', after: null, branch: [{ id, parent: document.site.id, key, name: key, language: 'en', description: '' }] };
  },
  (random, document) => {
    const menu = anyId(random, document, 'menus');
    const id = mintId('placement', random);
    return menu === null
      ? null
      : { kind: 'addPlacement', after: null, branch: [{ id, parent: document.site.id, menu, place: 'side', templates: ['post'], deviceClasses: [] }] };
  },
  (random, document) => {
    const id = anyId(random, document, 'items');
    return id === null ? null : { kind: 'removeItem', after: spotOf(document.items, id).after, branch: branchOf(document.items, id) };
  },
  (random, document) => {
    const id = anyId(random, document, 'pages');
    return id === null ? null : { kind: 'removePage', after: spotOf(document.pages, id).after, branch: branchOf(document.pages, id) };
  },
  (random, document) => {
    const id = anyId(random, document, 'placements');
    return id === null ? null : { kind: 'removePlacement', after: spotOf(document.placements, id).after, branch: branchOf(document.placements, id) };
  },
  (random, document) => {
    const id = anyId(random, document, 'menus');
    return id === null ? null : { kind: 'removeMenu', after: spotOf(document.menus, id).after, branch: branchOf(document.menus, id) };
  },
  (random, document) => {
    const known = [...document.pages.nodes.values()]
      .filter(() => below(random, 3) > 0)
      .map(({ key, title, address, kind }) => ({ key, title, address, kind, above: [] }));
    const fresh = Array.from({ length: below(random, 4) }, () => {
      const key = `/${mintId('page', random)}`;
      return { key, title: key, address: key, kind: 'page' as const, above: [pick(random, known)?.key ?? '/nowhere'] };
    });
    return diffPages(document, [...known, ...fresh], { missing: 'retire', random });
  },
];

function move(random: RandomBits, document: SiteDocument, name: ForestName, kind: 'moveItem' | 'movePage' | 'moveMenu' | 'movePlacement'): Operation | null {
  const id = anyId(random, document, name);
  const to = anySpot(random, document, name);
  return id === null || to === null ? null : { kind, id, from: spotOf(document[name], id), to };
}

function anyId(random: RandomBits, document: SiteDocument, name: ForestName): Id | null {
  return pick(random, [...document[name].nodes.keys()]) ?? null;
}

function anySpot(random: RandomBits, document: SiteDocument, name: ForestName): Spot | null {
  const roots = name === 'items' ? [...document.menus.nodes.keys()] : [document.site.id];
  const nested = name === 'items' || name === 'pages' ? [...document[name].nodes.keys()] : [];
  const parent = pick(random, [...roots, ...nested]);
  if (parent === undefined) return null;
  return { parent, after: pick(random, [null, ...childrenOf(document[name], parent)]) ?? null };
}
