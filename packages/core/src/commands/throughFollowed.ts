import type { Id } from '../base/ids.ts';
import { isEqual } from '../base/isEqual.ts';
import { refusal } from '../base/refusal.ts';
import { no, ok, type Result } from '../base/result.ts';
import { agreedFacts } from '../model/agreedFacts.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, spotOf, type Spot } from '../model/forest.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import { partsIn } from '../model/partsIn.ts';
import type { AddItem } from '../ops/addItem.ts';
import { topOf } from '../ops/kit/defineAdd.ts';
import type { MoveItem } from '../ops/moveItem.ts';
import { kindOf, type Operation } from '../ops/registry.ts';
import type { UpdateItem } from '../ops/updateItem.ts';
import type { FillFollowed } from '../resolve/withFollowed.ts';
import type { Pin } from '../schema/follow.ts';
import type { Item } from '../schema/item.ts';
import type { RandomBits } from '../base/ids.ts';
import { branchToCopy, copiesAt } from './copies.ts';

/** What a document is that has something followed filled in: what is kept of it, and how it is filled in. */
export interface FilledFrom {
  readonly stored: SiteDocument;
  readonly fill: FillFollowed;
}

/**
 * Commands work on what is shown, where followed children stand as items like all others; only what is
 * otherwise about such a child is kept, as an exception. So what a command wants done to a followed child
 * becomes an exception here: changing it sets the exception's fields, removing it hides it, moving it among
 * its siblings pins it, moving it elsewhere hides it here and puts a copy there; and what is put among
 * followed children is pinned where it was put. Everything else passes as it is.
 */
export function throughFollowed(
  shown: SiteDocument,
  { stored, fill }: FilledFrom,
  operations: readonly Operation[],
  random: RandomBits,
): Result<Operation[]> {
  if (shown === stored || !operations.some((one) => isConcerned(shown, one))) return ok([...operations]);
  const done: Operation[] = [];
  let at: Here = { stored, shown, random };
  for (const operation of operations) {
    const wanted = isConcerned(at.shown, operation) ? translate(at, operation) : ok([operation]);
    if (!wanted.ok) return wanted;
    let next = at.stored;
    for (const one of wanted.value) {
      const applied = kindOf(one).apply(next, one);
      if (!applied.ok) return applied;
      next = applied.value.document;
    }
    done.push(...wanted.value);
    at = { stored: next, shown: fill(next), random };
  }
  return ok(done);
}

interface Here {
  readonly stored: SiteDocument;
  readonly shown: SiteDocument;
  readonly random: RandomBits;
}

/** Whether an item stands there because something follows. */
export function isFollowed(shown: SiteDocument, id: Id): boolean {
  return shown.items.nodes.get(id)?.exception !== undefined;
}

/** Whether the children of a menu or an item come from elsewhere. */
export function isFollowing(shown: SiteDocument, parent: Id): boolean {
  const item = shown.items.nodes.get(parent);
  return item === undefined
    ? shown.menus.nodes.get(parent)?.follow !== undefined
    : item.follow !== undefined || item.exception !== undefined;
}

/** The menu or the item that follows, of whose doing a followed item is there. O(depth). */
export function holderOf(shown: SiteDocument, id: Id): Id {
  let at = id;
  for (let item = shown.items.nodes.get(at); item?.exception !== undefined; item = shown.items.nodes.get(at))
    at = item.parent;
  return at;
}

function isConcerned(shown: SiteDocument, operation: Operation): boolean {
  const { kind } = operation;
  if (kind === 'addItem') return isFollowing(shown, topOf(operation).parent);
  if (kind === 'updateItem') return isFollowed(shown, operation.id);
  if (kind === 'setStyle') return isFollowed(shown, operation.target.owner);
  if (kind === 'removeItem') return isFollowed(shown, topOf(operation).id);
  if (kind !== 'moveItem') return false;
  return (
    isFollowed(shown, operation.id) ||
    isFollowing(shown, operation.to.parent) ||
    shown.items.nodes.get(operation.id)?.pin !== undefined
  );
}

function translate(at: Here, operation: Operation): Result<Operation[]> {
  const { kind } = operation;
  if (kind === 'addItem') return ok(adding(at, operation));
  if (kind === 'updateItem') return updating(at, operation);
  if (kind === 'setStyle') return ok([...exceptionFor(at, operation.target.owner), operation]);
  if (kind === 'removeItem') return ok(hiding(at, topOf(operation).id));
  if (kind === 'moveItem')
    return ok(isFollowed(at.shown, operation.id) ? movingFollowed(at, operation) : movingOwn(at, operation));
  return ok([operation]);
}

/** What a followed child does not have of its own. */
const TAKEN = ['destination', 'agreed', 'link', 'follow'] as const;

function updating(at: Here, operation: UpdateItem): Result<Operation[]> {
  const { id, set } = operation;
  if (TAKEN.some((field) => field in set))
    return no(refusal('isFollowed', { label: nameOf(at.shown, 'items', id) }));
  const { exception } = nodeAt(at.shown.items, id);
  const source = exception === undefined ? undefined : at.shown.items.nodes.get(exception.of);
  // What an item of another menu was called when it was called otherwise here: drift tells when that one is
  // renamed.
  if (exception === undefined || source === undefined || set.label == null)
    return ok([...exceptionFor(at, id), operation]);
  return ok([
    ...exceptionFor(at, id),
    { ...operation, set: { ...set, exception: { ...exception, was: labelOf(at.shown, source) } } },
  ]);
}

