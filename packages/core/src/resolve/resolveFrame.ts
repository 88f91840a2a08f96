import { wordsIn } from '../base/visitorWords.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import { areaId } from '../model/partRoots.ts';
import type { AreaName, Part, PartOf } from '../schema/part.ts';
import { mapTree } from '../walk/mapTree.ts';
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

/** The bands of an area as visitors get them. O(parts + menus). */
export function resolveArea(sources: FrameSources, area: AreaName): ResolvedPart[] {
  return resolveIn(sources, areaId(area));
}

/** The named places within the page as visitors get them. */
export function resolvePlaces(sources: FrameSources): ResolvedPart[] {
  return resolveIn(sources, sources.document.site.id).filter(({ kind }) => kind === 'placement');
}

function resolveIn(sources: FrameSources, root: Id): ResolvedPart[] {
  const { document, compareTitles, keepsEmpty, menuOf } = sources;
  const { parts } = document;
  const panel: PanelSources = { document, compareTitles, keepsEmpty, itemsOf: () => [], menuOf };
  return mapTree<Id, ResolvedPart>(
    childrenOf(parts, root),
    (id) => (nodeAt(parts, id).kind === 'area' ? [] : childrenOf(parts, id)),
    (id, inner) => {
      const part = nodeAt(parts, id);
      if (part.kind === 'area' || part.kind === 'exception') return null;
      const exception = sources.exceptionFor(part);
      const isShown = exception?.isShown ?? part.isHidden !== true;
      if (!isShown) return null;
      // Where an exception is about a placement, it says which menu: none is one of the answers.
      const { shows: _, ...rest } = part;
      const own =
        exception === null || part.kind !== 'placement'
          ? part
          : ({ ...rest, ...(exception.shows === undefined ? {} : { shows: exception.shows }) } as Part);
      return resolvePart(panel, own, inner, { children: [], left: [], panel: {} });
    },
  );
}

/** The words that visitors of a site read. */
export function siteWords({ site }: SiteDocument): ReturnType<typeof wordsIn> {
  return wordsIn(site.language, site.words);
}

/** The parts of an area, or of all named places, that have exceptions. */
export function partsWithExceptions(
  document: SiteDocument,
  root: Id,
): { readonly part: Part; readonly exceptions: readonly PartOf<'exception'>[] }[] {
  const { parts } = document;
  const found: { part: Part; exceptions: PartOf<'exception'>[] }[] = [];
  const open = [...childrenOf(parts, root)].reverse();
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const part = nodeAt(parts, id);
    if (part.kind === 'area') continue;
    const exceptions = exceptionsOf(document, id);
    if (exceptions.length > 0) found.push({ part, exceptions });
    open.push(...[...childrenOf(parts, id)].reverse());
  }
  return found;
}
