import { isPagePath, isSafeAddress } from '../base/address.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt, type Forest } from '../model/forest.ts';
import { panelColumns } from '../panel/panelColumns.ts';
import { shownApart } from '../panel/shownApart.ts';
import type { PanelFacts } from '../schema/dropdown.ts';
import type { Page } from '../schema/page.ts';
import type { PageSource, Part } from '../schema/part.ts';
import type { Run } from '../schema/richText.ts';
import { mapTree } from '../walk/mapTree.ts';
import { followedPages, type CompareTitles } from './followedPages.ts';
import { hrefOf } from './hrefOf.ts';
import type { ResolvedItem, ResolvedPage, ResolvedPart, ResolvedRun } from './resolved.ts';

export interface PanelSources {
  readonly document: SiteDocument;
  readonly compareTitles: CompareTitles;
  /** What is empty stays, so that it can be seen while it is composed. */
  readonly keepsEmpty: boolean;
  /** The items of another menu, as they are shown in a panel. */
  readonly itemsOf: (menu: Id) => readonly ResolvedItem[];
}

/** The rows of an item's panel; none: nobody composed it. O(parts + items + pages looked at). */
export function resolvePanel(
  sources: PanelSources,
  owner: Id,
  children: readonly ResolvedItem[],
  facts: PanelFacts,
): ResolvedPart[] {
  const { parts } = sources.document;
  const apart = shownApart(sources.document, owner);
  // Balanced groups show what no other part does, once.
  let left: readonly ResolvedItem[] = children.filter(({ id }) => !apart.has(id));
  return mapTree<Id, ResolvedPart>(
    childrenOf(parts, owner),
    (id) => childrenOf(parts, id),
    (id, inner) => {
      const part = nodeAt(parts, id);
      const made = resolvePart(sources, part, inner, children, left, facts);
      if (part.kind === 'groups' && made !== null) left = [];
      return made;
    },
  );
}

function resolvePart(
  sources: PanelSources,
  part: Part,
  inner: readonly ResolvedPart[],
  children: readonly ResolvedItem[],
  left: readonly ResolvedItem[],
  facts: PanelFacts,
): ResolvedPart | null {
  const { document, keepsEmpty } = sources;
  const { destination, source, menu, body, parent: _, ...plain } = part;
  const href = destination === undefined ? null : hrefOf(document, destination);
  const base: ResolvedPart = {
    ...plain,
    ...(href === null ? {} : { href }),
    ...(inner.length > 0 ? { parts: inner } : {}),
  };
  const orEmpty = (isFull: boolean, made: ResolvedPart): ResolvedPart | null =>
    isFull || keepsEmpty ? made : null;
  switch (part.kind) {
    case 'row':
    case 'tabs':
    case 'tab':
    case 'links':
      return orEmpty(inner.length > 0, base);
    case 'cell':
      // An empty cell keeps the place of those beside it.
      return base;
    case 'group':
      return orEmpty(
        children.some(({ id }) => id === part.item),
        base,
      );
    case 'groups': {
      const { groups, sizes } = panelColumns(left, {
        ...facts,
        ...(part.columns === undefined ? {} : { columns: part.columns }),
      });
      let from = 0;
      const columns = sizes.map((size) => groups.slice((from += size) - size, from).map(({ id }) => id));
      return orEmpty(left.length > 0, { ...base, groups: columns });
    }
    case 'picture':
      return orEmpty(part.picture !== undefined, base);
    case 'link':
    case 'button':
    case 'video':
      return orEmpty(href !== null, base);
    case 'text':
      return {
        ...base,
        body: (body ?? []).map((block) => ({
          ...block,
          runs: block.runs.map((run) => resolveRun(document, run)),
        })),
      };
    case 'pages': {
      const pages = source === undefined ? [] : pagesOf(document, source, sources.compareTitles);
      return orEmpty(pages.length > 0, { ...base, pages });
    }
    case 'menu': {
      const items = menu === undefined ? [] : sources.itemsOf(menu);
      return orEmpty(items.length > 0, { ...base, items });
    }
    case 'search': {
      const { address, ...rest } = base;
      return address !== undefined && isSafeAddress(address) ? base : orEmpty(false, rest);
    }
    case 'heading':
    case 'divider':
      return base;
  }
}

function resolveRun(document: SiteDocument, { to, ...run }: Run): ResolvedRun {
  const href = to === undefined ? null : hrefOf(document, to);
  return href === null ? run : { ...run, href };
}

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
