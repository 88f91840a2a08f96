import { missing } from '../ops/kit/missing.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import type { SiteDocument } from '../model/document.ts';
import { LONGEST_ANCHOR } from '../model/destinationAt.ts';
import { faceOf, type Face } from '../model/faceOf.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { pageFace } from '../model/pageFace.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { partsIn } from '../model/partsIn.ts';
import type { Destination, Item } from '../schema/item.ts';
import type { Part } from '../schema/part.ts';
import { MOST_BROUGHT } from './bringIn.ts';
import { checkLabel } from './checkLabel.ts';
import { branchToCopy, copiesAt } from './copies.ts';
import { makeEdit, storedOf, type CommandContext, type EditChoices } from './context.ts';
import { destinationOnSite } from './destinationTyped.ts';
import { faceUpdate } from './faceUpdate.ts';
import { withoutLost } from './panelParts.ts';
import { anchorOutside, stepAlong, stepIn, stepOut, type Step } from './spots.ts';
import { topmost } from './topmost.ts';

/**
 * Pages to add, each with what stands below it in the structure, down to `depth` levels below (0: itself
 * alone).
 */
export interface PagesToAdd {
  readonly pages: readonly Id[];
  readonly depth: number;
  readonly spot: Spot;
}

/**
 * Adds pages to a menu as items, in the order given, with their nesting. Pages that are gone are left out
 * below the chosen ones.
 */
export function addPages(context: CommandContext, wanted: PagesToAdd): Result<Edit> {
  const gone = wanted.pages.find((page) => !context.document.pages.nodes.has(page));
  if (gone !== undefined) return no(missing('pages', gone));
  const { spot } = wanted;
  const operations = pagesToAdd(context, wanted);
  const count = operations.reduce((sum, one) => sum + (one.kind === 'addItem' ? one.branch.length : 0), 0);
  const parent = nameOf(context.document, 'items', spot.parent);
  return makeEdit(
    context,
    operations,
    count > 1 ? { sentence: sentence('itemsAdded', { count, parent }) } : {},
  );
}

/** The operations that add pages which are there: one for each branch. */
export function pagesToAdd(context: CommandContext, { pages, depth, spot }: PagesToAdd): Operation[] {
  let { after } = spot;
  return pages.map((page): Operation => {
    const branch = itemsFor(context, page, spot.parent, depth);
    const operation: Operation = { kind: 'addItem', after, branch };
    after = branch[0]?.id ?? after;
    return operation;
  });
}

function itemsFor(context: CommandContext, page: Id, parent: Id, depth: number): Item[] {
  const { document } = context;
  const items: Item[] = [];
  const stack = [{ page, parent, left: depth }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const item = itemFor(context, next.page, next.parent);
    items.push(item);
    if (next.left === 0) continue;
    for (const child of presentBelow(document, next.page).reverse())
      stack.push({ page: child, parent: item.id, left: next.left - 1 });
  }
  return items;
}

/** How many pages come along below some pages, down to a depth. O(pages that come along). */
export function subpagesToAdd(document: SiteDocument, pages: readonly Id[], depth: number): number {
  let level = [...pages];
  let count = 0;
  for (let left = depth; left > 0 && level.length > 0; left -= 1) {
    level = level.flatMap((page) => presentBelow(document, page));
    count += level.length;
  }
  return count;
}

function presentBelow({ pages }: SiteDocument, page: Id): Id[] {
  return [...childrenOf(pages, page)].filter((id) => nodeAt(pages, id).state !== 'gone');
}

function itemFor({ document, random }: CommandContext, page: Id, parent: Id): Item {
  return { id: mintId('item', random), parent, ...pageFace(document, page) };
}

/**
 * Adds a link to an address, or a heading when there is none; `undecided` leaves open where it leads. The address of a page
 * links to the page, under its title where no other label was typed.
 */
export function addLink(
  context: CommandContext,
  spot: Spot,
  typed: { readonly label: string; readonly address: string | null | 'undecided' },
): Result<Edit> {
  const label = checkLabel(typed.label);
  if (!label.ok) return label;
  const destination =
    typed.address === null || typed.address === 'undecided'
      ? ok<Destination>({ kind: typed.address === null ? 'none' : 'undecided' })
      : destinationOnSite(context.document, typed.address);
  if (!destination.ok) return destination;
  const item: Item = {
    id: mintId('item', context.random),
    parent: spot.parent,
    ...faceTyped(context.document, label.value, destination.value, typed.address),
  };
  return makeEdit(context, [{ kind: 'addItem', after: spot.after, branch: [item] }]);
}

