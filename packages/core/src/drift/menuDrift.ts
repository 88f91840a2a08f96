import type { Params } from '../base/fillIn.ts';
import type { FixCode } from '../base/findingWords.ts';
import { derivedId, type Id } from '../base/ids.ts';
import { phrase } from '../base/sentences.ts';
import { branchOf } from '../model/branchOf.ts';
import type { SiteDocument } from '../model/document.ts';
import { faceOf, type Face } from '../model/faceOf.ts';
import { childrenOf, nodeAt, spotOf } from '../model/forest.ts';
import { labelOf, nameOf } from '../model/labelOf.ts';
import type { AgreedFacts, Item } from '../schema/item.ts';
import type { Page } from '../schema/page.ts';
import { anchorAlike } from './anchorAlike.ts';
import type { Finding, FindingKind, Mend } from './finding.ts';
import { longestIncreasing } from '../walk/longestIncreasing.ts';
import type { MenuShape } from './menuShape.ts';
import { panelFindings } from './panelDrift.ts';
import type { Successors } from './successors.ts';

/** What drift is told from. */
export interface DriftSources {
  /** What is kept. */
  readonly stored: SiteDocument;
  /** The same with what is followed filled in. */
  readonly filled: SiteDocument;
  /** Addresses outside the site that were asked for and do not answer, with the reason. */
  readonly dead?: ReadonlyMap<string, string>;
}

/**
 * An item that leads to a live page whose facts were agreed on, with its place among the children of what it
 * stands in.
 */
interface Carried {
  readonly item: Item;
  readonly page: Page;
  readonly agreed: AgreedFacts;
}

/**
 * The rules of drift for one menu, an item at a time: what is amiss with an item, and among its children.
 * What they ask of the menu as a whole is in its shape, so that each can be looked at again by itself.
 */
export class MenuDrift {
  private found: Finding[] = [];

  constructor(
    private readonly sources: DriftSources,
    private readonly menu: Id,
    private readonly shape: MenuShape,
    private readonly seek: Successors,
  ) {}

  /** What there is to tell at the menu itself or at an item that stands in it. */
  at(id: Id): Finding[] {
    this.found = [];
    const item = id === this.menu ? undefined : nodeAt(this.sources.filled.items, id);
    if (item?.exception !== undefined) this.lookAtException(item);
    else if (item !== undefined) this.lookAt(item);
    // Its size is not watched: the first part of a panel changes what stands below its item.
    if (item !== undefined && this.sources.stored.parts.nodes.size > 0)
      this.found.push(...panelFindings(this.sources, { menu: this.menu, item: id }, this.seek));
    this.lookInto(id);
    return this.found;
  }

  private tell(
    kind: FindingKind,
    at: Id,
    page: Id | null,
    rest: Pick<Finding, 'params' | 'facts' | 'mends' | 'items'>,
  ): void {
    this.found.push({
      id: [kind, at, ...(page === null ? [] : [page])].join(' '),
      kind,
      menu: this.menu,
      at,
      page,
      ...rest,
    });
  }

