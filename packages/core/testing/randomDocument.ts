import { mintId, type Id, type RandomBits } from '../src/base/ids.ts';
import { refusal } from '../src/base/refusal.ts';
import { no, type Result } from '../src/base/result.ts';
import { arrangeApart } from '../src/commands/arrangement.ts';
import { movePartTo } from '../src/commands/composing.ts';
import type { CommandContext } from '../src/commands/context.ts';
import { addDrawer } from '../src/commands/drawer.ts';
import { setBehaviours } from '../src/commands/frame.ts';
import { applyEdit } from '../src/ops/applyEdit.ts';
import type { Edit } from '../src/ops/edit.ts';
import { newDocument, type SiteDocument } from '../src/model/document.ts';
import { agreedFacts } from '../src/model/agreedFacts.ts';
import { withNodesLast } from '../src/model/forest.ts';
import type { Item } from '../src/schema/item.ts';
import type { Page } from '../src/schema/page.ts';
import { newPart } from '../src/model/newPart.ts';
import { exceptionId, type ExceptionOn, type Part } from '../src/schema/part.ts';
import { dropdownForms, extents, openings, type Dropdown } from '../src/schema/dropdown.ts';
import { wayUp } from '../src/model/wayUp.ts';
import type { Settings } from '../src/schema/settings.ts';
import { contextOf } from './contextOf.ts';
import { below, pick } from './pick.ts';
import { withPlaced } from './withPlaced.ts';
import { siteFixture } from './siteFixture.ts';

export interface DocumentSize {
  readonly pages: number;
  readonly menus: number;
  readonly items: number;
  /** Children of each parent; null: at random. */
  readonly branching?: number | null;
  /** Items whose panel is composed, at the most. */
  readonly panels?: number;
}

const WORDS = [
  'Fern',
  'Moss',
  '<b>Bulbs</b>',
  'Été & "hiver"',
  'بذور',
  '種子',
  'Tools',
  'Pots',
  "Seed's",
  '🌱 Herbs',
  'Old sorts',
  'Café',
];

/** A sound document of that size; the same random bits give the same one. */
export function randomDocument(
  random: RandomBits,
  { pages, menus, items, branching = null, panels = 0 }: DocumentSize,
): SiteDocument {
  const site = siteFixture;
  const start = newDocument(site);
  const withPages = {
    ...start,
    pages: withNodesLast(start.pages, randomPages(random, site.id, pages, branching)),
  };
  const menuList = Array.from({ length: menus }, (_, at) => ({
    id: mintId('menu', random),
    parent: site.id,
    key: `menu-${at}`,
    name: `Menu ${at}`,
    language: 'en',
    description: '',
  }));
  const withMenus = { ...withPages, menus: withNodesLast(start.menus, menuList) };
  const complete = menuList.reduce<SiteDocument>(
    (made, { id }, at) => withPlaced(made, id, at % 2 === 0 ? 'bar' : 'footer', random),
    withMenus,
  );
  const itemList = randomItems(
    random,
    complete,
    menuList.map(({ id }) => id),
    items,
    branching,
  );
  const whole = { ...complete, items: withNodesLast(start.items, itemList) };
  return panels === 0 ? whole : withRandomFrame(random, withRandomPanels(random, whole, panels));
}

/** The document with composed panels for some of its items, `count` at the most. */
export function withRandomPanels(random: RandomBits, document: SiteDocument, count: number): SiteDocument {
  return { ...document, parts: withNodesLast(document.parts, randomParts(random, document, count)) };
}

