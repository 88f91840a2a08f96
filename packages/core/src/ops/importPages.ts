import * as Type from 'typebox';
import type { Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { withForest, type SiteDocument } from '../model/document.ts';
import { childrenOf, hasSpot, spotOf, withNode, withNodesLast, withoutNode } from '../model/forest.ts';
import { PageShape, type Page } from '../schema/page.ts';
import { closed } from '../schema/shapes.ts';
import { movePage, type MovePage } from './movePage.ts';
import { stillUsed } from './removePage.ts';
import { updatePage, type UpdatePage } from './updatePage.ts';
import { missing } from './kit/missing.ts';
import { written, type Applied, type OperationKind } from './kit/operationKind.ts';
import { AfterShape } from './kit/spotShape.ts';

/** A page with its place: behind `after` among its parent's children. */
export interface PlacedPage {
  readonly page: Page;
  readonly after: Id | null;
}

/**
 * All that an import changes, as one operation: pages added, then moved, then removed, then changed, each
 * list in its order. An import of a person's never removes (it retires: `changed` with the state `gone`);
 * `removed` is there for taking back additions.
 */
export interface ImportPages {
  readonly kind: 'importPages';
  readonly added: readonly PlacedPage[];
  readonly moved: readonly MovePage[];
  readonly removed: readonly PlacedPage[];
  readonly changed: readonly UpdatePage[];
}

const PlacedPageShape = Type.Object({ page: PageShape, after: AfterShape }, closed);

export const importPages: OperationKind<ImportPages, ImportPages> = {
  kind: 'importPages',
  shape: Type.Object(
    {
      kind: Type.Literal('importPages'),
      added: Type.Array(PlacedPageShape),
      moved: Type.Array(movePage.shape),
      removed: Type.Array(PlacedPageShape),
      changed: Type.Array(updatePage.shape),
    },
    closed,
  ),

  apply(document, operation): Result<Applied<ImportPages>> {
    const added = addAll(document, operation.added);
    if (!added.ok) return added;
    const moved = applyEach(added.value, operation.moved, movePage);
    if (!moved.ok) return moved;
    const removed = removeAll(moved.value.document, operation.removed);
    if (!removed.ok) return removed;
    const changed = applyEach(removed.value.document, operation.changed, updatePage);
    if (!changed.ok) return changed;
    return ok({
      document: changed.value.document,
      operation: {
        ...operation,
        moved: moved.value.done,
        removed: removed.value.done,
        changed: changed.value.done,
      },
    });
  },

  /**
   * Exact although the four steps keep their order: changing pages and placing them do not touch each other,
   * and what was removed last is added back first, which is what the moves back need.
   */
  invert: ({ added, moved, removed, changed }) => ({
    kind: 'importPages',
    added: removed.toReversed(),
    moved: moved.toReversed().map(movePage.invert),
    removed: added.toReversed(),
    changed: changed.toReversed().map(updatePage.invert),
  }),

  describe: (_, { added, removed, moved, changed }) => {
    const gone = removed.length + changed.filter(({ set }) => set.state === 'gone').length;
    return sentence('pagesRead', {
      added: added.length,
      gone,
      changed: changed.length + moved.length + removed.length - gone,
    });
  },

  touches: ({ added, moved, removed, changed }) => {
    const ids = new Set([...added, ...removed].map(({ page }) => page.id));
    for (const { id } of [...moved, ...changed]) ids.add(id);
    return [...ids].map((id) => ({ forest: 'pages', id }));
  },

  writes: ({ added, changed }) => [
    ...added.map(({ page }) => written('pages', page)),
    ...changed.flatMap(updatePage.writes),
  ],

  overwritten(document, { added, moved, removed, changed }) {
    const own = new Set(added.map(({ page }) => page.id));
    const movedTo = new Map(moved.map(({ id, to }) => [id, to.parent]));
    for (const { page } of added) {
      const present = document.pages.nodes.get(page.id);
      if (present?.parent !== page.parent) return { forest: 'pages', id: page.id };
      for (const child of childrenOf(document.pages, page.id)) {
        if (!own.has(child) && movedTo.get(child) !== page.id) return { forest: 'pages', id: child };
      }
    }
    const back = removed.find(({ page }) => document.pages.nodes.has(page.id));
    if (back !== undefined) return { forest: 'pages', id: back.page.id };
    for (const one of moved)
      if (movePage.overwritten(document, one) !== null) return { forest: 'pages', id: one.id };
    for (const one of changed)
      if (updatePage.overwritten(document, one) !== null) return { forest: 'pages', id: one.id };
    return null;
  },

  claims: ({ added, moved, removed, changed }) => [
    ...[...added, ...removed].map(({ page }) => `pages ${page.id} *`),
    ...added.map(({ page }) => `pages ${page.parent} inside`),
    ...moved.flatMap(movePage.claims),
    ...changed.flatMap(updatePage.claims),
  ],

  shift(forest, spot, { moved, removed }) {
    if (forest !== 'pages') return spot;
    const shifted = moved.reduce((at, one) => movePage.shift(forest, at, one), spot);
    return removed.reduce(
      (at, { page, after }) => (at.after === page.id && at.parent === page.parent ? { ...at, after } : at),
      shifted,
    );
  },

  rebase: (operation, through) => ({
    ...operation,
    added: operation.added.map(({ page, after }) => ({
      page,
      after: through('pages', { parent: page.parent, after }).after,
    })),
    moved: operation.moved.map((one) => movePage.rebase(one, through)),
  }),
};

/**
 * Adds pages. Runs of pages that come last under their parents, which is what a first import is made of, go
 * in at once.
 */
function addAll(document: SiteDocument, added: readonly PlacedPage[]): Result<SiteDocument> {
  const { site } = document;
  let { pages } = document;
  let run: Page[] = [];
  const lastOf = new Map<Id, Id | null>();
  const known = new Set<Id>();
  const settle = (): void => {
    if (run.length > 0) pages = withNodesLast(pages, run);
    run = [];
  };
  for (const { page, after } of added) {
    const { id, parent } = page;
    if (known.has(id) || pages.nodes.has(id)) return no(refusal('alreadyThere', { id }));
    if (parent !== site.id && !known.has(parent) && !pages.nodes.has(parent))
      return no(refusal('noSuchPlace', { label: page.title, id: parent }));
    known.add(id);
    if (!lastOf.has(parent)) lastOf.set(parent, childrenOf(pages, parent).last());
    if (lastOf.get(parent) === after) {
      run.push(page);
      lastOf.set(parent, id);
      continue;
    }
    settle();
    if (!hasSpot(pages, { parent, after }))
      return no(refusal('noSuchPlace', { label: page.title, id: after ?? parent }));
    pages = withNode(pages, page, after);
  }
  settle();
  return ok(withForest(document, 'pages', pages));
}

/** Removes pages one by one, leaves first, and notes what each was and where it stood then. */
function removeAll(
  document: SiteDocument,
  removed: readonly PlacedPage[],
): Result<{ document: SiteDocument; done: PlacedPage[] }> {
  const used = stillUsed(
    document,
    removed.map(({ page }) => page),
  );
  if (used !== null) return no(used);
  const done: PlacedPage[] = [];
  let { pages } = document;
  for (const { page } of removed) {
    const present = pages.nodes.get(page.id);
    if (present === undefined) return no(missing('pages', page.id));
    const count = childrenOf(pages, page.id).size;
    if (count > 0) return no(refusal('notEmpty', { label: present.title, count }));
    done.push({ page: present, after: spotOf(pages, page.id).after });
    pages = withoutNode(pages, page.id);
  }
  return ok({ document: withForest(document, 'pages', pages), done });
}

function applyEach<O extends { readonly kind: string }>(
  document: SiteDocument,
  operations: readonly O[],
  kind: OperationKind<O>,
): Result<{ document: SiteDocument; done: O[] }> {
  const done: O[] = [];
  let current = document;
  for (const operation of operations) {
    const result = kind.apply(current, operation);
    if (!result.ok) return result;
    if (result.value.document !== current) done.push(result.value.operation);
    current = result.value.document;
  }
  return ok({ document: current, done });
}