function hiding(at: Here, id: Id): Operation[] {
  const { exception } = nodeAt(at.shown.items, id);
  if (exception === undefined) return [];
  return [
    ...exceptionFor(at, id),
    { kind: 'updateItem', id, set: { exception: { ...exception, hidden: true } }, was: { exception } },
  ];
}

/**
 * The operation that makes an exception of a followed child, one that says nothing yet; none when there is
 * one.
 */
function exceptionFor({ stored, shown }: Here, id: Id): Operation[] {
  const { exception, destination } = nodeAt(shown.items, id);
  if (exception === undefined || stored.items.nodes.has(id)) return [];
  const parent = holderOf(shown, id);
  const isPage = destination.kind === 'page' && destination.page === exception.of;
  const kept = isPage
    ? { destination, agreed: agreedFacts(stored, destination.page) }
    : { destination: { kind: 'none' } as const, agreed: null };
  const item: Item = { id, parent, label: null, ...kept, opensNewTab: false, exception };
  return [{ kind: 'addItem', after: childrenOf(stored.items, parent).last(), branch: [item] }];
}

function adding(at: Here, { after, branch }: AddItem): Operation[] {
  const top = topOf({ branch });
  const below = branch.slice(1);
  const before = isFollowed(at.shown, top.parent) ? exceptionFor(at, top.parent) : [];
  const { behind, own, others } = placeAmong(at, top.parent, top.id, after, false);
  const { pin: _, ...bare } = top;
  return [
    ...before,
    { kind: 'addItem', after: behind, branch: [own === null ? bare : { ...bare, pin: own }, ...below] },
    ...others,
  ];
}

function movingOwn(at: Here, { id, from, to }: MoveItem): Operation[] {
  const pin = at.stored.items.nodes.get(id)?.pin ?? null;
  if (!isFollowing(at.shown, to.parent))
    return [{ kind: 'moveItem', id, from, to }, ...pinned(id, pin, null)];
  const before = isFollowed(at.shown, to.parent) ? exceptionFor(at, to.parent) : [];
  const { behind, own, others } = placeAmong(at, to.parent, id, to.after, false);
  return [
    ...before,
    { kind: 'moveItem', id, from, to: { parent: to.parent, after: behind } },
    ...pinned(id, pin, own),
    ...others,
  ];
}

function movingFollowed(at: Here, { id, to }: MoveItem): Operation[] {
  const item = nodeAt(at.shown.items, id);
  if (to.parent !== item.parent) {
    const [copy, ...behind] = copiesAt(
      at.stored,
      [branchToCopy(at.stored, at.shown, id)],
      to,
      at.random,
      (item) => partsIn(at.stored, item),
    );
    if (copy?.kind !== 'addItem') return [];
    return [...hiding(at, id), ...(isFollowing(at.shown, to.parent) ? adding(at, copy) : [copy]), ...behind];
  }
  const made = exceptionFor(at, id);
  const { behind, own, others } = placeAmong(at, to.parent, id, to.after, true);
  const holder = holderOf(at.shown, id);
  const from: Spot =
    made.length > 0
      ? { parent: holder, after: childrenOf(at.stored.items, holder).last() }
      : spotOf(at.stored.items, id);
  return [
    ...made,
    ...pinned(id, item.pin ?? null, own),
    { kind: 'moveItem', id, from, to: { parent: holder, after: behind } },
    ...others,
  ];
}

function pinned(id: Id, was: Pin | null, pin: Pin | null): Operation[] {
  return isEqual(was, pin) ? [] : [{ kind: 'updateItem', id, set: { pin }, was: { pin: was } }];
}

interface PlaceAmong {
  /** Behind which kept sibling it is kept. */
  readonly behind: Id | null;
  /** Its own pin; null: it stands at the end. */
  readonly own: Pin | null;
  /** What changes about others, so that they stay where they are. */
  readonly others: Operation[];
}

/**
 * How something is kept that is put behind `after` among children that are followed, so that it stands there.
 */
function placeAmong(
  { stored, shown }: Here,
  parent: Id,
  id: Id,
  after: Id | null,
  isFollowedOne: boolean,
): PlaceAmong {
  const siblings = [...childrenOf(shown.items, parent)].filter((one) => one !== id);
  const cut = after === null ? 0 : siblings.indexOf(after) + 1;
  const before = siblings.slice(0, cut).map((one) => nodeAt(shown.items, one));
  const later = siblings.slice(cut).map((one) => nodeAt(shown.items, one));
  const isNatural = ({ exception, pin }: Item): boolean => exception !== undefined && pin === undefined;
  const anchor = before.findLast(isNatural)?.exception?.of ?? null;
  const since = before.slice(before.findLastIndex(isNatural) + 1);
  // Items of one's own behind everything that is followed stay there without a pin, whatever comes in before
  // them.
  const isLast = !isFollowedOne && !later.some((one) => one.exception !== undefined);
  const own = isLast ? null : { after: anchor };
  // Kept siblings of what is put there: an own item's are under its parent, a followed one's with all
  // exceptions of what follows.
  const keptUnder = isFollowedOne ? holderOf(shown, id) : parent;
  const isKeptThere = (one: Item): boolean => stored.items.nodes.get(one.id)?.parent === keptUnder;
  const behind =
    (own === null ? before : since).findLast((one) => isKeptThere(one) && !isNatural(one))?.id ?? null;
  // Unpinned ones before it would come to stand behind it.
  const others =
    own === null
      ? []
      : since
          .filter(({ exception, pin }) => exception === undefined && pin === undefined)
          .flatMap((one) => pinned(one.id, null, own));
  return { behind, own, others };
}
