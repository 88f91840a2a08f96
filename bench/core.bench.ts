import { produce, setAutoFreeze } from 'immer';
import { JSDOM } from 'jsdom';
import {
  agreedFacts,
  applyEdit,
  childrenOf,
  changesBetween,
  compileStyles,
  contrastPairs,
  createDrift,
  createFilling,
  driftOf,
  invertEdit,
  kindOf,
  moveItems,
  panelColumns,
  placesOf,
  plainSheet,
  previewStyles,
  propertiesOf,
  readStored,
  renderMenu,
  renderPage,
  resolveMenu,
  seededRandom,
  sheetOf,
  situationOn,
  situationsOfHeader,
  states,
  thingNames,
  thingOf,
  valuesOfStyle,
  withChanges,
  withFollowed,
  type DrawnElement,
  type Edit,
  type Id,
  type Item,
  type Page,
  type ResolvedItem,
  type SiteDocument,
} from '@zorvik/core';
import { contextOf, randomDocument } from '@zorvik/core/testing';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import { byTurns, type Figure } from './figure.ts';

interface PlainItem {
  readonly id: string;
  label: string | null;
  children: PlainItem[];
}

const TURNS = 200;
const BATCH = 20;
/** What takes long needs few. */
const FEW_TURNS = 15;

/** A menu of `count` items, ten children each, and a move from one deep parent to another. */
function menuOf(count: number): { document: SiteDocument; edit: Edit; menu: Id; from: Id[]; to: Id[] } {
  const document = randomDocument(seededRandom(1), { pages: 10, menus: 1, items: count, branching: 10 });
  const [menu = ''] = document.menus.nodes.keys();
  const leaf = deepest(document, menu, 'last');
  const target = deepest(document, menu, 'first');
  const made = moveItems(contextOf(document), [leaf.at(-1) ?? ''], {
    parent: target.at(-2) ?? '',
    after: null,
  });
  if (!made.ok) throw new Error(made.refusal.message);
  return { document, edit: made.value, menu, from: leaf, to: target };
}

/** The path from a menu down to a leaf, by first or last children. */
function deepest(document: SiteDocument, menu: Id, way: 'first' | 'last'): Id[] {
  const path: Id[] = [];
  for (
    let at = childrenOf(document.items, menu)[way]();
    at !== null;
    at = childrenOf(document.items, at)[way]()
  )
    path.push(at);
  return path;
}

function moveAndUndo({ document, edit }: { document: SiteDocument; edit: Edit }): SiteDocument {
  const moved = applyEdit(document, edit);
  if (!moved.ok) throw new Error(moved.refusal.message);
  const back = applyEdit(moved.value.document, { ...edit, operations: invertEdit(moved.value.edit) });
  if (!back.ok) throw new Error(back.refusal.message);
  return back.value.document;
}

/** The same tree as plain nested objects, for Immer. */
function plainTree(document: SiteDocument, parent: Id): PlainItem[] {
  return [...childrenOf(document.items, parent)].map((id) => ({
    id,
    label: document.items.nodes.get(id)?.label ?? null,
    children: plainTree(document, id),
  }));
}

function immerMoveAndUndo(root: PlainItem, from: readonly Id[], to: readonly Id[]): PlainItem {
  const walk = (draft: PlainItem, path: readonly Id[]): PlainItem =>
    path.reduce((at, id) => at.children.find((one) => one.id === id) ?? at, draft);
  const id = from.at(-1);
  const move = (tree: PlainItem, source: readonly Id[], target: readonly Id[], isBack: boolean): PlainItem =>
    produce(tree, (draft) => {
      const old = walk(draft, source);
      const at = old.children.findIndex((one) => one.id === id);
      const [item] = old.children.splice(at, 1);
      const place = walk(draft, target);
      if (item !== undefined) place.children.splice(isBack ? place.children.length : 0, 0, item);
    });
  const moved = move(root, from.slice(0, -1), to.slice(0, -1), false);
  return move(moved, to.slice(0, -1), from.slice(0, -1), true);
}

