import type { Id } from '../base/ids.ts';
import type { Table } from '../base/table.ts';
import { isEqual } from '../base/isEqual.ts';
import type { NodeOf, SiteDocument } from '../model/document.ts';
import type { Forest, Rooted } from '../model/forest.ts';
import type { Item } from '../schema/item.ts';
import type { Page } from '../schema/page.ts';
import type { Ref } from '../schema/ref.ts';
import { refsOf } from '../refs/refsOf.ts';
import type { DriftSources } from './menuDrift.ts';
import { isSameInWalk } from './menuShape.ts';
import type { Successors } from './successors.ts';

interface Change<V> {
  readonly id: Id;
  readonly was: V | undefined;
  readonly now: V | undefined;
}

/** What is otherwise between two looks at a site. O(changes * log32 n). */
export class DriftChanges {
  /** Whatever changed itself, or in what stands below it. */
  readonly ids = new Set<string>();
  private readonly pages: readonly Change<Page>[];
  /** Whether something else is linked to now, of what depends on all pages at once. */
  private readonly areLinksSame: boolean;
  /** Menus whose items stand otherwise; null: any may. */
  private readonly walks: Set<Id> | null;

  constructor(
    private readonly before: DriftSources,
    private readonly after: DriftSources,
  ) {
    const [was, now] = [before.stored, after.stored];
    this.pages = this.changesOf(was.pages, now.pages);
    this.changesOf(was.menus, now.menus);
    const links = this.changesOf(was.sharedLinks, now.sharedLinks);
    const changed = [
      ...linksOf('items', this.changesOf(was.items, now.items)),
      ...linksOf('sharedLinks', links),
      ...linksOf('parts', this.changesOf(was.parts, now.parts)),
    ];
    this.areLinksSame = changed.every(
      (one) => isEqual(one.was, one.now) || (isPlain(was, one.was) && isPlain(now, one.now)),
    );
    const items = this.changesOf(before.filled.items, after.filled.items);
    this.walks = links.length > 0 ? null : this.menusOf(items);
  }

  leavesWalkOf(menu: Id): boolean {
    return this.walks?.has(menu) === false;
  }

  /** Whether what became of pages and addresses is the same still. */
  isSameFor(seek: Successors): boolean {
    const isGone = (page: Page | undefined): boolean => page?.state === 'gone';
    for (const { was, now } of this.pages) {
      if (
        isGone(was) !== isGone(now) ||
        (was !== undefined && seek.concerns(was)) ||
        (now !== undefined && seek.concerns(now))
      )
        return false;
    }
    return this.areLinksSame;
  }

  private changesOf<N extends Rooted>(was: Forest<N>, now: Forest<N>): Change<N>[] {
    const found: Change<N>[] = [];
    for (const [id, node] of differing(was.nodes, now.nodes)) {
      this.ids.add(id);
      found.push({ id, was: was.nodes.get(id), now: node });
    }
    for (const [id] of differing(was.children, now.children)) this.ids.add(id);
    return found;
  }

  private menusOf(changed: readonly Change<Item>[]): Set<Id> {
    const menus = new Set<Id>();
    const add = (document: SiteDocument, id: Id): void => void menus.add(topOf(document, id));
    const [was, now] = [this.before.filled, this.after.filled];
    for (const one of changed) {
      if (one.was !== undefined && one.now !== undefined && isSameInWalk(one.was, one.now)) continue;
      if (one.was !== undefined) add(was, one.id);
      if (one.now !== undefined) add(now, one.id);
    }
    for (const [parent] of differing(was.items.children, now.items.children)) {
      add(was, parent);
      add(now, parent);
    }
    return menus;
  }
}

/** What changed nodes link to, before and after. */
function linksOf<F extends 'items' | 'sharedLinks' | 'parts'>(
  forest: F,
  changes: readonly Change<NodeOf[F]>[],
): { readonly was: Ref[]; readonly now: Ref[] }[] {
  const linked = (node: NodeOf[F] | undefined): Ref[] =>
    node === undefined ? [] : refsOf(forest, node).filter(({ role }) => role === 'link');
  return changes.map(({ was, now }) => ({ was: linked(was), now: linked(now) }));
}

/** None of these is a plain address or a page that is gone: only those depend on all pages at once. */
function isPlain({ pages }: SiteDocument, links: readonly Ref[]): boolean {
  return links.every(({ to, value }) => to === 'page' && pages.nodes.get(value)?.state !== 'gone');
}

function differing<V>(was: Table<V>, now: Table<V>): Iterable<readonly [string, V | undefined]> {
  return was === now ? [] : now.differing(was);
}

/** What an item stands in at last: its menu. */
function topOf({ items }: SiteDocument, id: Id): Id {
  let at = id;
  for (let node = items.nodes.get(at); node !== undefined; node = items.nodes.get(at)) at = node.parent;
  return at;
}
