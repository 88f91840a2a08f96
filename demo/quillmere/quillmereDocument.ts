import {
  mintId,
  newDocument,
  nodeAt,
  seededRandom,
  spotOf,
  toStored,
  withNodesLast,
  type Destination,
  type Item,
  type Page,
  type Settings,
  type RandomBits,
  type Site,
  type SiteDocument,
  type StoredDocument,
} from '@zorvik/core';
import { quillmereFacts, quillmereFrame } from './frame.ts';
import { quillmereLook } from './look.ts';
import { menuOutlines } from './menus.ts';
import { quillmerePages } from './pages.ts';
import { withPanels } from './panels.ts';
import { pageRecords } from './pageRecords.ts';
import { withWaitingDrift } from './waitingDrift.ts';
import { itemSettings } from './settings.ts';

/** Quillmere as a stored document: the same at every call, ids included. */
export function quillmereDocument(): StoredDocument {
  const random = seededRandom(1868);
  const site: Site = {
    id: mintId('site', random),
    key: 'quillmere',
    name: 'Quillmere',
    language: 'en',
    direction: 'ltr',
    timeZone: 'Europe/London',
    origin: 'https://quillmere.example',
    breakpoints: { medium: 768, wide: 1024 },
    ...quillmereFacts,
  };
  const empty = newDocument(site);
  const idOf = new Map<string, string>();
  const pages = quillmerePages().map(({ path, parent, title, kind, template }): Page => {
    const id = mintId('page', random);
    idOf.set(path, id);
    const base = {
      id,
      parent: parent === null ? site.id : pageAt(idOf, parent),
      key: path,
      kind,
      title,
      address: path,
      state: 'live' as const,
      language: null,
      template,
    };
    return { ...base, ...pageRecords(path, kind) };
  });
  const withPages = { ...empty, pages: withNodesLast(empty.pages, pages) };
  const menus = menuOutlines.map(({ key, name }) => ({
    id: mintId('menu', random),
    parent: site.id,
    key,
    name,
    language: 'en',
    description: '',
  }));
  const items = menuOutlines.flatMap(({ outline }, at) =>
    itemsOf(outline, menus[at]?.id ?? '', withPages, idOf, random),
  );
  const whole = {
    ...withPages,
    menus: withNodesLast(empty.menus, menus),
    items: withNodesLast(empty.items, items),
  };
  const at = (path: string): string => pageAt(idOf, path);
  const drifted = withWaitingDrift(whole, at, (kind) => mintId(kind, random));
  const withParts = withPanels(drifted, at, () => mintId('part', random));
  const keys = new Map(menus.map(({ id, key }) => [key, id]));
  const frame = quillmereFrame(site.id, keys, at, () => mintId('part', random));
  const upper = frame.find(({ kind }) => kind === 'band')?.id ?? '';
  const { tokens, styles } = quillmereLook(site.id, upper);
  return toStored({
    ...withParts,
    parts: withNodesLast(withParts.parts, frame),
    tokens: withNodesLast(empty.tokens, tokens),
    styles: withNodesLast(empty.styles, styles),
  });
}

function pageAt(idOf: ReadonlyMap<string, string>, path: string): string {
  const id = idOf.get(path);
  if (id === undefined) throw new Error(`Quillmere has no page at ${path}.`);
  return id;
}

function itemsOf(
  outline: string,
  menu: string,
  document: SiteDocument,
  idOf: ReadonlyMap<string, string>,
  random: RandomBits,
): Item[] {
  const parents: string[] = [];
  return outline
    .trim()
    .split('\n')
    .map((line) => {
      const depth = (line.length - line.trimStart().length) / 2;
      const [label = '', target = null] = line.trim().startsWith('/')
        ? ['', line.trim()]
        : line.trim().split(' > ');
      const id = mintId('item', random);
      parents[depth] = id;
      const destination = destinationOf(target, idOf);
      const agreed = destination.kind === 'page' ? factsOf(document, destination.page) : null;
      const parent = depth === 0 ? menu : (parents[depth - 1] ?? menu);
      return {
        id,
        parent,
        label: label.replace(/ \+$/, '') || null,
        destination,
        opensNewTab: label.endsWith(' +'),
        agreed,
        ...settingsFor(target),
      };
    });
}

function destinationOf(target: string | null, idOf: ReadonlyMap<string, string>): Destination {
  if (target === null) return { kind: 'none' };
  return target.startsWith('/')
    ? { kind: 'page', page: pageAt(idOf, target), anchor: null }
    : { kind: 'address', address: target };
}

function factsOf(document: SiteDocument, page: string): Item['agreed'] {
  const { title, address, kind } = nodeAt(document.pages, page);
  return { title, address, ...spotOf(document.pages, page), kind };
}

function settingsFor(target: string | null): Settings {
  return Object.entries(itemSettings).find(([end]) => target?.endsWith(end) === true)?.[1] ?? {};
}