  private lookAt(item: Item): void {
    const { stored } = this.sources;
    const { id, link } = item;
    if (link !== undefined) {
      // A shared link is one thing, however many items show it.
      const first = this.shape.itemOfLink(link);
      if (first !== null && first !== id) return;
    }
    const face = faceOf(stored, item);
    const { destination } = face;
    if (destination.kind === 'address') return this.lookAtAddress(id, face, destination.address);
    if (destination.kind !== 'page') return;
    const page = nodeAt(stored.pages, destination.page);
    const label = labelOf(stored, item);
    if (page.state === 'gone') return this.lookAtGone(item, page, label);
    const { agreed } = face;
    if (agreed === null) return this.lookAtAnchor(id, label, destination.anchor, page);
    if (page.state === 'draft' && page.planned !== true && agreed.state !== 'draft') {
      const mends: Mend[] = [agree('keepUnpublished', { label }), this.removal(item, label)];
      this.tell('pageDraft', id, page.id, { params: { label }, facts: page.state, mends });
    }
    if (agreed.planned === true && page.planned !== true && page.state === 'live') {
      this.tell('plannedLive', id, page.id, {
        params: { label },
        facts: page.state,
        mends: [agree('noteLive', { label })],
      });
    }
    this.lookAtTitle(id, face, label, agreed, page);
    if (agreed.address !== page.address) {
      const params = { label, was: agreed.address, now: page.address };
      this.tell('addressChanged', id, page.id, {
        params,
        facts: page.address,
        mends: [agree('noteAddress', { label })],
      });
    }
    if (agreed.kind !== undefined && agreed.kind !== page.kind) {
      const mends = [agree('noteKind', { label, now: page.kind })];
      this.tell('kindChanged', id, page.id, {
        params: { label, was: agreed.kind, now: page.kind },
        facts: page.kind,
        mends,
      });
    }
    if (agreed.parent !== page.parent && link === undefined) this.lookAtParent(item, label, agreed, page);
    this.lookAtAnchor(id, label, destination.anchor, page);
  }

  private lookAtGone(item: Item, page: Page, label: string): void {
    const next = this.seek.of(page);
    const lead: Mend[] =
      next === null
        ? []
        : [leadThere('linkToPage', { label, title: next.title, address: next.address }, next.id)];
    this.tell('pageGone', item.id, page.id, {
      params: { label },
      facts: page.state,
      mends: [...lead, ...this.removals(item, label)],
    });
  }

  private lookAtTitle(id: Id, face: Face, label: string, agreed: AgreedFacts, page: Page): void {
    // Another label than the title agreed on is the editor's own, whatever the page is called.
    if (face.label === null || face.label !== agreed.title || page.title === agreed.title) return;
    const mends: Mend[] = [
      { kind: 'takeTitle', code: 'renameToTitle', params: { label, title: page.title }, isSafe: true },
      agree('keepLabel', { label: face.label }, false),
    ];
    this.tell('titleStale', id, page.id, { params: { label, now: page.title }, facts: page.title, mends });
  }

  private lookAtParent(item: Item, label: string, agreed: AgreedFacts, page: Page): void {
    const { stored } = this.sources;
    // It stands where the site has it now, or never stood where the site had it: then the editor wants it
    // there.
    if (this.leadsTo(item.parent, page.parent) || !this.carries(item, agreed.parent)) return;
    const there = page.parent === stored.site.id ? this.menu : this.shape.itemOfPage(page.parent);
    const canGo = there !== null && this.isOwnPlace(there) && !this.isInside(there, item.id);
    const params = {
      label,
      was: nameOf(stored, 'pages', agreed.parent),
      now: nameOf(stored, 'pages', page.parent),
    };
    const go: Mend[] = canGo
      ? [
          {
            kind: 'moveThere',
            code: 'moveAsOnSite',
            params: { label, parent: nameOf(stored, 'items', there) },
            isSafe: true,
            target: there,
          },
        ]
      : [];
    const mends = [...go, agree('keepPlace', { label }, false), this.removal(item, label)];
    this.tell('pageMoved', item.id, page.id, { params, facts: page.parent, mends });
  }

  private lookAtAnchor(id: Id, label: string, anchor: string | null, page: Page): void {
    if (anchor === null || page.anchors === undefined || page.anchors.some((one) => one.id === anchor))
      return;
    const next = anchorAlike(page.anchors, anchor, label);
    const lead: Mend[] =
      next === null
        ? []
        : [
            {
              kind: 'otherAnchor',
              code: 'linkToAnchor',
              params: { label, title: next.title, anchor: next.id },
              isSafe: false,
              target: next.id,
            },
          ];
    const mends: Mend[] = [
      ...lead,
      { kind: 'dropAnchor', code: 'linkToTop', params: { label, page: page.title }, isSafe: false },
    ];
    const facts = derivedId('leftFinding', page.anchors.map((one) => one.id).join(' '));
    this.tell('anchorGone', id, page.id, { params: { label, anchor, page: page.title }, facts, mends });
  }