/** The face of a link that was typed: what is called like its page, or like its address, takes the page's title. */
export function faceTyped(
  document: SiteDocument,
  label: string,
  destination: Destination,
  address: string | null,
): Face {
  if (destination.kind !== 'page') return { label, destination, opensNewTab: false, agreed: null };
  const face = pageFace(document, destination.page);
  const isTitle = label === address?.trim() || label === document.pages.nodes.get(destination.page)?.title;
  return { ...face, destination, label: isTitle ? null : label };
}

/**
 * Gives an item a label of its own; an empty one, or its page's very title, gives it back its page's title.
 * `id` may be a shared link's.
 */
export function renameItem(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const { document } = context;
  const face = maybeFace(document, id);
  if (face === null) return no(missing('items', id));
  const title =
    face.destination.kind === 'page' ? document.pages.nodes.get(face.destination.page)?.title : undefined;
  const takesTitle = title !== undefined && (typed.trim() === '' || typed.trim() === title);
  const label = takesTitle ? ok(null) : checkLabel(typed);
  if (!label.ok) return label;
  return makeEdit(context, [faceUpdate(document, id, { label: label.value })], {
    label: labelOf(document, face),
  });
}

/** What an item may be made to lead to; `typed` is an address as a person types it. */
export type Target =
  | { readonly page: Id; readonly anchor?: string | null }
  | { readonly typed: string }
  | 'nothing'
  | 'undecided';

/**
 * Lets an item lead elsewhere. An item that had its page's title keeps it as its own where no page gives it
 * one.
 */
export function leadTo(context: CommandContext, id: Id, to: Target): Result<Edit> {
  const { document } = context;
  const face = maybeFace(document, id);
  if (face === null) return no(missing('items', id));
  const wanted = destinationOf(document, to);
  if (!wanted.ok) return wanted;
  const destination = wanted.value;
  const label = labelOf(document, face);
  const isPage = destination.kind === 'page';
  const agreed = isPage ? agreedFacts(document, destination.page) : null;
  const set = { destination, agreed, ...(isPage || face.label !== null ? {} : { label }) };
  return makeEdit(context, [faceUpdate(document, id, set)], { label });
}

function destinationOf(document: SiteDocument, to: Target): Result<Destination> {
  if (to === 'nothing') return ok({ kind: 'none' });
  if (to === 'undecided') return ok({ kind: 'undecided' });
  if ('typed' in to) return destinationOnSite(document, to.typed);
  if (!document.pages.nodes.has(to.page)) return no(missing('pages', to.page));
  const anchor = (to.anchor ?? '').trim().replace(/^#/, '').slice(0, LONGEST_ANCHOR);
  return ok({ kind: 'page', page: to.page, anchor: anchor === '' ? null : anchor });
}

/** What is seen of an item, or of a shared link. */
export function maybeFace(document: SiteDocument, id: Id): Face | null {
  const item = document.items.nodes.get(id);
  return item === undefined ? (document.sharedLinks.nodes.get(id) ?? null) : faceOf(document, item);
}

/** Puts items, with what is below them, at a spot, in their order. */
export function moveItems(context: CommandContext, chosen: readonly Id[], spot: Spot): Result<Edit> {
  const { document } = context;
  const ids = topmost(document.items, chosen);
  let after = anchorOutside(document.items, spot, new Set(ids));
  const operations: Operation[] = ids.map((id) => {
    const to = { parent: spot.parent, after };
    after = id;
    return { kind: 'moveItem', id, from: spotOf(document.items, id), to };
  });
  const [first] = ids;
  const words =
    ids.length > 1
      ? {
          sentence: sentence('itemsMoved', {
            count: ids.length,
            parent: nameOf(document, 'items', spot.parent),
          }),
        }
      : {};
  return makeEdit(
    context,
    operations,
    first === undefined ? {} : { label: nameOf(document, 'items', first), ...words },
  );
}

/** Moves items behind the next sibling (`down`) or before the one before (`up`). */
export function shiftItems(context: CommandContext, chosen: readonly Id[], way: 'up' | 'down'): Result<Edit> {
  return moveBy(context, stepAlong(context.document.items, chosen, way, naming(context)));
}

/** Moves items into the sibling before them, behind what is in it. */
export function nestItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  return moveBy(context, stepIn(context.document.items, chosen, naming(context)));
}

