import { wordsIn } from '../base/visitorWords.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { areaId, behaviourId } from '../model/partRoots.ts';
import { areas, behaviours, type AreaName, type Behaviour, type Part, type PartOf } from '../schema/part.ts';
import { meantPart, usedPart } from '../model/usedPart.ts';
import { areaAround, wayUp } from '../model/wayUp.ts';
import { mapTree } from '../walk/mapTree.ts';
import { preorder } from '../walk/preorder.ts';
import { exceptionsOf } from './frameExceptions.ts';
import type { ResolvedMenu, ResolvedPart } from './resolved.ts';
import { resolvePart, type PanelSources } from './resolvePart.ts';

/** What a frame is resolved from. */
export interface FrameSources {
  readonly document: SiteDocument;
  readonly compareTitles: PanelSources['compareTitles'];
  /** What is empty stays, so that it can be seen while it is composed. */
  readonly keepsEmpty: boolean;
  readonly menuOf: (menu: Id) => ResolvedMenu | null;
  /** The exception of a part that wins; null: none. */
  readonly exceptionFor: (part: Part) => PartOf<'exception'> | null;
}

/** What is said of an area itself. */
export type AreaFacts = Readonly<Omit<PartOf<'area'>, 'id' | 'parent' | 'kind' | 'area'>>;

/** An area of a page as visitors get it. */
export interface ResolvedArea {
  readonly bands: readonly ResolvedPart[];
  readonly facts: AreaFacts;
  /** What it does while the page scrolls. */
  readonly does: readonly Behaviour[];
  /** Of a header: the drawer that its menu button opens; null: there is none. */
  readonly drawer?: ResolvedArea | null;
}

/** An area as visitors get it; the drawer comes with the header. O(parts + menus). */
export function resolveArea(sources: FrameSources, area: AreaName): ResolvedArea {
  const bands = resolveIn(sources, areaId(area));
  const resolved = { bands, facts: areaFacts(sources.document, area), does: doneBy(sources, area) };
  return area === 'header' ? { ...resolved, drawer: drawerOf(sources, bands) } : resolved;
}

/**
 * The drawer: there is one where something is in it that a menu button opens. While the frame is composed, it is
 * there without a button, too.
 */
function drawerOf(sources: FrameSources, header: readonly ResolvedPart[]): ResolvedArea | null {
  const { takeover } = areaFacts(sources.document, 'drawer');
  const hasButton = [...preorder<ResolvedPart>(header, ({ parts = [] }) => parts)].some(
    ({ node }) => node.kind === 'menuButton',
  );
  if (takeover === 'never' || !(hasButton || sources.keepsEmpty)) return null;
  const drawer = resolveArea(sources, 'drawer');
  return drawer.bands.length === 0 ? null : drawer;
}

/** What is said of an area itself; nothing where it is not there. */
export function areaFacts({ parts }: SiteDocument, area: AreaName): AreaFacts {
  const node = parts.nodes.get(areaId(area));
  if (node?.kind !== 'area') return {};
  const { id: _, parent: __, kind: ___, area: ____, ...facts } = node;
  return facts;
}

/** The named places within the page as visitors get them. */
export function resolvePlaces(sources: FrameSources): ResolvedPart[] {
  return resolveIn(sources, sources.document.site.id).filter(({ kind }) => kind === 'placement');
}

function resolveIn(sources: FrameSources, root: Id): ResolvedPart[] {
  const { document, compareTitles, keepsEmpty, menuOf } = sources;
  const { parts } = document;
  const panel: PanelSources = { document, compareTitles, keepsEmpty, itemsOf: () => [], menuOf };
  /** What stands in a part; of a part that is shown again, what stands in that. */
  const innerOf = (id: Id): Iterable<Id> => {
    const part = nodeAt(parts, id);
    if (part.kind === 'area') return [];
    return childrenOf(parts, meantPart(document, part)?.id ?? '');
  };
  return mapTree<Id, ResolvedPart>(childrenOf(parts, root), innerOf, (id, inner) => {
    const node = nodeAt(parts, id);
    if (node.kind === 'use') return again(sources, panel, node, inner);
    return shownPart(sources, panel, node, inner);
  });
}

