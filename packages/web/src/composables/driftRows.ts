import {
  childrenOf,
  faceOf,
  labelOf,
  nodeAt,
  preorder,
  spotInOrder,
  type Finding,
  type Id,
  type SiteDocument,
} from '@zorvik/core';

/** One row on either side of the comparison. */
export interface DriftRow {
  readonly key: string;
  /** The page, or the item; null: what would go there. */
  readonly id: Id | null;
  readonly depth: number;
  readonly label: string;
  readonly finding: Finding | null;
}
/** A line between two rows; `to` null: its page is nowhere to be seen. */
export interface DriftLine {
  readonly from: number | null;
  readonly to: number;
  readonly tone: 'agrees' | 'look' | 'broken' | 'new';
  readonly finding: Finding | null;
}
export interface DriftPicture {
  readonly pages: readonly DriftRow[];
  readonly items: readonly DriftRow[];
  readonly lines: readonly DriftLine[];
}

/**
 * The pages that a menu carries beside its items, with what joins them. O(items + siblings of the pages they
 * lead to).
 */
export function driftPicture(
  stored: SiteDocument,
  document: SiteDocument,
  menu: Id,
  findings: readonly Finding[],
): DriftPicture {
  const byItem = new Map<Id, Finding>();
  const byPanel = new Map<Id, Finding>();
  const byPage = new Map<Id, Finding>();
  for (const finding of findings) {
    const marked = finding.part === undefined ? byItem : byPanel;
    if (finding.kind !== 'pageNew' && !marked.has(finding.at)) marked.set(finding.at, finding);
    if (finding.kind === 'pageNew' && finding.page !== null) byPage.set(finding.page, finding);
    for (const item of finding.items ?? []) byItem.set(item, finding);
  }
  // What is amiss in its panel leaves an item as it is: it is marked where nothing else is to be said of it.
  const items = itemRows(stored, document, menu, new Map([...byPanel, ...byItem]), byPage);
  const own = (row: DriftRow): Finding | null => (row.finding?.part === undefined ? row.finding : null);
  const wanted = new Set<Id>(byPage.keys());
  for (const { id } of items) {
    const page = id === null ? null : pageOf(document, id);
    if (page !== null && nodeAt(document.pages, page).state !== 'gone') wanted.add(page);
  }
  const byTarget = new Map<Id, Finding>();
  for (const row of items) {
    const finding = own(row);
    const page = row.id === null || finding === null ? null : pageOf(document, row.id);
    if (page !== null && finding !== null) byTarget.set(page, finding);
  }
  const pages = pageRows(document, wanted, new Map([...byTarget, ...byPage]));
  const rowOf = new Map(pages.map(({ id }, at) => [id, at]));
  const lines = items.flatMap((row, to): DriftLine[] => {
    const { id } = row;
    const finding = own(row);
    const page = id === null ? (finding?.page ?? null) : pageOf(document, id);
    if (page === null) return [];
    const from = rowOf.get(page) ?? null;
    if (id === null) return [{ from, to, tone: 'new', finding }];
    if (from === null) return [{ from, to, tone: 'broken', finding }];
    return [{ from, to, tone: finding === null ? 'agrees' : 'look', finding }];
  });
  return { pages, items, lines };
}

function pageOf(document: SiteDocument, id: Id): Id | null {
  const { destination } = faceOf(document, nodeAt(document.items, id));
  return destination.kind === 'page' ? destination.page : null;
}

function itemRows(
  stored: SiteDocument,
  document: SiteDocument,
  menu: Id,
  byItem: ReadonlyMap<Id, Finding>,
  byPage: ReadonlyMap<Id, Finding>,
): DriftRow[] {
  const rows: DriftRow[] = [];
  const below = (id: Id): Iterable<Id> => childrenOf(document.items, id);
  for (const { node, depth } of preorder<Id>(below(menu), below)) {
    rows.push({
      key: node,
      id: node,
      depth,
      label: labelOf(document, nodeAt(document.items, node)),
      finding: byItem.get(node) ?? null,
    });
  }
  // What would come stands where it would go, with all below the one before it.
  for (const [page, finding] of byPage) {
    const { after } = spotInOrder(stored, finding.at, page);
    const parent = rows.findIndex(({ id }) => id === finding.at);
    const depth = finding.at === menu ? 0 : (rows[parent]?.depth ?? 0) + 1;
    let at = after === null ? parent + 1 : rows.findIndex(({ id }) => id === after) + 1;
    if (after !== null)
      while ((rows[at]?.depth ?? -1) > depth || (rows[at]?.id === null && rows[at]?.depth === depth)) at += 1;
    rows.splice(at, 0, {
      key: `new ${page}`,
      id: null,
      depth,
      label: nodeAt(document.pages, page).title,
      finding,
    });
  }
  return rows;
}

function pageRows(
  document: SiteDocument,
  wanted: ReadonlySet<Id>,
  byPage: ReadonlyMap<Id, Finding>,
): DriftRow[] {
  const { pages, site } = document;
  const seen = new Set<Id>();
  const childrenWanted = new Map<Id, Set<Id>>();
  for (const page of wanted) {
    for (let at = page; at !== site.id && !seen.has(at); at = nodeAt(pages, at).parent) {
      seen.add(at);
      const { parent } = nodeAt(pages, at);
      const siblings = childrenWanted.get(parent);
      if (siblings === undefined) childrenWanted.set(parent, new Set([at]));
      else siblings.add(at);
    }
  }
  const rows: DriftRow[] = [];
  const stack: { readonly id: Id; readonly depth: number }[] = [];
  const push = (parent: Id, depth: number): void => {
    const siblings = childrenWanted.get(parent);
    if (siblings === undefined) return;
    for (const id of [...childrenOf(pages, parent)].filter((one) => siblings.has(one)).reverse())
      stack.push({ id, depth });
  };
  push(site.id, 0);
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const { id, depth } = next;
    const isShown = wanted.has(id);
    if (isShown)
      rows.push({ key: id, id, depth, label: nodeAt(pages, id).title, finding: byPage.get(id) ?? null });
    push(id, isShown ? depth + 1 : depth);
  }
  return rows;
}
