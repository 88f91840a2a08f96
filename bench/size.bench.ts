import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { nodeAt, childrenOf, navigationScript, placementOf, readStored, renderMenu, resolveMenu, type ResolvedItem } from '@zorvik/core';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import type { Figure } from './figure.ts';

const web = fileURLToPath(new URL('../build/web', import.meta.url));
const packed = (text: string | Buffer): number => brotliCompressSync(text).length / 1024;

/** The barest nested list with the same links. */
function bareList(items: readonly ResolvedItem[]): string {
  const entries = items.map(
    ({ label, href, children }) => `<li>${href === null ? label : `<a href="${href}">${label}</a>`}${children.length === 0 ? '' : bareList(children)}</li>`,
  );
  return `<ul>${entries.join('')}</ul>`;
}

/** What the first load of Arrange brings: the entry, what it imports statically, and the view, with their styles. */
function firstLoad(): number {
  const assets = readdirSync(join(web, 'assets'));
  const wanted = new Set(
    assets.filter(
      (name) =>
        /\.(?:js|css)$/.test(name) &&
        !/^(?:live|DesignView|EditionsView|PagesView|SitesView|SitemapForm|ReadPages|_virtual_icon-set|src-|formats|findPages|PlanPage|BringIn|MenuFacts|SharedLinks|BesidePane|ImportPreview|DriftView|drift\.worker|FollowDialog|ReadSite|PageFile|DetailDropdown|DetailColumn)/.test(
          name,
        ),
    ),
  );
  return [...wanted].reduce((sum, name) => sum + packed(readFileSync(join(web, 'assets', name))), 0);
}

/** The links of items without pictures and text parts: those are what somebody put beside them, and no cost of ours. */
function linksAlone(items: readonly ResolvedItem[]): ResolvedItem[] {
  return items.map(({ id, label, href, opensNewTab, dropdown, columns, children }) => ({
    id,
    label,
    href,
    opensNewTab,
    ...(dropdown === undefined ? {} : { dropdown }),
    ...(columns === undefined ? {} : { columns }),
    children: linksAlone(children),
  }));
}

export function sizeFigures(): Figure[] {
  const document = readStored(quillmereDocument());
  const menus = [...childrenOf(document.menus, document.site.id)].map((id) => ({
    menu: resolveMenu(document, id),
    place: placementOf(document, id)?.place ?? ('inPage' as const),
    key: nodeAt(document.menus, id).key,
  }));
  const html = menus.map(({ menu, place }) => renderMenu({ ...menu, items: linksAlone(menu.items) }, { place })).join('');
  const bare = menus.map(({ menu }) => bareList(menu.items)).join('');
  return [
    { name: 'app-size', ours: firstLoad(), reference: 300, unit: 'KB', target: 1 },
    { name: 'out-js', ours: packed(navigationScript), reference: 2.5, unit: 'KB', target: 1 },
    { name: 'out-html', ours: packed(html), reference: packed(bare), unit: 'KB', target: 1.5 },
  ];
}