const times = (count: number, act: () => unknown) => (): void => {
  for (let turn = 0; turn < count; turn += 1) act();
};

/**
 * A site of so many pages, and 10,000 items that lead to them with their facts agreed on; one page in a
 * hundred changed since.
 */
function drifting(pages: number): {
  readonly document: SiteDocument;
  readonly pages: readonly Page[];
  readonly items: readonly Item[];
} {
  const made = randomDocument(seededRandom(4), { pages, menus: 4, items: 10_000, branching: 10 });
  const live = [...made.pages.nodes.values()].map(
    (page) => [page.id, { ...page, state: 'live' as const }] as const,
  );
  const site = { ...made, pages: { ...made.pages, nodes: made.pages.nodes.withAll(live) } };
  const ids = live.map(([id]) => id);
  const linked = [...made.items.nodes.values()].map((item, at) => {
    const page = ids[(at * 7919) % ids.length] ?? '';
    const destination = { kind: 'page' as const, page, anchor: null };
    return [
      item.id,
      { ...item, label: at % 3 === 0 ? 'Own' : null, destination, agreed: agreedFacts(site, page) },
    ] as const;
  });
  const changed = live
    .filter((_, at) => at % 100 === 0)
    .map(
      ([id, page]) => [id, { ...page, title: `${page.title} now`, address: `${page.address}/now` }] as const,
    );
  const document = {
    ...site,
    items: { ...site.items, nodes: site.items.nodes.withAll(linked) },
    pages: { ...site.pages, nodes: site.pages.nodes.withAll(changed) },
  };
  return { document, pages: [...document.pages.nodes.values()], items: [...document.items.nodes.values()] };
}

/** The least that any comparison does: the pages in a Map, and each item looked up. */
function lookUp({ pages, items }: ReturnType<typeof drifting>): number {
  const byId = new Map<string, Page>();
  for (const page of pages) byId.set(page.id, page);
  let found = 0;
  for (const { destination, agreed } of items) {
    const page = destination.kind === 'page' ? byId.get(destination.page) : undefined;
    if (page !== undefined && page.title !== agreed?.title) found += 1;
  }
  return found;
}

async function driftFigures(): Promise<Figure[]> {
  const large = drifting(100_000);
  const small = drifting(10_000);
  const look = ({ document }: ReturnType<typeof drifting>) =>
    driftOf({ stored: document, filled: withFollowed(document) });
  // One page called otherwise, time and again, as while its title is typed: the changes are told to the
  // worker, which looks again.
  const again = createDrift();
  const fill = createFilling();
  let { document } = large;
  let copy = document;
  const kept = again({ stored: copy, filled: fill(copy) }).length;
  const linked = large.items.flatMap(({ destination }) =>
    destination.kind === 'page' ? [destination.page] : [],
  );
  let turn = 0;
  const rename = (): void => {
    const id = linked[(turn += 1) % linked.length] ?? '';
    const page = document.pages.nodes.get(id);
    if (page === undefined) throw new Error('A page is missing.');
    const after = {
      ...document,
      pages: { ...document.pages, nodes: document.pages.nodes.with(id, { ...page, title: `Typed ${turn}` }) },
    };
    copy = withChanges(copy, changesBetween(document, after));
    document = after;
    if (again({ stored: copy, filled: fill(copy) }).length < kept) throw new Error('Findings were lost.');
  };
  const [ours, reference] = await byTurns(
    FEW_TURNS,
    () => void look(large),
    () => void lookUp(large),
  );
  const [renamed] = await byTurns(TURNS, rename, () => undefined);
  const [hundred, ten] = await byTurns(
    FEW_TURNS,
    () => void look(large),
    () => void look(small),
  );
  return [
    { name: 'drift', ours, reference, unit: 'ms', target: 1.8 },
    { name: 'drift-again', ours: renamed, reference: 16, unit: 'ms', target: 1 },
    { name: 'drift-growth', ours: hundred, reference: ten, unit: 'ms', target: 2 },
  ];
}