  private lookAtAddress(id: Id, face: Face, address: string): void {
    const { stored, dead } = this.sources;
    const item = nodeAt(stored.items, id);
    const label = labelOf(stored, face);
    const reason = dead?.get(address);
    if (reason !== undefined)
      return this.tell('linkDead', id, null, {
        params: { label, address, reason },
        facts: reason,
        mends: this.removals(item, label),
      });
    const known = this.seek.at(address);
    if (known === null) return this.lookAtPageOf(address, id, label);
    const { page, isGone } = known;
    const lead: Mend[] =
      page === null ? [] : [leadThere('linkAndFollow', { label, title: page.title }, page.id, !isGone)];
    if (isGone)
      this.tell('addressGone', id, null, {
        params: { label, address },
        facts: 'gone',
        mends: [...lead, ...this.removals(item, label)],
      });
    else if (page !== null)
      this.tell('addressRedirects', id, page.id, {
        params: { label, was: address, now: page.address },
        facts: page.address,
        mends: lead,
      });
  }

  /** A link to the address of a page does not follow the page: it could link to the page itself. */
  private lookAtPageOf(address: string, id: Id, label: string): void {
    const page = this.seek.pageAt(address);
    if (page === null) return;
    this.tell('addressOfPage', id, page.id, {
      params: { label, address, page: page.title },
      facts: page.address,
      mends: [leadThere('linkAndFollow', { label, title: page.title }, page.id, true)],
    });
  }

  private lookAtException(shown: Item): void {
    const { stored } = this.sources;
    const kept = stored.items.nodes.get(shown.id);
    if (kept?.exception === undefined || kept.label === null) return;
    const { of, was } = kept.exception;
    const page = stored.pages.nodes.get(of);
    if (page !== undefined) {
      if (kept.agreed !== null) this.lookAtTitle(kept.id, kept, kept.label, kept.agreed, page);
      return;
    }
    const source = this.sources.filled.items.nodes.get(of);
    if (source === undefined || was === undefined) return;
    const now = labelOf(this.sources.filled, source);
    if (now === was) return;
    const menu = nameOf(this.sources.filled, 'menus', this.menuOf(of));
    const { label } = kept;
    const mends: Mend[] = [
      { kind: 'takeLabel', code: 'renameAsSource', params: { label, now, menu }, isSafe: false },
      agree('keepLabel', { label }, false),
    ];
    this.tell('sourceRenamed', kept.id, null, { params: { label, was, now, menu }, facts: now, mends });
  }

  /** What is amiss among the children of a menu or an item. */
  private lookInto(parent: Id): void {
    const { stored, filled } = this.sources;
    const holder = stored.items.nodes.get(parent) ?? stored.menus.nodes.get(parent);
    if (holder === undefined) return;
    if (holder.follow !== undefined || (holder as Item).exception !== undefined) {
      for (const child of childrenOf(stored.items, parent)) {
        const item = nodeAt(stored.items, child);
        if (item.exception !== undefined && !filled.items.nodes.has(child)) this.tellLost(item, parent);
      }
      return;
    }
    for (const [page, group] of this.carriedBranches(parent)) {
      this.lookForNew(parent, page, group);
      if (group.length > 1) this.lookAtOrder(parent, page, group);
    }
  }

  private tellLost(item: Item, holder: Id): void {
    const { stored } = this.sources;
    const { id, exception } = item;
    const page = exception === undefined ? undefined : stored.pages.nodes.get(exception.of);
    const label = item.label ?? page?.title ?? 'an item that was removed';
    const own = childrenOf(stored.items, id).size;
    const code = own === 0 ? 'removeException' : 'removeExceptionKeepItems';
    const mends: Mend[] = [
      { kind: 'removeException', code, params: { label, count: own }, isSafe: own === 0 },
    ];
    this.tell('exceptionLost', id, page?.id ?? null, {
      params: { label, branch: nameOf(stored, 'items', holder) },
      facts: page?.parent ?? '',
      mends,
    });
    // Items of one's own below it are not seen just now, but are there.
    for (const below of branchOf(stored.items, id).slice(1)) {
      if (below.exception === undefined) this.lookAt(below);
    }
  }