/** The document with a few more parts in its frame, and exceptions for some of them. */
export function withRandomFrame(random: RandomBits, document: SiteDocument): SiteDocument {
  const { parts, pages } = document;
  const zones = [...parts.nodes.values()].filter(({ kind }) => kind === 'zone');
  const more = zones.slice(0, 6).map((zone): Part => {
    const base = { id: mintId('part', random), parent: zone.id };
    const some: readonly Part[] = [
      { ...base, kind: 'logo', text: pick(random, WORDS) ?? 'Logo' },
      { ...base, kind: 'account', text: 'Account', destination: { kind: 'address', address: '/account' } },
      { ...base, kind: 'contact', says: ['phone', 'hours'] },
      { ...base, kind: 'breadcrumb' },
      { ...base, kind: 'copyright', isHidden: true },
    ];
    return some[below(random, some.length)] ?? { ...base, kind: 'anchors' };
  });
  const withMore = withNodesLast(parts, more);
  const about = [...withMore.nodes.values()].filter(({ kind }) => kind === 'placement' || kind === 'logo');
  const exceptions = about.flatMap((part): Part[] => {
    const onPage = pick(random, [...pages.nodes.keys()]);
    if (onPage === undefined || below(random, 3) === 0) return [];
    const on: ExceptionOn = pick(random, [
      { onPage },
      { onPage, isBelow: true as const },
      { template: `template-${below(random, 3)}` },
    ]) ?? { onPage };
    return [
      newPart(exceptionId(part.id, on), part.id, {
        kind: 'exception',
        isShown: below(random, 2) === 0,
        ...on,
      }),
    ];
  });
  return withRandomArrangements(random, { ...document, parts: withNodesLast(withMore, exceptions) });
}

/** The document with a drawer, a header over the content, and arrangements of their own, each for some. */
function withRandomArrangements(random: RandomBits, start: SiteDocument): SiteDocument {
  const context = (document: SiteDocument): CommandContext => ({
    ...contextOf(document, 1 + below(random, 10_000)),
    random,
  });
  const some: ((document: SiteDocument) => Result<Edit>)[] = [
    (document) => addDrawer(context(document)),
    (document) => arrangeApart(context(document), 'header', 'narrow'),
    (document) => {
      const isOwn = ({ id }: Part): boolean => wayUp(document, id).some(({ only }) => only === 'narrow');
      const own = [...document.parts.nodes.values()].filter(isOwn);
      const moved = pick(
        random,
        own.filter(({ kind }) => kind === 'use'),
      );
      const to = pick(
        random,
        own.filter(({ kind }) => kind === 'zone'),
      );
      return moved === undefined || to === undefined
        ? no(refusal('nothingChosen'))
        : movePartTo(context(document), moved.id, { parent: to.id, after: null });
    },
    (document) => arrangeApart(context(document), 'header', 'medium'),
    (document) =>
      setBehaviours(
        context(document),
        'header',
        { overlaid: true, returns: below(random, 2) === 0 },
        { template: `template-${below(random, 3)}` },
      ),
  ];
  return some.reduce((document, make) => {
    const made = below(random, 3) === 0 ? null : make(document);
    const applied = made?.ok === true ? applyEdit(document, made.value) : null;
    return applied?.ok === true ? applied.value.document : document;
  }, start);
}

/** Panels of some items: rows of cells with a few parts in them. */
function randomParts(random: RandomBits, { items, pages, menus }: SiteDocument, count: number): Part[] {
  const owners = [
    ...new Set(Array.from({ length: count }, () => pick(random, [...items.nodes.keys()]) ?? '')),
  ].filter((id) => id !== '');
  return owners.flatMap((owner) => {
    const children = [...items.nodes.values()].filter(({ parent }) => parent === owner);
    return Array.from({ length: 1 + below(random, 2) }, (): Part[] => {
      const row: Part = { id: mintId('part', random), parent: owner, kind: 'row' };
      const cells = [6, 4].map((span): Part => ({
        id: mintId('part', random),
        parent: row.id,
        kind: 'cell',
        span,
      }));
      const parts = cells.flatMap(({ id: parent }) => {
        const base = { id: mintId('part', random), parent };
        const page = pick(random, [...pages.nodes.keys()]) ?? null;
        const toPage = { kind: 'page' as const, page: page ?? '', anchor: null };
        const kinds: Part[] = [
          {
            ...base,
            kind: 'heading',
            text: pick(random, WORDS) ?? 'Heading',
            ...(page === null ? {} : { destination: toPage }),
          },
          { ...base, kind: 'pages', source: { page, depth: 2, order: 'title', limit: 3 } },
          { ...base, kind: 'group', item: pick(random, children)?.id ?? owner },
          { ...base, kind: 'groups', columns: 2 },
          {
            ...base,
            kind: 'text',
            body: [
              {
                kind: 'paragraph',
                runs: [
                  { text: pick(random, WORDS) ?? 'Text', bold: true },
                  ...(page === null
                    ? []
                    : [
                        { text: 'there', to: toPage },
                        { text: ' and here', to: toPage },
                      ]),
                ],
              },
            ],
          },
          {
            ...base,
            kind: 'button',
            text: pick(random, WORDS) ?? 'Button',
            destination:
              page === null || below(random, 2) === 0 ? { kind: 'address', address: '/p1' } : toPage,
          },
          {
            ...base,
            kind: 'picture',
            picture: { file: '0123456789abcdef'.repeat(2), width: 900, height: 600 },
            ...(page === null ? {} : { destination: toPage }),
          },
          { ...base, kind: 'menu', menu: pick(random, [...menus.nodes.keys()]) ?? '' },
        ];
        return [pick(random, kinds) ?? { ...base, kind: 'divider' as const }];
      });
      return [row, ...cells, ...parts];
    }).flat();
  });
}

