import { foldText } from '../base/foldText.ts';
import { derivedId, type Id } from '../base/ids.ts';
import { Sequence } from '../base/sequence.ts';
import { branchOf } from '../model/branchOf.ts';
import { withForest, type SiteDocument } from '../model/document.ts';
import { faceOf } from '../model/faceOf.ts';
import { childrenOf, nodeAt, type Forest } from '../model/forest.ts';
import { menuOf } from '../model/menuOf.ts';
import type { Follow } from '../schema/follow.ts';
import type { Item } from '../schema/item.ts';
import { arrangeSiblings, type Followed, type Placed } from './arrangeSiblings.ts';
import { followedPages, isSameToFollow, type CompareTitles } from './followedPages.ts';

/** Fills in what is followed; for one site over its time, since it keeps what it gave last. */
export type FillFollowed = (document: SiteDocument) => SiteDocument;

/**
 * The id of the item that stands for a page, or for another menu's item, below what follows: there is one at
 * most.
 */
export function followedId(holder: Id, of: Id): Id {
  return derivedId('item', `${holder} ${of}`);
}

/**
 * The document with what is followed standing in it as items, each with an `exception` that says what it
 * stands for. What nobody changed anything about is kept nowhere else; exceptions that match nothing any more
 * are left out, with all below them. The very same document when nothing in it follows anything.
 *
 * Not kept as rows because a page that moves would then rewrite rows in every menu that follows it, and undo
 * with them: what is derived cannot disagree with what it is derived from. O(items + followed * log) where
 * something changed that it depends on.
 */
export function createFilling(compareTitles: CompareTitles = byFoldedText): FillFollowed {
  let last: {
    readonly from: SiteDocument;
    readonly items: Forest<Item>;
    readonly orders: ReadonlySet<Follow['order']>;
  } | null = null;
  return (document) => {
    const { items, menus, pages, sharedLinks } = document;
    const isSame =
      last !== null &&
      last.from.items === items &&
      last.from.menus === menus &&
      last.from.sharedLinks === sharedLinks &&
      (last.from.pages === pages || isSameToFollow(last.from.pages, pages, last.orders));
    if (last === null || !isSame) {
      const filling = new Filling(document, compareTitles);
      last = { from: document, items: filling.filled(), orders: filling.orders };
    } else last = { ...last, from: document };
    return withForest(document, 'items', last.items);
  };
}

/** Once, for a document that is looked at once. */
export function withFollowed(document: SiteDocument, compareTitles?: CompareTitles): SiteDocument {
  return createFilling(compareTitles)(document);
}

function byFoldedText(a: string, b: string): number {
  const [one, other] = [foldText(a), foldText(b)];
  return one < other ? -1 : one > other ? 1 : 0;
}

interface Holder {
  readonly id: Id;
  readonly follow: Follow;
}

/** One child that is followed, before it has its place. */
interface Candidate {
  readonly of: Id;
  /** What it is without any exception. */
  readonly bare: Omit<Item, 'id' | 'parent' | 'exception'>;
}

class Filling {
  private readonly added = new Map<Id, Item>();
  private readonly order = new Map<Id, readonly Id[]>();
  private readonly reached = new Set<Id>();
  private readonly exceptions: Item[] = [];
  private readonly holders = new Map<Id, Holder[]>();
  private readonly done = new Set<Id>();
  /** The orders that pages are followed in. */
  readonly orders = new Set<Follow['order']>();

  constructor(
    private readonly document: SiteDocument,
    private readonly compareTitles: CompareTitles,
  ) {}

  filled(): Forest<Item> {
    const { items, menus } = this.document;
    for (const { id, follow } of menus.nodes.values())
      if (follow !== undefined) this.holders.set(id, [{ id, follow }]);
    for (const item of items.nodes.values()) {
      if (item.exception !== undefined) this.exceptions.push(item);
      else if (item.follow !== undefined) {
        const menu = menuOf(this.document, item.id).id;
        this.holders.set(menu, [...(this.holders.get(menu) ?? []), { id: item.id, follow: item.follow }]);
      }
    }
    if (this.holders.size === 0 && this.exceptions.length === 0) return items;
    for (const menu of this.holders.keys()) this.complete(menu);
    const orders = [...this.order].filter(([parent, ids]) => ids.length > 0 || items.children.has(parent));
    return this.withoutUnreached({
      nodes: items.nodes.withAll(this.added),
      children: items.children.withAll(orders.map(([parent, ids]) => [parent, Sequence.from(ids)] as const)),
    });
  }

  /**
   * Fills in one menu, those that it follows first. A menu that follows itself by way of others finds nothing
   * where the circle closes.
   */
  private complete(menu: Id): void {
    if (this.done.has(menu)) return;
    this.done.add(menu);
    for (const holder of this.holders.get(menu) ?? []) {
      const { of } = holder.follow;
      if (of.kind === 'menu') this.complete(of.menu);
      this.fill(holder);
    }
  }