  /**
   * The pages whose children a menu or an item carries: with those of them that stand there, as they were
   * agreed on.
   */
  private carriedBranches(parent: Id): [Id, Carried[]][] {
    const { stored } = this.sources;
    const groups = new Map<Id, Carried[]>();
    const taken = new Set<Id>();
    for (const child of childrenOf(stored.items, parent)) {
      const item = nodeAt(stored.items, child);
      const { destination, agreed } = item;
      if (
        item.link !== undefined ||
        destination.kind !== 'page' ||
        agreed === null ||
        taken.has(destination.page)
      )
        continue;
      const page = nodeAt(stored.pages, destination.page);
      if (page.state !== 'live' || page.parent !== agreed.parent) continue;
      taken.add(page.id);
      const group = groups.get(page.parent);
      if (group === undefined) groups.set(page.parent, [{ item, page, agreed }]);
      else group.push({ item, page, agreed });
    }
    // One child alone, below what does not lead to its parent, is a link and not a branch.
    return [...groups].filter(([page, group]) => group.length > 1 || this.leadsTo(parent, page));
  }

  private lookForNew(parent: Id, branch: Id, group: readonly Carried[]): void {
    const { stored } = this.sources;
    const known = Math.min(...group.map(({ agreed }) => agreed.known ?? 0));
    for (const id of childrenOf(stored.pages, branch)) {
      const { since = 0, state, title } = nodeAt(stored.pages, id);
      if (since <= known || state !== 'live' || this.shape.itemOfPage(id) !== null) continue;
      const params = { page: title, branch: nameOf(stored, 'pages', branch) };
      const added = { page: title, parent: nameOf(stored, 'items', parent) };
      const mends: Mend[] = [
        { kind: 'addIt', code: 'addAsOnSite', params: added, isSafe: false, target: parent },
      ];
      this.tell('pageNew', parent, id, { params, facts: `${since}`, mends });
    }
  }

  private lookAtOrder(parent: Id, branch: Id, group: readonly Carried[]): void {
    const { stored } = this.sources;
    const siblings = childrenOf(stored.pages, branch);
    const places = placesOf(siblings, group);
    const changed = group.map((one, at) => hasMovedAmong(stored, one, at, group, places));
    if (!changed.includes(true)) return;
    // The fewest to move; of those that could stay, rather the ones that the site left alone.
    const kept = longestIncreasing(places, (at) => group.length + 1 + (changed[at] === true ? 0 : 1));
    const out = group.filter((_, at) => !kept.has(at) && changed[at] === true);
    if (out.length === 0) return;
    const label = nameOf(stored, 'items', parent);
    const count = out.length;
    const labels = out.slice(0, 3).map(({ item }) => labelOf(stored, item));
    const names = [
      ...labels.map((name) => phrase('quotedName', { name })),
      ...(count > 3 ? [phrase('andMore', { count: count - 3 })] : []),
    ];
    const mends: Mend[] = [
      count === 1
        ? { kind: 'reorder', code: 'moveOneAsOnSite', params: { name: labels[0] ?? '' }, isSafe: true }
        : { kind: 'reorder', code: 'moveSeveralAsOnSite', params: { label, count }, isSafe: true },
      agree('keepOrder', { label }, false),
    ];
    const inOrder = group
      .map(({ page }, at) => ({ id: page.id, place: places[at] ?? 0 }))
      .sort((a, b) => a.place - b.place);
    const facts = derivedId('leftFinding', inOrder.map(({ id }) => id).join(' '));
    this.tell('orderDiffers', parent, branch, {
      params: { label, count, names },
      facts,
      mends,
      items: out.map(({ item }) => item.id),
    });
  }

  private removals(item: Item, label: string): Mend[] {
    const count = childrenOf(this.sources.stored.items, item.id).size;
    const heading: Mend[] =
      count === 0 ? [] : [{ kind: 'makeHeading', code: 'makeHeading', params: { label }, isSafe: false }];
    return [...heading, this.removal(item, label)];
  }

