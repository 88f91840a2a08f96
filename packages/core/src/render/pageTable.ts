import { isPagePath } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import { pathKey } from '../base/pathKey.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import type { PageAnchor } from '../schema/page.ts';
import { preorder } from '../walk/preorder.ts';

/** A page that visitors can be on. */
export interface PageRow {
  /** By `pathKey`; no two rows have the same. */
  readonly path: string;
  /** The row of the nearest page above it that visitors can be on; -1: none. */
  readonly parent: number;
  readonly template: string | null;
  /** Which combination of variants of the frame is on it; not there: the first. */
  readonly frame?: number;
  /** What parts of the frame say of it: its title, as it is shown, and its anchors. */
  readonly title?: string;
  readonly address?: string;
  readonly anchors?: readonly PageAnchor[];
}

/** What rows have besides. */
export interface PageRowChoices {
  readonly frameOf?: ReadonlyMap<Id, number>;
  readonly hasTitles?: boolean;
  readonly hasAnchors?: boolean;
}

/** The live pages of a site, a parent before its children. Of pages with the same path, the first. O(pages). */
export function pageTable(
  { pages, site }: SiteDocument,
  { frameOf, hasTitles = false, hasAnchors = false }: PageRowChoices = {},
): PageRow[] {
  const rows: PageRow[] = [];
  const rowOf = new Map<Id, number>();
  const known = new Set<string>();
  for (const { node: id } of preorder<Id>(childrenOf(pages, site.id), (one) => childrenOf(pages, one))) {
    const { parent, state, address, template, title, anchors } = nodeAt(pages, id);
    const above = rowOf.get(parent) ?? -1;
    const path = pathKey(address);
    if (state !== 'live' || !isPagePath(address) || known.has(path)) {
      // What is below it belongs to what is above it.
      rowOf.set(id, above);
      continue;
    }
    known.add(path);
    rowOf.set(id, rows.length);
    const frame = frameOf?.get(id) ?? 0;
    rows.push({
      path,
      parent: above,
      template,
      ...(frame === 0 ? {} : { frame }),
      ...(hasTitles ? { title, address } : {}),
      ...(hasAnchors && anchors !== undefined ? { anchors } : {}),
    });
  }
  return rows;
}
