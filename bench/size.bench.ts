import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';
import { transform } from 'lightningcss';
import {
  nodeAt,
  childrenOf,
  siteScripts,
  placementOf,
  readStored,
  renderEdition,
  renderMenu,
  resolveMenu,
  type ResolvedItem,
} from '@zorvik/core';
import { quillmereDocument } from '../demo/quillmere/quillmereDocument.ts';
import type { Figure } from './figure.ts';

const web = fileURLToPath(new URL('../build/web', import.meta.url));
const packed = (text: string | Buffer): number => brotliCompressSync(text).length / 1024;

/** The barest nested list with the same links. */
function bareList(items: readonly ResolvedItem[]): string {
  const entries = items.map(
    ({ label, href, children }) =>
      `<li>${href === null ? label : `<a href="${href}">${label}</a>`}${children.length === 0 ? '' : bareList(children)}</li>`,
  );
  return `<ul>${entries.join('')}</ul>`;
}

/**
 * What the first load of Arrange brings: what the page names, the view, and all that these import statically,
 * with the styles of each.
 */
function firstLoad(): number {
  const assets = readdirSync(join(web, 'assets'));
  const page = readFileSync(join(web, 'index.html'), 'utf8');
  const wanted = new Set([...page.matchAll(/assets\/([^"]+\.(?:js|css))/g)].map(([, name = '']) => name));
  for (const name of assets) if (/^ArrangeView-.*\.(?:js|css)$/.test(name)) wanted.add(name);
  // A set goes on over what is added to it meanwhile.
  for (const name of wanted) {
    if (!name.endsWith('.js')) continue;
    const text = readFileSync(join(web, 'assets', name), 'utf8');
    for (const [, found = ''] of text.matchAll(/(?:from|import)\s*["'`]\.\/([^"'`]+\.js)["'`]/g))
      wanted.add(found);
    const [stem = ''] = name.split('-');
    for (const sheet of assets) if (sheet.startsWith(`${stem}-`) && sheet.endsWith('.css')) wanted.add(sheet);
  }
  return [...wanted].reduce((sum, name) => sum + packed(readFileSync(join(web, 'assets', name))), 0);
}

/**
 * The links of items without pictures and text parts: those are what somebody put beside them, and no cost of
 * ours.
 */
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

const byCode = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

export function sizeFigures(): Figure[] {
  const document = readStored(quillmereDocument());
  const menus = [...childrenOf(document.menus, document.site.id)].map((id) => ({
    menu: resolveMenu(document, id),
    place: placementOf(document, id)?.place ?? ('inPage' as const),
    key: nodeAt(document.menus, id).key,
  }));
  const html = menus
    .map(({ menu, place }) => renderMenu({ ...menu, items: linksAlone(menu.items) }, { place }))
    .join('');
  const bare = menus.map(({ menu }) => bareList(menu.items)).join('');
  const css = renderEdition(document, { compareTitles: byCode, pictures: '' }).files.find(({ path }) =>
    path.endsWith('.css'),
  );
  const sheet = css?.body ?? '';
  const least = transform({ filename: 'navigation.css', code: Buffer.from(sheet), minify: true }).code;
  return [
    { name: 'app-size', ours: firstLoad(), reference: 240, unit: 'KB', target: 1 },
    { name: 'out-js', ours: packed(siteScripts.core), reference: 2.5, unit: 'KB', target: 1 },
    // What each further feature adds to the script of a site that uses it.
    ...siteScripts.features.map(({ name, script }) => ({
      name: `out-js-${name}`,
      ours: packed(`${siteScripts.core}\n${script}`) - packed(siteScripts.core),
      reference: 0.5,
      unit: 'KB',
      target: 1,
    })),
    { name: 'out-css', ours: packed(sheet), reference: 6, unit: 'KB', target: 1 },
    {
      name: 'out-css-least',
      ours: packed(sheet),
      reference: packed(Buffer.from(least)),
      unit: 'KB',
      target: 1.5,
    },
    { name: 'out-html', ours: packed(html), reference: packed(bare), unit: 'KB', target: 1.5 },
  ];
}
