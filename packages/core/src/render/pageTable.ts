import { isPagePath } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import { pathKey } from '../base/pathKey.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { preorder } from '../walk/preorder.ts';

/** A page that visitors can be on. */
export interface PageRow {
  /** By `pathKey`; no two rows have the same. */
  readonly path: string;
  /** The row of the nearest page above it that visitors can be on; -1: none. */
  readonly parent: number;
  readonly template: string | null;
}

/** The live pages of a site, a parent before its children. Of pages with the same path, the first. O(pages). */
export function pageTable({ pages, site }: SiteDocument): PageRow[] {
  const rows: PageRow[] = [];
  const rowOf = new Map<Id, number>();
  const known = new Set<string>();
  for (const { node: id } of preorder<Id>(childrenOf(pages, site.id), (one) => childrenOf(pages, one))) {
    const { parent, state, address, template } = nodeAt(pages, id);
    const above = rowOf.get(parent) ?? -1;
    const path = pathKey(address);
    if (state !== 'live' || !isPagePath(address) || known.has(path)) {
      // What is below it belongs to what is above it.
      rowOf.set(id, above);
      continue;
    }
    known.add(path);
    rowOf.set(id, rows.length);
    rows.push({ path, parent: above, template });
  }
  return rows;
}
