import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, type Forest, type Rooted } from '../model/forest.ts';
import { DriftChanges } from './driftChanges.ts';
import type { Finding } from './finding.ts';
import { frameFindings } from './panelDrift.ts';
import { MenuDrift, type DriftSources } from './menuDrift.ts';
import { differingFirsts, walkMenu, type MenuShape, type MenuWalk } from './menuShape.ts';
import { successors, type Successors } from './successors.ts';

/** Finds the drift of one site again and again, reusing what has not changed. */
export type TellDrift = (sources: DriftSources) => readonly Finding[];

/**
 * Where the menus and the site no longer agree, apart from what editors wanted that way: a three-way
 * comparison, item by item, of the facts agreed on, the pages as they are, and the menu as it is
 * (docs/drift.md has the rules, one row a case). In the order of the menus and, within each, from top to
 * bottom; then the links of the frame.
 *
 * For one site over its time: it keeps what it told of each item together with all that was read for it, and
 * looks again only at items for which any of that is otherwise. The first time: O(items + children of the
 * pages that menus carry). Then: O(changes) rule by rule, after one pass over what was read.
 */
export function createDrift(): TellDrift {
  let kept: KeptDrift | null = null;
  return (sources) => {
    if (kept?.canGoOn(sources) !== true) kept = new KeptDrift();
    return kept.look(sources);
  };
}

/** Once, for a document that is looked at once. */
export function driftOf(sources: DriftSources): readonly Finding[] {
  return createDrift()(sources);
}

/** The drift of one menu. */
export function driftOfMenu(sources: DriftSources, menu: Id): readonly Finding[] {
  return new KeptMenu(menu).look(new Watched(sources), successors(sources.stored), null);
}

/** What depends on all pages at once, as if it were read by an id. */
const SEEKING = 'successors';

/**
 * The sources with every lookup in them written down. Ids are never the same in two forests, so one list does
 * for all.
 */
class Watched {
  reads: string[] = [];
  readonly sources: DriftSources;
  private readonly read = (key: string): void => {
    if (this.reads.at(-1) !== key) this.reads.push(key);
  };

  constructor(readonly plain: DriftSources) {
    const { stored, filled, ...rest } = plain;
    const watched = this.watchedDocument(stored);
    this.sources = {
      ...rest,
      stored: watched,
      filled: filled === stored ? watched : { ...watched, items: this.watchedForest(filled.items) },
    };
  }

  /** The keys that were looked up since the last time. */
  taken(): readonly string[] {
    const { reads } = this;
    this.reads = [];
    return reads;
  }

  shape({ byPage, byLink }: MenuWalk): MenuShape {
    const first = (map: ReadonlyMap<Id, Id>, id: Id): Id | null => {
      this.read(id);
      return map.get(id) ?? null;
    };
    return { itemOfPage: (page) => first(byPage, page), itemOfLink: (link) => first(byLink, link) };
  }

  successors(seek: Successors): Successors {
    const asked = (): Successors => {
      this.read(SEEKING);
      return seek;
    };
    return {
      ...seek,
      of: (gone) => asked().of(gone),
      at: (address) => asked().at(address),
      pageAt: (address) => asked().pageAt(address),
    };
  }

  private watchedDocument(document: SiteDocument): SiteDocument {
    const { pages, menus, items, sharedLinks, parts } = document;
    return {
      ...document,
      pages: this.watchedForest(pages),
      menus: this.watchedForest(menus),
      items: this.watchedForest(items),
      sharedLinks: this.watchedForest(sharedLinks),
      parts: this.watchedForest(parts),
    };
  }

  private watchedForest<N extends Rooted>({ nodes, children }: Forest<N>): Forest<N> {
    return { nodes: nodes.watched(this.read), children: children.watched(this.read) };
  }
}

class KeptDrift {
  private sources: DriftSources | null = null;
  private seek: Successors | null = null;
  private menus = new Map<Id, KeptMenu>();

