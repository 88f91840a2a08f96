import { isPagePath } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Forest } from '../model/forest.ts';
import { hrefOf } from '../model/hrefOf.ts';
import type { ResolvesIn } from '../parts/partHandler.ts';
import { handlerOf } from '../parts/partHandlers.ts';
import type { Page } from '../schema/page.ts';
import { partField, partFieldNames, type PageSource, type Part } from '../schema/part.ts';
import { followedPages, type CompareTitles } from './followedPages.ts';
import type { ResolvedItem, ResolvedMenu, ResolvedPage, ResolvedPart } from './resolved.ts';

/** What parts are resolved from. */
export interface PanelSources {
  readonly document: SiteDocument;
  readonly compareTitles: CompareTitles;
  /** What is empty stays, so that it can be seen while it is composed. */
  readonly keepsEmpty: boolean;
  /** The items of another menu, as they are shown in a panel. */
  readonly itemsOf: (menu: Id) => readonly ResolvedItem[];
  /** A whole menu, for placements; null where it is not there. */
  readonly menuOf: (menu: Id) => ResolvedMenu | null;
}

/** A part with what it takes from elsewhere filled in; null where it is empty, and that is left out. */
export function resolvePart(
  sources: PanelSources,
  part: Part,
  inner: readonly ResolvedPart[],
  around: Pick<ResolvesIn, 'children' | 'left' | 'panel' | 'usual'>,
): ResolvedPart | null {
  const { document, keepsEmpty, itemsOf, menuOf } = sources;
  const href = part.destination === undefined ? null : hrefOf(document, part.destination);
  const base = {
    ...plainFields(part),
    ...(href === null ? {} : { href }),
    ...(inner.length > 0 ? { parts: inner } : {}),
  } as ResolvedPart;
  const pagesIn = (source: PageSource): ResolvedPage[] => pagesOf(document, source, sources.compareTitles);
  const within = { document, base, ...around, itemsOf, menuOf, pagesOf: pagesIn };
  const { part: resolved, isEmpty } = handlerOf(part.kind).resolve?.(part as never, within) ?? {
    part: base,
    isEmpty: false,
  };
  return isEmpty && !keepsEmpty ? null : resolved;
}

/** The fields of a part that visitors get as they are stored. */
function plainFields({ parent: _, ...part }: Part): object {
  return Object.fromEntries(Object.entries(part).filter(([name]) => !resolvedFields.has(name)));
}
const resolvedFields = new Set<string>(partFieldNames.filter((name) => partField(name).isResolved === true));

/**
 * What was found is kept as long as the pages are the same: a panel is drawn at each letter that is typed
 * into it.
 */
const found = new WeakMap<Forest<Page>, Map<string, ResolvedPage[]>>();

function pagesOf(
  document: SiteDocument,
  { page, limit, ...source }: PageSource,
  compareTitles: CompareTitles,
): ResolvedPage[] {
  const known = found.get(document.pages) ?? new Map<string, ResolvedPage[]>();
  found.set(document.pages, known);
  const key = JSON.stringify({ page, limit, ...source });
  const present = known.get(key);
  if (present !== undefined) return present;
  const below = page ?? document.site.id;
  const rule = { of: { kind: 'pages' as const, page }, flat: true as const, ...source };
  const pages = followedPages(document, rule, below, compareTitles)
    .filter(({ address }) => isPagePath(address))
    .slice(0, limit)
    .map(({ title, address, picture, summary }) => ({
      label: title,
      href: address,
      // Nothing is loaded from another host unasked.
      ...(picture === undefined || !isPagePath(picture) ? {} : { picture }),
      ...(summary === undefined ? {} : { summary }),
    }));
  known.set(key, pages);
  return pages;
}