  private fill({ id: holder, follow }: Holder): void {
    const { document } = this;
    const exceptions = new Map<Id, Item>();
    for (const child of childrenOf(document.items, holder)) {
      const item = nodeAt(document.items, child);
      if (item.exception !== undefined) exceptions.set(item.exception.of, item);
    }
    const source = follow.of.kind === 'menu' ? follow.of.menu : (follow.of.page ?? document.site.id);
    const stack = [{ parent: holder, source, level: 1 }];
    const placed = new Set<Id>();
    for (let next = stack.pop(); next !== undefined; next = stack.pop()) {
      const { parent, source: below, level } = next;
      const own = [...childrenOf(document.items, parent)]
        .map((child) => nodeAt(document.items, child))
        .filter(({ exception }) => exception === undefined);
      const kept: Followed[] = [];
      const pinned: Placed[] = [];
      const candidates = this.candidates(follow, below).filter(({ of }) => !placed.has(of));
      for (const { of, bare } of limited(candidates, follow.limit, exceptions)) {
        placed.add(of);
        const exception = exceptions.get(of);
        const id = followedId(holder, of);
        this.added.set(
          id,
          exception === undefined
            ? { ...bare, id, parent, exception: { of } }
            : merged(bare, exception, parent),
        );
        this.reached.add(id);
        if (exception?.pin === undefined) kept.push({ id, of });
        else pinned.push({ id, pin: exception.pin });
        const isEnd = exception?.exception?.hidden === true || level >= follow.depth || follow.flat === true;
        if (!isEnd) stack.push({ parent: id, source: of, level: level + 1 });
        else this.order.set(id, exception === undefined ? [] : [...childrenOf(document.items, id)]);
      }
      // Pinned ones in the order in which their exceptions are kept.
      const rank = new Map([...exceptions.keys()].map((of, at) => [followedId(holder, of), at]));
      pinned.sort((a, b) => (rank.get(a.id) ?? 0) - (rank.get(b.id) ?? 0));
      const owned = own.map(({ id, pin = null }) => ({ id, pin }));
      this.order.set(parent, arrangeSiblings(kept, [...pinned, ...owned]));
    }
  }

  private candidates(follow: Follow, below: Id): Candidate[] {
    const { document } = this;
    if (follow.of.kind === 'pages') {
      this.orders.add(follow.order);
      if (below !== document.site.id && !document.pages.nodes.has(below)) return [];
      return followedPages(document, follow, below, this.compareTitles).map(({ id }) => ({
        of: id,
        bare: {
          label: null,
          destination: { kind: 'page', page: id, anchor: null },
          opensNewTab: false,
          agreed: null,
        },
      }));
    }
    const filled = this.order.get(below);
    return [...(filled ?? childrenOf(document.items, below))].flatMap((of) => {
      const item = this.added.get(of) ?? nodeAt(document.items, of);
      // Where a circle closes, exceptions stand there that nothing has matched yet.
      const isUnmatched = filled === undefined && item.exception !== undefined;
      if (isUnmatched || item.exception?.hidden === true) return [];
      const {
        id: _,
        parent: __,
        exception: ___,
        pin: ____,
        follow: _____,
        link: ______,
        ...bare
      } = { ...item, ...faceOf(document, item) };
      return [{ of, bare }];
    });
  }

  /** Exceptions that match nothing are not seen, and nothing below them is: drift tells of them. */
  private withoutUnreached(forest: Forest<Item>): Forest<Item> {
    let { nodes, children } = forest;
    for (const { id, parent } of this.exceptions) {
      if (this.reached.has(id)) continue;
      // With what is filled in there, too.
      for (const below of branchOf(forest, id)) {
        nodes = nodes.without(below.id);
        children = children.without(below.id);
      }
      const siblings = children.get(parent);
      if (!this.order.has(parent) && siblings?.has(id) === true)
        children = children.with(parent, siblings.without(id));
    }
    for (const [parent, ids] of this.order)
      if (ids.length === 0 && children.has(parent)) children = children.without(parent);
    return { nodes, children };
  }
}

/**
 * At most so many that are seen. What is pinned is among them, however far down it stands; what is hidden
 * does not count.
 */
function limited(
  candidates: readonly Candidate[],
  limit: number | undefined,
  exceptions: ReadonlyMap<Id, Item>,
): readonly Candidate[] {
  if (limit === undefined) return candidates;
  const isPinned = ({ of }: Candidate): boolean => exceptions.get(of)?.pin !== undefined;
  const isHidden = ({ of }: Candidate): boolean => exceptions.get(of)?.exception?.hidden === true;
  let left = limit - candidates.filter((one) => isPinned(one) && !isHidden(one)).length;
  return candidates.filter((one) => {
    if (isPinned(one)) return true;
    if (left <= 0) return false;
    if (!isHidden(one)) left -= 1;
    return true;
  });
}

/** What is followed with what is otherwise about it. */
function merged(bare: Candidate['bare'], exception: Item, parent: Id): Item {
  const { id, label, opensNewTab, destination: _, agreed, parent: __, ...settings } = exception;
  return {
    ...bare,
    ...settings,
    id,
    parent,
    agreed,
    label: label ?? bare.label,
    opensNewTab: opensNewTab || bare.opensNewTab,
  };
}
