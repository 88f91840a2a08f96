import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import type { PartOf } from '../schema/part.ts';

/** The page that a frame is resolved for: its template, and the pages from itself up to the top. */
export interface Situation {
  readonly template: string | null;
  /** The page itself first; empty: no page is known. */
  readonly pages: readonly Id[];
}

/** The situation on a page, or on a page of which only the template is known. O(depth). */
export function situationOn(
  { pages }: SiteDocument,
  page: Id | null,
  template: string | null = null,
): Situation {
  const way: Id[] = [];
  for (
    let at = page === null ? undefined : pages.nodes.get(page);
    at !== undefined;
    at = pages.nodes.get(at.parent)
  )
    way.push(at.id);
  return { template: (page === null ? undefined : pages.nodes.get(page)?.template) ?? template, pages: way };
}

/** The exceptions of a part. O(children). */
export function exceptionsOf({ parts }: SiteDocument, part: Id): PartOf<'exception'>[] {
  return [...childrenOf(parts, part)].flatMap((id) => {
    const one = nodeAt(parts, id);
    return one.kind === 'exception' ? [one] : [];
  });
}

/**
 * The exception that wins: the one for the page itself, else for the nearest page above it with all below, else
 * for its template; null: none, so that the part is as it usually is. Nothing has to be sorted, since a part has
 * at most one of each.
 */
export function winning(
  exceptions: readonly PartOf<'exception'>[],
  { template, pages }: Situation,
): PartOf<'exception'> | null {
  const [page] = pages;
  const own = exceptions.find(
    ({ onPage, isBelow }) => onPage !== undefined && onPage === page && isBelow !== true,
  );
  if (own !== undefined) return own;
  for (const above of pages) {
    const nearest = exceptions.find(({ onPage, isBelow }) => onPage === above && isBelow === true);
    if (nearest !== undefined) return nearest;
  }
  return exceptions.find((one) => one.template !== undefined && one.template === template) ?? null;
}