  /** Whether what was kept is of the same site, called the same, with the same answers from outside. */
  canGoOn({ stored, dead }: DriftSources): boolean {
    return this.sources !== null && this.sources.stored.site === stored.site && this.sources.dead === dead;
  }

  look(sources: DriftSources): readonly Finding[] {
    const { stored } = sources;
    const changes = this.sources === null ? null : new DriftChanges(this.sources, sources);
    if (this.seek === null || changes === null || !changes.isSameFor(this.seek)) {
      this.seek = successors(stored);
      changes?.ids.add(SEEKING);
    }
    const watched = new Watched(sources);
    const seek = watched.successors(this.seek);
    const menus = [...childrenOf(stored.menus, stored.site.id)].map(
      (menu) => this.menus.get(menu) ?? new KeptMenu(menu),
    );
    this.menus = new Map(menus.map((kept) => [kept.menu, kept]));
    this.sources = sources;
    // Few parts stand in the frame: it is looked at as a whole each time, as it is and not watched.
    return [
      ...menus.flatMap((kept) => kept.look(watched, seek, changes)),
      ...frameFindings(sources, this.seek),
    ];
  }
}

/** What was told at one place, and the keys that were looked up for it. */
interface Evaluated {
  readonly reads: readonly string[];
  readonly findings: readonly Finding[];
}

/** The drift of one menu, with what it was told from. */
class KeptMenu {
  private walk: MenuWalk | null = null;
  private evaluated = new Map<Id, Evaluated>();
  private findings: readonly Finding[] = [];

  constructor(readonly menu: Id) {}

  look(watched: Watched, seek: Successors, changes: DriftChanges | null): readonly Finding[] {
    const before = this.walk;
    const walk =
      before === null || changes?.leavesWalkOf(this.menu) !== true
        ? walkMenu(watched.plain.filled, this.menu)
        : before;
    const isOtherwise = changedFor(before, walk, changes);
    const rules = new MenuDrift(watched.sources, this.menu, watched.shape(walk), seek);
    const evaluated = walk === before ? this.evaluated : new Map<Id, Evaluated>();
    let isNew = walk !== before;
    for (const id of [this.menu, ...walk.order]) {
      const last = this.evaluated.get(id);
      if (last !== undefined && !last.reads.some(isOtherwise)) {
        if (evaluated !== this.evaluated) evaluated.set(id, last);
        continue;
      }
      isNew = true;
      watched.taken();
      const findings = rules.at(id);
      evaluated.set(id, { findings, reads: watched.taken() });
    }
    this.walk = walk;
    this.evaluated = evaluated;
    if (isNew) this.findings = inOrder([this.menu, ...walk.order], evaluated);
    return this.findings;
  }
}

/**
 * Whether an id stands for something else than before: itself, what is below it, or which item leads to it
 * first.
 */
function changedFor(
  before: MenuWalk | null,
  walk: MenuWalk,
  changes: DriftChanges | null,
): (id: string) => boolean {
  if (before === null || changes === null) return () => true;
  const { ids } = changes;
  const all =
    before === walk
      ? ids
      : new Set([
          ...ids,
          ...differingFirsts(before.byPage, walk.byPage),
          ...differingFirsts(before.byLink, walk.byLink),
        ]);
  return all.size === 0 ? () => false : (id) => all.has(id);
}

/** From top to bottom. A page that is new in several places is told of at the first. */
function inOrder(order: readonly Id[], evaluated: ReadonlyMap<Id, Evaluated>): Finding[] {
  const pages = new Set<Id>();
  const found: Finding[] = [];
  for (const id of order) {
    for (const finding of evaluated.get(id)?.findings ?? []) {
      if (finding.kind === 'pageNew' && finding.page !== null) {
        if (pages.has(finding.page)) continue;
        pages.add(finding.page);
      }
      found.push(finding);
    }
  }
  return found;
}

export type { DriftSources };
