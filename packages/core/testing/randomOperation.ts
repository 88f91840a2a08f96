import { mintId, type Id, type RandomBits } from '../src/base/ids.ts';
import { branchOf } from '../src/model/branchOf.ts';
import { diffPages } from '../src/diff/diffPages.ts';
import { areaNeeded, newBand } from '../src/commands/placing.ts';
import type { ForestName, SiteDocument } from '../src/model/document.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../src/model/forest.ts';
import { newPart } from '../src/model/newPart.ts';
import { areaId } from '../src/model/partRoots.ts';
import type { Operation } from '../src/ops/registry.ts';
import type { CssRule } from '../src/schema/ownCss.ts';
import { areas, exceptionId } from '../src/schema/part.ts';
import type { Badge } from '../src/schema/settings.ts';
import { below, pick } from './pick.ts';

/**
 * Any operation on the document, many of which have to be refused (moves into their own branch, removals of
 * what is used). Null when there is nothing to do such a thing to.
 */
export function randomOperation(random: RandomBits, document: SiteDocument): Operation | null {
  const make = pick(random, makers);
  return make === undefined ? null : make(random, document);
}

type Maker = (random: RandomBits, document: SiteDocument) => Operation | null;

const makers: readonly Maker[] = [
  (random, { site: { id, name, direction } }) => ({
    kind: 'updateSite',
    id,
    set: below(random, 2) === 0 ? { name: `Site ${below(random, 9)}` } : { direction: 'rtl' },
    was: below(random, 2) === 0 ? { name } : { direction },
  }),
  (random, document) => move(random, document, 'items', 'moveItem'),
  (random, document) => move(random, document, 'pages', 'movePage'),
  (random, document) => move(random, document, 'menus', 'moveMenu'),
  (random, document) => {
    const id = anyId(random, document, 'items');
    if (id === null) return null;
    const { label, opensNewTab, badge = null, heldBack = null, link = null } = nodeAt(document.items, id);
    const form = below(random, 5);
    if (form === 4)
      return {
        kind: 'updateItem',
        id,
        set: { badge: badge === null ? randomBadge(random) : null, heldBack: true },
        was: { badge, heldBack },
      };
    if (form === 3)
      return { kind: 'updateItem', id, set: { link: anyId(random, document, 'sharedLinks') }, was: { link } };
    return form < 2
      ? { kind: 'updateItem', id, set: { label: `Renamed ${below(random, 9)}` }, was: { label } }
      : { kind: 'updateItem', id, set: { opensNewTab: !opensNewTab }, was: { opensNewTab } };
  },
  (random, document) => {
    const id = anyId(random, document, 'pages');
    if (id === null) return null;
    const { title, state } = nodeAt(document.pages, id);
    return {
      kind: 'updatePage',
      id,
      set: { title: `Page ${below(random, 9)}`, state: 'gone' },
      was: { title, state },
    };
  },
  (random, document) => {
    const id = anyId(random, document, 'menus');
    return id === null
      ? null
      : {
          kind: 'updateMenu',
          id,
          set: { key: `menu-${below(random, 4)}` },
          was: { key: nodeAt(document.menus, id).key },
        };
  },
  (random, document) => {
    const id = anyId(random, document, 'parts');
    const template = `template-${below(random, 3)}`;
    const shows = anyId(random, document, 'menus');
    if (id === null) return null;
    const exception = newPart(exceptionId(id, { template }), id, {
      kind: 'exception',
      isShown: below(random, 2) === 0,
      template,
      ...(shows === null ? {} : { shows }),
    });
    return { kind: 'addPart', after: null, branch: [exception] };
  },
  (random, document) => {
    const of = anyId(random, document, 'parts');
    const holder = pick(
      random,
      [...document.parts.nodes.values()].filter(({ kind }) => kind === 'zone' || kind === 'cell'),
    );
    if (of === null || holder === undefined) return null;
    const base = { id: mintId('part', random), parent: holder.id };
    const part = pick(random, [
      { ...base, kind: 'use' as const, of },
      { ...base, kind: 'menuButton' as const },
    ]);
    return part === undefined ? null : { kind: 'addPart', after: null, branch: [part] };
  },
  (random, document) => {
    const area = pick(random, areas) ?? 'header';
    const id = areaId(area);
    if (document.parts.nodes.has(id)) {
      const [band, ...inner] = newBand(id, below(random, 2) === 0, random);
      return band === undefined ? null : { kind: 'addPart', after: null, branch: [band, ...inner] };
    }
    return areaNeeded(document, area)[0] ?? null;
  },
  (random, document) => {
    const id = anyId(random, document, 'parts');
    if (id === null) return null;
    const { isHidden = null, isShown = true } = nodeAt(document.parts, id);
    return nodeAt(document.parts, id).kind === 'exception'
      ? { kind: 'updatePart', id, set: { isShown: !isShown }, was: { isShown } }
      : { kind: 'updatePart', id, set: { isHidden: isHidden === null ? true : null }, was: { isHidden } };
  },
  (random, document) => {
    const spot = anySpot(random, document, 'items');
    const page = anyId(random, document, 'pages');
    if (spot === null) return null;
    const top = {
      id: mintId('item', random),
      parent: spot.parent,
      label: 'New',
      destination: { kind: 'none' as const },
      opensNewTab: false,
      agreed: null,
    };
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
    return {
      kind: 'addMenu',
      after: null,
      branch: [{ id, parent: document.site.id, key, name: key, language: 'en', description: '' }],
    };
  },
  (random, document) => move(random, document, 'sharedLinks', 'moveSharedLink'),
  (random, document) => {
    const id = mintId('leftFinding', random);
    return {
      kind: 'addLeftFinding',
      after: null,
      branch: [{ id, parent: document.site.id, finding: 'pageGone x', facts: '', reason: 'For now' }],
    };
  },
  (random, document) => {
    const id = anyId(random, document, 'leftFindings');
    return id === null
      ? null
      : {
          kind: 'removeLeftFinding',
          after: spotOf(document.leftFindings, id).after,
          branch: branchOf(document.leftFindings, id),
        };
  },
  (random, document) => {
    const id = anyId(random, document, 'items');
    const page = anyId(random, document, 'pages');
    if (id === null || page === null) return null;
    const { follow = null } = nodeAt(document.items, id);
    const set =
      follow === null
        ? { of: { kind: 'pages' as const, page }, depth: 1 + below(random, 3), order: 'title' as const }
        : null;
    return { kind: 'updateItem', id, set: { follow: set }, was: { follow } };
  },
  (random, document) => {
    const id = anyId(random, document, 'menus');
    const menu = anyId(random, document, 'menus');
    if (id === null || menu === null) return null;
    const { follow = null } = nodeAt(document.menus, id);
    return {
      kind: 'updateMenu',
      id,
      set: { follow: { of: { kind: 'menu', menu }, depth: 2, order: 'site' } },
      was: { follow },
    };
  },
  (random, document) => randomStyle(random, document),
  (random, document) => randomCss(random, document),
  (random) => randomToken(random),
  (random, document) => randomStyle(random, document),
  (random, document) => move(random, document, 'parts', 'movePart'),
  (random, document) => move(random, document, 'parts', 'movePart'),
  (random, document) => {
    const item = anyId(random, document, 'items');
    if (item === null) return null;
    const row = { id: mintId('part', random), parent: item, kind: 'row' as const };
    const cell = { id: mintId('part', random), parent: row.id, kind: 'cell' as const, span: 12 };
    const title = { id: mintId('part', random), parent: cell.id, kind: 'heading' as const, text: 'Heading' };
    return { kind: 'addPart', after: null, branch: [row, cell, title] };
  },
  (random, document) => {
    const parent = anyId(random, document, 'parts');
    if (parent === null) return null;
    const id = mintId('part', random);
    const page = anyId(random, document, 'pages');
    const menu = anyId(random, document, 'menus') ?? id;
    const part = pick(random, [
      { id, parent, kind: 'cell' as const, span: 3 },
      { id, parent, kind: 'pages' as const, source: { page, depth: 1, order: 'site' as const, limit: 2 } },
      { id, parent, kind: 'menu' as const, menu },
    ]);
    return part === undefined
      ? null
      : { kind: 'addPart', after: childrenOf(document.parts, parent).last(), branch: [part] };
  },
  (random, document) => {
    const id = anyId(random, document, 'parts');
    if (id === null) return null;
    const { text = null, span = null } = nodeAt(document.parts, id);
    return (
      pick(random, [
        { kind: 'updatePart' as const, id, set: { text: `Text ${below(random, 9)}` }, was: { text } },
        { kind: 'updatePart' as const, id, set: { span: 1 + below(random, 12) }, was: { span } },
      ]) ?? null
    );
  },
  (random, document) => {
    const id = anyId(random, document, 'parts');
    return id === null
      ? null
      : { kind: 'removePart', after: spotOf(document.parts, id).after, branch: branchOf(document.parts, id) };
  },
  (random, document) => {
    const preset = {
      id: mintId('preset', random),
      parent: document.site.id,
      name: `Preset ${below(random, 5)}`,
      rows: [{ kind: 'row' as const }],
    };
    return {
      kind: 'addPreset',
      after: childrenOf(document.presets, document.site.id).last(),
      branch: [preset],
    };
  },
  (random, document) => {
    const id = anyId(random, document, 'presets');
    if (id === null) return null;
    if (below(random, 2) === 0)
      return {
        kind: 'removePreset',
        after: spotOf(document.presets, id).after,
        branch: branchOf(document.presets, id),
      };
    return {
      kind: 'updatePreset',
      id,
      set: { name: `Renamed ${below(random, 9)}` },
      was: { name: nodeAt(document.presets, id).name },
    };
  },
  (random, document) => move(random, document, 'ownFields', 'moveOwnField'),
  (random, document) => {
    const id = mintId('sharedLink', random);
    const page = anyId(random, document, 'pages');
    const destination =
      page === null ? ({ kind: 'undecided' } as const) : ({ kind: 'page', page, anchor: null } as const);
    const link = {
      id,
      parent: document.site.id,
      label: 'Shared',
      destination,
      opensNewTab: false,
      agreed: null,
    };
    return {
      kind: 'addSharedLink',
      after: childrenOf(document.sharedLinks, document.site.id).last(),
      branch: [link],
    };
  },
  (random, document) => {
    const id = anyId(random, document, 'sharedLinks');
    if (id === null) return null;
    const { label, tooltip = null } = nodeAt(document.sharedLinks, id);
    const set = { label: `Shared ${below(random, 9)}`, tooltip: tooltip === null ? 'Tip' : null };
    return { kind: 'updateSharedLink', id, set, was: { label, tooltip } };
  },
  (random, document) => {
    const id = anyId(random, document, 'sharedLinks');
    return id === null
      ? null
      : {
          kind: 'removeSharedLink',
          after: spotOf(document.sharedLinks, id).after,
          branch: branchOf(document.sharedLinks, id),
        };
  },
  (random, document) => {
    const field = {
      id: mintId('ownField', random),
      parent: document.site.id,
      key: `field-${below(random, 5)}`,
      name: 'Field',
      type: 'text',
      of: 'items',
    } as const;
    return { kind: 'addOwnField', after: null, branch: [field] };
  },
  (random, document) => {
    const id = anyId(random, document, 'ownFields');
    const key = `field-${below(random, 5)}`;
    return id === null
      ? null
      : { kind: 'updateOwnField', id, set: { key }, was: { key: nodeAt(document.ownFields, id).key } };
  },
  (random, document) => {
    const id = anyId(random, document, 'ownFields');
    return id === null
      ? null
      : {
          kind: 'removeOwnField',
          after: spotOf(document.ownFields, id).after,
          branch: branchOf(document.ownFields, id),
        };
  },
  (random, document) => {
    const id = anyId(random, document, 'items');
    return id === null
      ? null
      : { kind: 'removeItem', after: spotOf(document.items, id).after, branch: branchOf(document.items, id) };
  },
  (random, document) => {
    const id = anyId(random, document, 'pages');
    return id === null
      ? null
      : { kind: 'removePage', after: spotOf(document.pages, id).after, branch: branchOf(document.pages, id) };
  },
  (random, document) => {
    const id = anyId(random, document, 'menus');
    return id === null
      ? null
      : { kind: 'removeMenu', after: spotOf(document.menus, id).after, branch: branchOf(document.menus, id) };
  },
  (random, document) => {
    const known = [...document.pages.nodes.values()]
      .filter(() => below(random, 3) > 0)
      .map(({ key, title, address, kind }) => ({ key, title, address, kind, above: [] }));
    const fresh = Array.from({ length: below(random, 4) }, () => {
      const key = `/${mintId('page', random)}`;
      return {
        key,
        title: key,
        address: key,
        kind: 'page' as const,
        above: [pick(random, known)?.key ?? '/nowhere'],
      };
    });
    return diffPages(document, [...known, ...fresh], { missing: 'retire', random });
  },
];