  private removal(item: Item, label: string): Mend {
    const isAlone = childrenOf(this.sources.stored.items, item.id).size === 0;
    return {
      kind: 'remove',
      code: isAlone ? 'removeItem' : 'removeItemKeepBelow',
      params: { label },
      isSafe: false,
    };
  }

  /** Whether a menu or an item stands for a page: leads to it; a menu stands for the top of the site. */
  private leadsTo(place: Id, page: Id): boolean {
    const { stored } = this.sources;
    const item = stored.items.nodes.get(place);
    if (item === undefined) return page === stored.site.id;
    const { destination } = faceOf(stored, item);
    return destination.kind === 'page' && destination.page === page;
  }

  /**
   * Whether an item stands in what leads to a page, or among items for children of it that are there still.
   */
  private carries(item: Item, page: Id): boolean {
    if (this.leadsTo(item.parent, page)) return true;
    const { stored } = this.sources;
    for (const child of childrenOf(stored.items, item.parent)) {
      if (child === item.id) continue;
      const { agreed, link, destination } = nodeAt(stored.items, child);
      if (link !== undefined || agreed?.parent !== page || destination.kind !== 'page') continue;
      if (nodeAt(stored.pages, destination.page).parent === page) return true;
    }
    return false;
  }

  /** Whether an item may be moved into something as its own: nothing comes there by itself. */
  private isOwnPlace(place: Id): boolean {
    const { stored } = this.sources;
    const item = stored.items.nodes.get(place);
    const menu = stored.menus.nodes.get(place);
    if (item === undefined) return menu !== undefined && menu.follow === undefined;
    return item.follow === undefined && item.exception === undefined;
  }

  private isInside(place: Id, item: Id): boolean {
    const { nodes } = this.sources.stored.items;
    for (let at: Id | undefined = place; at !== undefined; at = nodes.get(at)?.parent)
      if (at === item) return true;
    return false;
  }

  private menuOf(item: Id): Id {
    const { nodes } = this.sources.filled.items;
    let at = item;
    for (let node = nodes.get(at); node !== undefined; node = nodes.get(at)) at = node.parent;
    return at;
  }
}

function agree(code: FixCode, params: Params, isSafe = true): Mend {
  return { kind: 'agree', code, params, isSafe };
}

function leadThere(code: FixCode, params: Params, target: Id, isSafe = false): Mend {
  return { kind: 'leadThere', code, params, isSafe, target };
}

/**
 * The place of each among its page's siblings. One pass over the siblings where that is less than looking
 * each one up.
 */
function placesOf(
  siblings: Iterable<Id> & { readonly indexOf: (id: Id) => number },
  group: readonly Carried[],
): number[] {
  if (group.length < 4) return group.map(({ page }) => siblings.indexOf(page.id));
  const placeOf = new Map<Id, number>();
  let place = 0;
  for (const id of siblings) placeOf.set(id, place++);
  return group.map(({ page }) => placeOf.get(page.id) ?? -1);
}

/**
 * Whether the site has put a page elsewhere among its siblings since: the one that stood before it stands
 * behind it now; or it was the first, and another that was there already stands before it. What came in
 * between does not count.
 */
function hasMovedAmong(
  stored: SiteDocument,
  { page, agreed }: Carried,
  at: number,
  group: readonly Carried[],
  places: readonly number[],
): boolean {
  const place = places[at] ?? 0;
  if (agreed.after === null) {
    return group.some(
      (other, index) =>
        (places[index] ?? 0) < place &&
        other.agreed.after !== null &&
        (other.page.since ?? 0) <= (agreed.known ?? 0),
    );
  }
  const before = stored.pages.nodes.get(agreed.after);
  if (before?.parent !== page.parent) return false;
  if (spotOf(stored.pages, page.id).after === before.id) return false;
  return childrenOf(stored.pages, page.parent).indexOf(before.id) > place;
}