/** A panel of 300 links in 30 groups: its columns balanced anew and drawn, against one frame. */
async function panelFigure(): Promise<Figure> {
  const document = randomDocument(seededRandom(6), { pages: 400, menus: 1, items: 331, branching: 10 });
  const [menu = ''] = document.menus.nodes.keys();
  const group = (at: number): ResolvedItem => ({
    ...plainItem(`Group ${at}`),
    children: Array.from({ length: 10 }, (_, link) => plainItem(`A link of some length ${at} ${link}`)),
  });
  const groups = Array.from({ length: 30 }, (_, at) => group(at));
  const whole = resolveMenu(document, menu);
  let turn = 0;
  const draw = (): void => {
    const columns = 3 + ((turn += 1) % 4);
    const dropdown = { form: 'panel' as const, panel: { columns } };
    const { groups: children, sizes } = panelColumns(groups, dropdown.panel);
    const menuShown = { ...whole, items: [{ ...plainItem('All'), dropdown, columns: sizes, children }] };
    if (renderMenu(menuShown, { place: 'bar' }).length < 10_000) throw new Error('Links are missing.');
  };
  const [ours] = await byTurns(TURNS, draw, () => undefined);
  return { name: 'panel', ours, reference: 16, unit: 'ms', target: 0.1 };
}

let made = 0;
function plainItem(label: string): ResolvedItem {
  made += 1;
  return {
    id: `i${String(made).padStart(15, '0')}`,
    label,
    href: `/a/${made}`,
    opensNewTab: false,
    children: [],
  };
}

/** 3,000 values of 1,000 looks (60 things, in their states, on all device classes), resolved and made into rules. */
async function styleFigure(): Promise<Figure> {
  const bare = randomDocument(seededRandom(7), { pages: 400, menus: 20, items: 400 });
  const owners = [bare.site.id, ...bare.menus.nodes.keys(), ...bare.items.nodes.keys()];
  const things = thingNames.slice(-60);
  const values = ['#1f5a3a', '#6d2a63', '@accent/40%'];
  let styled = bare;
  let count = 0;
  for (let at = 0; count < 3000; at += 1) {
    const thing = things[at % things.length] ?? 'entry';
    const own = states.filter((one) => one in thingOf(thing).in);
    const state = own[at % own.length] ?? 'normal';
    const device = [undefined, 'narrow', 'medium', 'wide'] as const;
    const on = device[at % device.length];
    const target = {
      owner: owners[Math.floor(at / 7) % owners.length] ?? bare.site.id,
      thing,
      ...(state === 'normal' ? {} : { state }),
      ...(on === undefined ? {} : { device: on }),
    };
    const set = Object.fromEntries(
      propertiesOf(thing)
        .slice(0, 3)
        .map((one, index) => [one, values[index] ?? '0']),
    );
    const operation = { kind: 'setStyle' as const, target, set, was: {} };
    const applied = kindOf(operation).apply(styled, operation);
    if (applied.ok) styled = applied.value.document;
    count = [...styled.styles.nodes.values()].reduce((sum, style) => sum + valuesOfStyle(style).length, 0);
  }
  const [ours] = await byTurns(
    TURNS,
    () => {
      // A new document each time, so that nothing is known of it yet.
      const { set } = sheetOf({ ...styled });
      if (compileStyles(thingNames, { ...plainSheet(), set }).length < 500)
        throw new Error('Rules are missing.');
    },
    () => undefined,
  );
  return { name: 'style', ours, reference: 16, unit: 'ms', target: 1 };
}

