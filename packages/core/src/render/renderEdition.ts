import type { Measure } from '../fit/measure.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import { filesOfParts, filesShown } from '../resolve/filesShown.ts';
import type { CompareTitles } from '../resolve/followedPages.ts';
import { placementOf } from '../resolve/placementOf.ts';
import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { allAreaFacts } from '../resolve/resolveFrame.ts';
import { resolveMenu } from '../resolve/resolveMenu.ts';
import { sheetOf, styledIn } from '../resolve/sheetOf.ts';
import { withFollowed } from '../resolve/withFollowed.ts';
import { preorder } from '../walk/preorder.ts';
import { editionFrame, slotNeeds, type FrameIndex } from './editionFrame.ts';
import type { FrameTable } from './frameVariants.ts';
import { embedScript } from './embedScript.ts';
import { pageTable, type PageRow } from './pageTable.ts';
import { isFetched } from './panelHtml.ts';
import { formOf, renderMenu, renderPanel } from './renderMenu.ts';
import type { FrameLook } from './frameLook.ts';
import { lookFilesOf, renderStyles } from './renderStyles.ts';
import { siteScript } from './siteScript.ts';

/** A file as the site is served it, at its path below the site's delivery address. */
export interface EditionFile {
  readonly path: string;
  readonly type: string;
  readonly body: string;
}

/** All that an edition consists of. */
export interface Edition {
  readonly files: readonly EditionFile[];
  /** The pages that visitors can be on: a parent before its children. */
  readonly pages: readonly PageRow[];
  /** The frame, whose fragments are among the files; null: nobody has composed one. */
  readonly frame: FrameIndex | null;
  /** The hashes of the uploaded files that it shows. */
  readonly uploads: readonly string[];
  /** How many items visitors get, over all menus. */
  readonly items: number;
}

/** How an edition is made. */
export interface EditionChoices {
  /** Orders titles in the site's language. */
  readonly compareTitles: CompareTitles;
  /** What the names of picture files are put behind: where they are served. */
  readonly pictures: string;
  /** The variants of the frame, where they are known already. */
  readonly table?: FrameTable;
  /** Measures text, for bars that do something where they do not fit; not there: they wrap. */
  readonly measure?: Measure;
}

const HTML = 'text/html; charset=utf-8';
const JSON_TYPE = 'application/json; charset=utf-8';

/**
 * Everything that a site is served of a document: each menu as data and as HTML, the panels that are fetched,
 * the style sheet, the script. A menu that stands in no place is written as a list. O(pages + items).
 */
export function renderEdition(
  stored: SiteDocument,
  { compareTitles, pictures, table, measure }: EditionChoices,
): Edition {
  const document = withFollowed(stored, compareTitles);
  const menus = resolvedMenus(document, compareTitles);
  const placed = menus.map(({ id, menu }) => ({ menu, place: placementOf(document, id)?.place ?? 'inPage' }));
  const all = menus.map(({ menu }) => menu);
  const byId = new Map(menus.map(({ id, menu }) => [id, menu]));
  const frame = editionFrame(document, {
    compareTitles,
    pictures,
    table,
    measure,
    menuOf: (id) => byId.get(id) ?? null,
  });
  const look: FrameLook = {
    parts: frame?.parts ?? [],
    areas: allAreaFacts(document),
    does: frame?.does ?? new Set(),
  };
  const sheet = sheetOf(document);
  const style = renderStyles(document.site, all, look, sheet, pictures);
  const files: EditionFile[] = [
    { path: 'navigation.css', type: 'text/css; charset=utf-8', body: style },
    { path: 'navigation.js', type: 'text/javascript; charset=utf-8', body: siteScript(look) },
    { path: 'embed.js', type: 'text/javascript; charset=utf-8', body: embedScript },
  ];
  const styled = styledIn(document);
  for (const { menu, place } of placed) {
    const { key, items } = menu;
    files.push({ path: `menus/${key}`, type: JSON_TYPE, body: JSON.stringify(menu) });
    const html = renderMenu(menu, { place, pictures, styled, panels: `panels/${key}` });
    files.push({ path: `menus/${key}.html`, type: HTML, body: html });
    for (const item of formOf(place) === 'bar' ? items.filter(isFetched) : [])
      files.push({
        path: `panels/${key}/${item.id}.html`,
        type: HTML,
        body: renderPanel(menu, item, { place, pictures, styled }),
      });
  }
  for (const { path, body } of frame?.files ?? [])
    files.push({ path, type: path.endsWith('.json') ? JSON_TYPE : HTML, body });
  return {
    files,
    pages: pageTable(
      document,
      frame === null ? {} : { frameOf: frame.table.ofPage, ...slotNeeds(frame.index) },
    ),
    frame: frame?.index ?? null,
    uploads: [
      ...new Set([
        ...all.flatMap((menu) => [...filesShown(menu)]),
        ...filesOfParts(frame?.parts ?? []),
        ...lookFilesOf(sheet),
      ]),
    ],
    items: all.reduce((sum, menu) => sum + countOf(menu), 0),
  };
}

/** All menus of a document whose live lists are filled, as visitors get them, in their order. */
export function resolvedMenus(
  document: SiteDocument,
  compareTitles: CompareTitles,
): { readonly id: string; readonly menu: ResolvedMenu }[] {
  return [...childrenOf(document.menus, document.site.id)].map((id) => ({
    id,
    menu: resolveMenu(document, id, { compareTitles }),
  }));
}

function countOf({ items }: ResolvedMenu): number {
  return [...preorder<ResolvedItem>(items, ({ children }) => children)].length;
}