function randomPages(random: RandomBits, root: Id, count: number, branching: number | null): Page[] {
  const pages: Page[] = [];
  for (let at = 0; at < count; at += 1) {
    const parent = parentFor(random, root, pages, at, branching);
    const title = `${pick(random, WORDS)} ${at}`;
    const state = (['live', 'live', 'live', 'draft', 'gone'] as const)[below(random, 5)] ?? 'live';
    const address = `/p${at}`;
    pages.push({
      id: mintId('page', random),
      parent,
      key: address,
      kind: 'page',
      title,
      address,
      state,
      language: null,
      template: below(random, 3) === 0 ? null : `template-${below(random, 3)}`,
    });
  }
  return pages;
}

function randomItems(
  random: RandomBits,
  document: SiteDocument,
  menus: readonly Id[],
  count: number,
  branching: number | null,
): Item[] {
  const pages = [...document.pages.nodes.keys()];
  const items: Item[] = [];
  for (let at = 0; at < count; at += 1) {
    const parent = parentFor(random, pick(random, menus) ?? '', items, at, branching);
    const page = pick(random, pages);
    const form = below(random, 6);
    const isPage = page !== undefined && form < 4;
    items.push({
      id: mintId('item', random),
      parent,
      label: isPage && form < 2 ? null : `${pick(random, WORDS)} ${at}`,
      destination: isPage
        ? { kind: 'page', page, anchor: null }
        : form === 5
          ? { kind: 'none' }
          : { kind: 'address', address: `/a/${at}` },
      opensNewTab: below(random, 5) === 0,
      agreed: isPage ? agreedFacts(document, page) : null,
      ...randomSettings(random),
    });
  }
  return items;
}

/** Most items have none, some have several. */
function randomSettings(random: RandomBits): Settings {
  if (below(random, 6) > 0) return {};
  const word = pick(random, WORDS) ?? 'New';
  return {
    ...(below(random, 2) === 0 ? { tooltip: word, description: `${word} & more` } : {}),
    ...(below(random, 3) === 0 ? { badge: { text: word, position: 'after' } } : {}),
    ...(below(random, 3) === 0
      ? { icon: { name: 'leaf', path: 'M2 2h20v20H2Z', position: 'before' }, labelHidden: true }
      : {}),
    ...(below(random, 3) === 0 ? { hiddenOn: ['narrow'], activation: { wide: 'open' } } : {}),
    ...(below(random, 4) === 0 ? { heldBack: true } : {}),
    ...(below(random, 2) === 0 ? { dropdown: randomDropdown(random) } : {}),
  };
}

function randomDropdown(random: RandomBits): Dropdown {
  return {
    form: pick(random, dropdownForms) ?? 'list',
    ...(below(random, 3) === 0 ? { opens: pick(random, openings) ?? 'press' } : {}),
    ...(below(random, 2) === 0
      ? { list: { width: 200 + below(random, 100), align: 'end', columns: 2 } }
      : {}),
    ...(below(random, 2) === 0
      ? {
          panel: {
            columns: 1 + below(random, 6),
            extent: pick(random, extents) ?? 640,
            gap: below(random, 20),
            innerWidth: 900,
            narrow: 'list',
          },
        }
      : {}),
  };
}

/**
 * With a branching, a complete tree of that degree; else one of the latest few, so that it grows deep as well
 * as broad.
 */
function parentFor(
  random: RandomBits,
  root: Id,
  before: readonly { readonly id: Id }[],
  at: number,
  branching: number | null,
): Id {
  if (branching !== null) return before[Math.floor(at / branching) - 1]?.id ?? root;
  return below(random, 4) === 0 ? root : (before[Math.max(0, at - 1 - below(random, 12))]?.id ?? root);
}
