import { missing } from '../ops/kit/missing.ts';
import { completeAddress, isSafeAddress } from '../base/address.ts';
import { mintId, type Id } from '../base/ids.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { sentence } from '../base/sentences.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import { branchOf } from '../model/branchOf.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import type { Edit } from '../ops/edit.ts';
import type { Operation } from '../ops/registry.ts';
import { LONGEST_ADDRESS } from '../schema/shapes.ts';
import type { Destination, Item } from '../schema/item.ts';
import { checkLabel } from './checkLabel.ts';
import { makeEdit, type CommandContext } from './context.ts';
import { topmost } from './topmost.ts';

/** Pages to add, each with what stands below it in the structure, down to `depth` levels below (0: itself alone). */
export interface PagesToAdd {
  readonly pages: readonly Id[];
  readonly depth: number;
  readonly spot: Spot;
}

/** Adds pages to a menu as items, in the order given, with their nesting. Pages that are gone are left out below the chosen ones. */
export function addPages(context: CommandContext, { pages, depth, spot }: PagesToAdd): Result<Edit> {
  const operations: Operation[] = [];
  let { after } = spot;
  for (const page of pages) {
    if (!context.document.pages.nodes.has(page)) return no(missing('pages', page));
    const branch = itemsFor(context, page, spot.parent, depth);
    operations.push({ kind: 'addItem', after, branch });
    after = branch[0]?.id ?? after;
  }
  const count = operations.reduce((sum, one) => sum + (one.kind === 'addItem' ? one.branch.length : 0), 0);
  const parent = nameOf(context.document, 'items', spot.parent);
  return makeEdit(context, operations, count > 1 ? { sentence: sentence('itemsAdded', { count, parent }) } : {});
}

function itemsFor(context: CommandContext, page: Id, parent: Id, depth: number): Item[] {
  const { document } = context;
  const items: Item[] = [];
  const stack = [{ page, parent, left: depth }];
  for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
    const item = itemFor(context, next.page, next.parent);
    items.push(item);
    if (next.left === 0) continue;
    const below = [...childrenOf(document.pages, next.page)].filter((id) => nodeAt(document.pages, id).state !== 'gone');
    for (const child of below.reverse()) stack.push({ page: child, parent: item.id, left: next.left - 1 });
  }
  return items;
}

function itemFor({ document, random }: CommandContext, page: Id, parent: Id): Item {
  const destination: Destination = { kind: 'page', page, anchor: null };
  return { id: mintId('item', random), parent, label: null, destination, opensNewTab: false, agreed: agreedFacts(document, page) };
}

/** Adds a link to an address, or a heading when there is none. */
export function addLink(context: CommandContext, spot: Spot, typed: { readonly label: string; readonly address: string | null }): Result<Edit> {
  const label = checkLabel(typed.label);
  if (!label.ok) return label;
  const destination = typed.address === null ? ok<Destination>({ kind: 'none' }) : addressed(typed.address);
  if (!destination.ok) return destination;
  const item: Item = {
    id: mintId('item', context.random),
    parent: spot.parent,
    label: label.value,
    destination: destination.value,
    opensNewTab: false,
    agreed: null,
  };
  return makeEdit(context, [{ kind: 'addItem', after: spot.after, branch: [item] }]);
}

function addressed(typed: string): Result<Destination> {
  const address = completeAddress(typed);
  if (address.length > LONGEST_ADDRESS) return no(refusal('tooLong', { what: 'an address', length: address.length, most: LONGEST_ADDRESS }));
  return isSafeAddress(address) ? ok({ kind: 'address', address }) : no(refusal('badAddress', { address: typed.trim() }));
}

/** Gives an item a label of its own; an empty one, or its page's very title, gives it back its page's title. */
export function renameItem(context: CommandContext, id: Id, typed: string): Result<Edit> {
  const { document } = context;
  const item = document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  const was = { label: item.label };
  const title = item.destination.kind === 'page' ? document.pages.nodes.get(item.destination.page)?.title : undefined;
  const takesTitle = title !== undefined && (typed.trim() === '' || typed.trim() === title);
  const label = takesTitle ? ok(null) : checkLabel(typed);
  if (!label.ok) return label;
  return makeEdit(context, [{ kind: 'updateItem', id, set: { label: label.value }, was }], { label: nameOf(document, 'items', id) });
}

