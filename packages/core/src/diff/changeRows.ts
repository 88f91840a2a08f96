import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { importPages, type ImportPages } from '../ops/importPages.ts';
import { ancestors } from '../walk/ancestors.ts';
import { preorder } from '../walk/preorder.ts';
import type { Page } from '../schema/page.ts';

/** A page as it will be: what changes about it, or, where nothing does, what changes below it. */
export interface ChangeRow {
  readonly title: string;
  readonly address: string;
  /** How deep it is in the site, from 0. */
  readonly depth: number;
  readonly isNew?: true;
  readonly isDeleted?: true;
  /** What it was called, what it stood below, and what its address was, where that changes. */
  readonly wasTitle?: string;
  readonly wasUnder?: string;
  readonly wasAddress?: string;
}

/** What an import of pages changes, each change in its place in the site, and how many are not listed. */
export interface ChangeTree {
  readonly rows: readonly ChangeRow[];
  readonly left: number;
}

/**
 * The pages that an import changes, with those above them, in the order of the site as it will be. Pages of which only facts
 * change are not among them. `most`: so many rows are listed. O(pages).
 */
export function changeTree(document: SiteDocument, operation: ImportPages, most: number): ChangeTree {
  const applied = importPages.apply(document, operation);
  if (!applied.ok) return { rows: [], left: 0 };
  const after = applied.value.document;
  const changes = changesOf(document, operation);
  const isShown = new Set<Id>();
  for (const id of changes.keys()) {
    const page = after.pages.nodes.get(id);
    if (page === undefined) continue;
    isShown.add(id);
    for (const above of ancestors<Page>(page, ({ parent }) => after.pages.nodes.get(parent)))
      isShown.add(above.id);
  }
  const rows: ChangeRow[] = [];
  let left = 0;
  for (const { node: id, depth } of preorder<Id>(childrenOf(after.pages, after.site.id), (one) =>
    isShown.has(one) ? childrenOf(after.pages, one) : [],
  )) {
    if (!isShown.has(id)) continue;
    if (rows.length < most) {
      const { title, address } = nodeAt(after.pages, id);
      rows.push({ title, address, depth, ...changes.get(id) });
    } else if (changes.has(id)) left += 1;
  }
  return { rows, left };
}

type Change = Pick<ChangeRow, 'isNew' | 'isDeleted' | 'wasTitle' | 'wasUnder' | 'wasAddress'>;

function changesOf(document: SiteDocument, { added, moved, changed }: ImportPages): Map<Id, Change> {
  const changes = new Map<Id, Change>();
  const note = (id: Id, change: Change): void => void changes.set(id, { ...changes.get(id), ...change });
  for (const { page } of added) note(page.id, { isNew: true });
  for (const { id, from, to } of moved)
    if (from.parent !== to.parent) note(id, { wasUnder: nameOf(document, 'pages', from.parent) });
  for (const { id, set, was } of changed) {
    if (set.state === 'gone') note(id, { isDeleted: true });
    if (set.title !== undefined && was.title != null) note(id, { wasTitle: was.title });
    if (set.address !== undefined && was.address != null) note(id, { wasAddress: was.address });
  }
  return changes;
}