/** The contrast of everything on Quillmere's start page, in every state; its places are found before. */
async function contrastFigure(): Promise<Figure> {
  const document = readStored(quillmereDocument());
  const page = [...document.pages.nodes.values()].find(({ address }) => address === '/');
  const { header, side, footer, skip } = renderPage(document, situationOn(document, page?.id ?? null), {
    compareTitles: (a, b) => (a < b ? -1 : Number(a > b)),
    pictures: '/p/',
    year: 2026,
  });
  const html = skip + header + side + footer;
  const sheet = { ...sheetOf(document), situations: situationsOfHeader(html) };
  const { window } = new JSDOM(html);
  const places = placesOf(window.document.body as unknown as DrawnElement, sheet);
  const [ours] = await byTurns(
    TURNS,
    () => {
      if (contrastPairs(places, sheet).length < 200) throw new Error('Pairs are missing.');
    },
    () => undefined,
  );
  return { name: 'contrast', ours, reference: 16, unit: 'ms', target: 1 };
}

/**
 * One value of Quillmere changed, until the page and its style sheet are there to be shown: the edit, what it is made
 * of anew, and the style sheet in which states can be forced. What a browser then paints is not in it.
 */
async function styleAgainFigure(): Promise<Figure> {
  let document = readStored(quillmereDocument());
  const page = [...document.pages.nodes.values()].find(({ address }) => address === '/');
  const situation = situationOn(document, page?.id ?? null);
  const target = { owner: document.site.id, thing: 'barEntry', state: 'hover' } as const;
  let turn = 0;
  const [ours] = await byTurns(
    TURNS,
    () => {
      const color = `#1f5a${((turn += 1) % 90) + 10}`;
      const operation = { kind: 'setStyle' as const, target, set: { color }, was: {} };
      const made = kindOf(operation).apply(document, operation);
      if (!made.ok) throw new Error(made.refusal.message);
      ({ document } = made.value);
      const { css } = renderPage(document, situation, {
        compareTitles: (a, b) => (a < b ? -1 : Number(a > b)),
        pictures: '/p/',
        year: 2026,
        isComposed: true,
      });
      if (!previewStyles(css).includes(color)) throw new Error('The value is not there.');
    },
    () => undefined,
  );
  return { name: 'style-again', ours, reference: 16, unit: 'ms', target: 1 };
}

export async function coreFigures(): Promise<Figure[]> {
  setAutoFreeze(false);
  const small = menuOf(10_000);
  const large = menuOf(100_000);
  const plain: PlainItem = { id: small.menu, label: null, children: plainTree(small.document, small.menu) };
  const [ours, immer] = await byTurns(
    TURNS,
    times(BATCH, () => moveAndUndo(small)),
    times(BATCH, () => immerMoveAndUndo(plain, small.from, small.to)),
  );
  const [hundred, ten] = await byTurns(
    TURNS,
    times(BATCH, () => moveAndUndo(large)),
    times(BATCH, () => moveAndUndo(small)),
  );
  const document = randomDocument(seededRandom(2), { pages: 400, menus: 1, items: 1000 });
  const [menu = ''] = document.menus.nodes.keys();
  const resolved = resolveMenu(document, menu);
  // As bytes, which is how both are sent: a string that is joined only when it is read would look too fast.
  const [html, json] = await byTurns(
    TURNS,
    times(BATCH, () => Buffer.from(renderMenu(resolved, { place: 'bar' }))),
    times(BATCH, () => Buffer.from(JSON.stringify(resolved))),
  );
  const each = (ms: number): number => (ms / BATCH) * 1000;
  return [
    { name: 'op-move', ours: each(ours), reference: each(immer), unit: 'µs', target: 1 },
    { name: 'op-growth', ours: each(hundred), reference: each(ten), unit: 'µs', target: 2 },
    { name: 'render', ours: each(html), reference: each(json), unit: 'µs', target: 2.2 },
    await panelFigure(),
    await styleFigure(),
    await styleAgainFigure(),
    await contrastFigure(),
    ...(await driftFigures()),
  ];
}