/** Lets an item lead elsewhere. `typed` is an address as a person types it; an item that had its page's title keeps it as its own. */
export function leadTo(context: CommandContext, id: Id, to: { readonly page: Id } | { readonly typed: string } | 'nothing'): Result<Edit> {
  const { document } = context;
  const item = document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  if (typeof to === 'object' && 'page' in to && !document.pages.nodes.has(to.page)) return no(missing('pages', to.page));
  const label = nameOf(document, 'items', id);
  const destination =
    to === 'nothing' ? ok<Destination>({ kind: 'none' }) : 'page' in to ? ok<Destination>({ kind: 'page', page: to.page, anchor: null }) : addressed(to.typed);
  if (!destination.ok) return destination;
  const isPage = destination.value.kind === 'page';
  const agreed = destination.value.kind === 'page' ? agreedFacts(document, destination.value.page) : null;
  const set = { destination: destination.value, agreed, ...(isPage || item.label !== null ? {} : { label }) };
  const was = { destination: item.destination, agreed: item.agreed, ...('label' in set ? { label: item.label } : {}) };
  return makeEdit(context, [{ kind: 'updateItem', id, set, was }], { label });
}

/** Says in which tab an item opens. */
export function openIn(context: CommandContext, id: Id, opensNewTab: boolean): Result<Edit> {
  const item = context.document.items.nodes.get(id);
  if (item === undefined) return no(missing('items', id));
  const was = { opensNewTab: item.opensNewTab };
  return makeEdit(context, [{ kind: 'updateItem', id, set: { opensNewTab }, was }], { label: nameOf(context.document, 'items', id) });
}

/** Puts items, with what is below them, at a spot, in their order. */
export function moveItems(context: CommandContext, chosen: readonly Id[], spot: Spot): Result<Edit> {
  const { document } = context;
  const ids = topmost(document.items, chosen);
  let after = anchorOutside(context, spot, new Set(ids));
  const operations: Operation[] = ids.map((id) => {
    const to = { parent: spot.parent, after };
    after = id;
    return { kind: 'moveItem', id, from: spotOf(document.items, id), to };
  });
  const [first] = ids;
  return makeEdit(context, operations, first === undefined ? {} : { label: nameOf(document, 'items', first) });
}

/** An anchor that moves itself gives way to the sibling before it that stays. */
function anchorOutside({ document }: CommandContext, spot: Spot, moving: ReadonlySet<Id>): Id | null {
  let { after } = spot;
  while (after !== null && moving.has(after)) after = spotOf(document.items, after).after;
  return after;
}

/** Moves items behind the next sibling (`down`) or before the one before (`up`). */
export function shiftItems(context: CommandContext, chosen: readonly Id[], way: 'up' | 'down'): Result<Edit> {
  const { items } = context.document;
  const ids = topmost(items, chosen);
  const edge = way === 'up' ? ids[0] : ids.at(-1);
  if (edge === undefined) return no(refusal('nothingChosen'));
  const { parent, after } = spotOf(items, edge);
  const siblings = childrenOf(items, parent);
  const label = nameOf(context.document, 'items', edge);
  if (way === 'up') return after === null ? no(refusal('alreadyFirst', { label })) : moveItems(context, ids, { parent, after: siblings.before(after) });
  const next = siblings.behind(edge);
  return next === null ? no(refusal('alreadyLast', { label })) : moveItems(context, ids, { parent, after: next });
}

/** Moves items into the sibling before them, behind what is in it. */
export function nestItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { items } = context.document;
  const ids = topmost(items, chosen);
  const [first] = ids;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { after } = spotOf(items, first);
  if (after === null) return no(refusal('cannotNest', { label: nameOf(context.document, 'items', first) }));
  return moveItems(context, ids, { parent: after, after: childrenOf(items, after).last() });
}

/** Moves items out of their parent, to stand right behind it. */
export function unnestItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { items } = context.document;
  const ids = topmost(items, chosen);
  const [first] = ids;
  if (first === undefined) return no(refusal('nothingChosen'));
  const { parent } = nodeAt(items, first);
  const outer = items.nodes.get(parent);
  if (outer === undefined) return no(refusal('alreadyOut', { label: nameOf(context.document, 'items', first) }));
  return moveItems(context, ids, { parent: outer.parent, after: parent });
}

/** Removes items with all below them. */
export function removeItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { document } = context;
  const ids = topmost(document.items, chosen);
  const operations = ids.map((id): Operation => ({ kind: 'removeItem', after: spotOf(document.items, id).after, branch: branchOf(document.items, id) }));
  return makeEdit(context, operations);
}

/** Puts a copy of each branch behind it. */
export function duplicateItems(context: CommandContext, chosen: readonly Id[]): Result<Edit> {
  const { document, random } = context;
  const operations = topmost(document.items, chosen).map((top): Operation => {
    const copyOf = new Map<Id, Id>();
    const branch = branchOf(document.items, top).map((item) => {
      const id = mintId('item', random);
      copyOf.set(item.id, id);
      return { ...item, id, parent: copyOf.get(item.parent) ?? item.parent };
    });
    return { kind: 'addItem', after: top, branch };
  });
  return makeEdit(context, operations);
}