type MoveKind = Extract<Operation, { readonly to: Spot }>['kind'];

function randomBadge(random: RandomBits): Badge {
  return { text: `New ${below(random, 3)}`, position: 'after' };
}

function move(
  random: RandomBits,
  document: SiteDocument,
  name: ForestName,
  kind: MoveKind,
): Operation | null {
  const id = anyId(random, document, name);
  const to = anySpot(random, document, name);
  return id === null || to === null ? null : { kind, id, from: spotOf(document[name], id), to };
}

function anyId(random: RandomBits, document: SiteDocument, name: ForestName): Id | null {
  return pick(random, [...document[name].nodes.keys()]) ?? null;
}

function anySpot(random: RandomBits, document: SiteDocument, name: ForestName): Spot | null {
  const roots =
    name === 'items'
      ? [...document.menus.nodes.keys()]
      : name === 'parts'
        ? [...document.items.nodes.keys()].slice(0, 5)
        : [document.site.id];
  const nested =
    name === 'items' || name === 'pages' || name === 'parts' ? [...document[name].nodes.keys()] : [];
  const parent = pick(random, [...roots, ...nested]);
  if (parent === undefined) return null;
  return { parent, after: pick(random, [null, ...childrenOf(document[name], parent)]) ?? null };
}

/** Some looks, of anything: also of what is not there. */
function randomStyle(random: RandomBits, document: SiteDocument): Operation {
  const owners = [
    document.site.id,
    'template:article',
    anyId(random, document, 'menus') ?? 'm0',
    anyId(random, document, 'items') ?? 'i0',
    'cgone',
  ];
  const target = {
    owner: owners[below(random, owners.length)] ?? document.site.id,
    thing: (['entry', 'barEntry', 'panel'] as const)[below(random, 3)] ?? 'entry',
    ...(below(random, 2) === 0 ? {} : { state: 'hover' as const }),
  };
  const values = ['#102030', '@accent', 'none', null];
  const value = (): string | null => values[below(random, values.length)] ?? null;
  return { kind: 'setStyle', target, set: { color: value(), background: value() }, was: {} };
}

