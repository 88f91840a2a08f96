import { isSafeAddress } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { destinationAt } from '../model/destinationAt.ts';
import type { PageIndex } from '../model/pageIndex.ts';
import { partRefs } from '../refs/partRefs.ts';
import type { Path } from '../schema/ref.ts';
import { replacedAt, valueAt } from '../refs/replacedAt.ts';
import type { PartSketch, PortableSketch } from '../schema/preset.ts';

/**
 * A panel, or a frame, as it can go from one site to another: pages by their addresses, menus by their keys. Uploaded
 * pictures stay where they are; a part for one goes along and waits for another. As deep as a panel.
 */
export function portablePanel(document: SiteDocument, rows: readonly PartSketch[]): PortableSketch[] {
  const addressOf = (page: Id): string => document.pages.nodes.get(page)?.address ?? '/';
  return rows.map(({ parts, ...row }) => {
    let portable: PortableSketch = row;
    for (const { to, value, role, path } of partRefs(row)) {
      const holder = path.slice(0, -1);
      if (to === 'file') portable = replacedAt(portable, holder, undefined);
      if (to === 'menu') portable = replacedAt(portable, path, document.menus.nodes.get(value)?.key ?? value);
      if (to === 'item') portable = replacedAt(portable, path, undefined);
      if (to === 'page' && role !== 'link') portable = replacedAt(portable, path, addressOf(value));
      if (to === 'page' && role === 'link') {
        const anchor = valueAt(row, [...holder, 'anchor']);
        const address = `${addressOf(value)}${typeof anchor === 'string' ? `#${encodeURIComponent(anchor)}` : ''}`;
        portable = replacedAt(portable, holder, { kind: 'address', address });
      }
    }
    return parts === undefined ? portable : { ...portable, parts: portablePanel(document, parts) };
  });
}

/**
 * The same back on a site: parts that name a menu, or look below a page, that is not there are left out, and
 * so are searches at an address that no link may lead to; a link to such an address waits for another one.
 */
export function panelOnSite(
  document: SiteDocument,
  index: PageIndex,
  rows: readonly PortableSketch[],
): PartSketch[] {
  const menuOf = (key: string): Id | undefined =>
    [...document.menus.nodes.values()].find((menu) => menu.key === key)?.id;
  return rows.flatMap(({ parts, ...row }) => {
    let here: PartSketch = row;
    for (const { to, value, role, path } of partRefs(row)) {
      const isTarget = to === 'address' && isDestination(path);
      const known = to === 'menu' ? menuOf(value) : to === 'page' ? index.byAddress(value)?.id : value;
      // A place may wait for a menu; an exception for a page that is not there is about nothing.
      if (to === 'menu' && role === 'memory' && known === undefined) here = replacedAt(here, path, undefined);
      else if (isTarget) here = replacedAt(here, path.slice(0, -1), destinationAt(index, value));
      else if (known === undefined || (to === 'address' && !isSafeAddress(value))) return [];
      else here = replacedAt(here, path, known);
    }
    return [parts === undefined ? here : { ...here, parts: panelOnSite(document, index, parts) }];
  });
}

/** Whether the address at a path is where a link leads, and not where a search is sent. */
function isDestination(path: Path): boolean {
  return path.at(-2) === 'destination' || path.at(-2) === 'to';
}