/** The same of all areas. */
export function allAreaFacts(document: SiteDocument): Readonly<Record<AreaName, AreaFacts>> {
  return Object.fromEntries(areas.map((area) => [area, areaFacts(document, area)])) as Record<
    AreaName,
    AreaFacts
  >;
}

/** A part as visitors get it; null: it is not shown there, or empty. */
function shownPart(
  sources: FrameSources,
  panel: PanelSources,
  part: Part,
  inner: readonly ResolvedPart[],
): ResolvedPart | null {
  if (part.kind === 'area' || part.kind === 'exception' || part.kind === 'use' || part.kind === 'behaviour')
    return null;
  const exception = sources.exceptionFor(part);
  if (!isShownBy(part, exception)) return null;
  // Where an exception is about a placement, it says which menu: none is one of the answers.
  const { shows: _, ...rest } = part;
  const own =
    exception === null || part.kind !== 'placement'
      ? part
      : ({ ...rest, ...(exception.shows === undefined ? {} : { shows: exception.shows }) } as Part);
  return resolvePart(panel, own, inner, { children: [], left: [], panel: {}, usual: {} });
}

/**
 * A part once more: hidden where it, or anything around it, is. It has an id of its own, and for a menu it says
 * itself how branches open.
 */
function again(
  sources: FrameSources,
  panel: PanelSources,
  use: PartOf<'use'>,
  inner: readonly ResolvedPart[],
): ResolvedPart | null {
  const { document } = sources;
  const part = usedPart(document, use);
  if (part === null) return null;
  if (!wayUp(document, part.id).every((one) => isShownBy(one, sources.exceptionFor(one)))) return null;
  const shown = shownPart(sources, panel, part, inner);
  if (shown === null) return null;
  const { pattern: _, opensFirst: __, isSingle: ___, rowOpens: ____, ...facts } = shown;
  const { id, parent: _____, kind: ______, of, ...own } = use;
  const { hiddenOn: _______, yields: ________, ...always } = facts;
  // What the header leaves to the drawer is there in all windows that have one.
  const isInDrawer = areaAround(document, use.id)?.area === 'drawer';
  return { ...(isInDrawer ? always : facts), ...own, id, uses: of };
}

/** Whether a part is shown, by the exception that wins or as it usually is. */
function isShownBy({ isHidden }: Part, exception: PartOf<'exception'> | null): boolean {
  return exception?.isShown ?? isHidden !== true;
}

/** What an area does while the page scrolls. */
function doneBy({ document, exceptionFor }: FrameSources, area: AreaName): Behaviour[] {
  return behaviours.filter((does) => {
    const one = document.parts.nodes.get(behaviourId(areaId(area), does));
    return one !== undefined && isShownBy(one, exceptionFor(one));
  });
}

/** The words that visitors of a site read. */
export function siteWords({ site }: SiteDocument): ReturnType<typeof wordsIn> {
  return wordsIn(site.language, site.words);
}

/**
 * The parts in some areas, or of all named places, that have exceptions; also those of parts that are shown there
 * again, and of what is around these.
 */
export function partsWithExceptions(
  document: SiteDocument,
  roots: readonly Id[],
): { readonly part: Part; readonly exceptions: readonly PartOf<'exception'>[] }[] {
  const { parts } = document;
  const found = new Map<Id, { part: Part; exceptions: PartOf<'exception'>[] }>();
  const note = (part: Part): void => {
    const exceptions = exceptionsOf(document, part.id);
    if (exceptions.length > 0) found.set(part.id, { part, exceptions });
  };
  const open = roots.flatMap((root) => [...childrenOf(parts, root)]).reverse();
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const part = nodeAt(parts, id);
    if (part.kind === 'area') continue;
    note(part);
    if (part.kind === 'use') wayUp(document, usedPart(document, part)?.id ?? '').forEach(note);
    open.push(...[...childrenOf(parts, id)].reverse());
  }
  return [...found.values()];
}