/** Something with a name: roles, own ones, also one that is of another kind already. */
function randomToken(random: RandomBits): Operation {
  const some = [
    { key: 'accent', of: 'colour' },
    { key: 'moss', of: 'colour' },
    { key: 'moss', of: 'length' },
    { key: 'pad', of: 'length' },
    { key: 'heading', of: 'font' },
    { key: 'quiet', of: 'weight' },
  ] as const;
  const target = some[below(random, some.length)] ?? some[0];
  const values = { colour: '#2f6b3a', length: '12px', font: 'system:slab', weight: '650' };
  const set = {
    ...(below(random, 2) === 0 ? { name: below(random, 2) === 0 ? 'Moss' : null } : {}),
    value: below(random, 3) === 0 ? null : values[target.of],
  };
  return { kind: 'setToken', target, set, was: {} };
}

/** CSS of a place, or none. */
function randomCss(random: RandomBits, document: SiteDocument): Operation {
  const owners = [document.site.id, ...document.menus.nodes.keys(), ...document.items.nodes.keys(), 'i0gone'];
  const rules: readonly CssRule[] = [
    { selectors: ['.zv-badge', 'a:hover'], declarations: [{ name: 'color', value: '#2f6b3a' }] },
    {
      at: 'media',
      condition: '(min-width: 600px)',
      rules: [{ selectors: ['li::before'], declarations: [{ name: 'content', value: '"→"' }] }],
    },
  ];
  const set = below(random, 3) === 0 ? null : rules.slice(0, 1 + below(random, 2));
  return { kind: 'setOwnCss', owner: owners[below(random, owners.length)] ?? 'i0gone', set, was: null };
}