/** Moves items out of their parent, to stand right behind it. */
export function unnestItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  return moveBy(context, stepOut(context.document.items, chosen, naming(context)));
}

function moveBy(context: CommandContext, step: Result<Step>): Result<Edit> {
  return step.ok ? moveItems(context, step.value.ids, step.value.spot) : step;
}

function naming({ document }: CommandContext): (id: Id) => string {
  return (id) => nameOf(document, 'items', id);
}

/** Removes items with all below them. */
export function removeItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { document } = context;
  const ids = topmost(document.items, chosen);
  const operations = ids.map((id): Operation => ({
    kind: 'removeItem',
    after: spotOf(document.items, id).after,
    branch: branchOf(document.items, id),
  }));
  return makeEdit(
    context,
    operations,
    ids.length > 1
      ? { sentence: sentence('severalRemoved', { count: ids.length }) }
      : hidingWords(document, ids[0] ?? ''),
  );
}

/** What is followed cannot be removed: it is hidden, and follows on. */
function hidingWords(document: SiteDocument, id: Id): EditChoices {
  const item = document.items.nodes.get(id);
  return item?.exception === undefined
    ? {}
    : { sentence: sentence('followedHidden', { label: labelOf(document, item) }) };
}

/** Puts a copy of each branch behind it. */
export function duplicateItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { document, random } = context;
  const tops = topmost(document.items, chosen);
  const operations = tops.flatMap((top) =>
    copiesAt(
      document,
      [branchToCopy(storedOf(context), document, top)],
      { ...spotOf(document.items, top), after: top },
      random,
      (item) => partsIn(document, item),
    ),
  );
  return makeEdit(
    context,
    operations,
    tops.length > 1 ? { sentence: sentence('itemsDuplicated', { count: tops.length }) } : {},
  );
}

/** Copies of chosen branches, to be kept for pasting: each in preorder. */
export function branchesOf(
  context: Pick<CommandContext, 'document' | 'from'>,
  chosen: readonly Id[],
): Item[][] {
  const { document } = context;
  return topmost(document.items, chosen).map((top) => branchToCopy(storedOf(context), document, top));
}

/** The parts of the panels of copied branches, to be kept with them. */
export function panelsOf(
  { document }: Pick<CommandContext, 'document'>,
  branches: readonly (readonly Item[])[],
): Part[][] {
  return branches
    .flat()
    .map(({ id }) => partsIn(document, id))
    .filter(({ length }) => length > 0);
}

/**
 * Adds copies of branches at a spot, with their panels. What leads to a page, or shows a shared link, that is
 * no longer there is not yet decided; parts of panels that name what is not there are left out.
 */
export function pasteItems(
  context: CommandContext,
  branches: readonly (readonly Item[])[],
  spot: Spot,
  panels: readonly (readonly Part[])[] = [],
): Result<Edit> {
  const { document, random } = context;
  const known = branches.map((branch) => branch.map((item) => withKnownTarget(document, item)));
  const count = known.reduce((sum, branch) => sum + branch.length, 0);
  if (count > MOST_BROUGHT) return no(refusal('tooMany', { count, what: 'items', most: MOST_BROUGHT }));
  const words = sentence('itemsPasted', { count, parent: nameOf(document, 'items', spot.parent) });
  const byItem = new Map(panels.map((parts) => [parts[0]?.parent ?? '', withoutLost(document, parts)]));
  return makeEdit(
    context,
    copiesAt(document, known, spot, random, (item) => byItem.get(item) ?? []),
    { sentence: words },
  );
}

function withKnownTarget(document: SiteDocument, { link, ...item }: Item): Item {
  const { destination } = item;
  const isLost = destination.kind === 'page' && !document.pages.nodes.has(destination.page);
  const followed = item.follow?.of;
  const isThere =
    followed === undefined ||
    (followed.kind === 'menu'
      ? document.menus.nodes.has(followed.menu)
      : isPageOrSite(document, followed.page));
  if (!isThere) delete item.follow;
  const kept: Item = isLost
    ? {
        ...item,
        destination: { kind: 'undecided' },
        agreed: null,
        label: item.label ?? item.agreed?.title ?? null,
      }
    : item;
  return link !== undefined && document.sharedLinks.nodes.has(link) ? { ...kept, link } : kept;
}

function isPageOrSite(document: SiteDocument, page: Id | null): boolean {
  return page === null || document.pages.nodes.has(page);
}
