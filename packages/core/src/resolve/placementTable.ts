import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf } from '../model/forest.ts';
import type { PartOf } from '../schema/part.ts';
import { exceptionsOf, winning } from './frameExceptions.ts';
import { placementsIn } from './placementOf.ts';

/** What a placement shows somewhere: a menu, nothing because no menu is chosen, or it is hidden. */
export interface Shown {
  readonly isShown: boolean;
  /** The menu; null: none is chosen, or it was deleted. */
  readonly menu: Id | null;
  /** The exception that decides; null: it is so on all pages. */
  readonly by: PartOf<'exception'> | null;
}

/** A placement, and what it shows on all pages and on those of each template. */
export interface PlacementRow {
  readonly placement: PartOf<'placement'>;
  readonly usual: Shown;
  /** In the order of `templates`. */
  readonly cells: readonly (Shown & {
    /** Exceptions for single pages of the template, and for branches that such a page is at the top of. */
    readonly pages: readonly PartOf<'exception'>[];
  })[];
  /** The same of pages that have no template, or are gone. */
  readonly pages: readonly PartOf<'exception'>[];
}

/** Which menu shows where, as a whole. */
export interface PlacementTable {
  /** All templates that pages or exceptions name, with how many live pages each has; most pages first. */
  readonly templates: readonly { readonly template: string; readonly pages: number }[];
  readonly rows: readonly PlacementRow[];
  /** Menus that show on no page. */
  readonly nowhere: readonly Id[];
}

/** The table of a site. O(pages + placements * (templates + exceptions)). */
export function placementTable(document: SiteDocument): PlacementTable {
  const { pages, parts, site, menus } = document;
  const counts = new Map<string, number>();
  for (const { template, state } of pages.nodes.values())
    if (template !== null && state === 'live') counts.set(template, (counts.get(template) ?? 0) + 1);
  const placements = placementsIn(parts, site.id);
  const exceptions = new Map(placements.map(({ id }) => [id, exceptionsOf(document, id)]));
  for (const some of exceptions.values())
    for (const { template } of some)
      if (template !== undefined && !counts.has(template)) counts.set(template, 0);
  const templates = [...counts]
    .map(([template, count]) => ({ template, pages: count }))
    .sort((a, b) => b.pages - a.pages || (a.template < b.template ? -1 : 1));
  const menuThere = (id: Id | undefined): Id | null => (id !== undefined && menus.nodes.has(id) ? id : null);

  const rows = placements.map((placement): PlacementRow => {
    const some = exceptions.get(placement.id) ?? [];
    const usual: Shown = { isShown: placement.isHidden !== true, menu: menuThere(placement.shows), by: null };
    const shownWith = (by: PartOf<'exception'> | null): Shown =>
      by === null ? usual : { isShown: by.isShown, menu: menuThere(by.shows), by };
    const templateOf = ({ onPage }: PartOf<'exception'>): string | null =>
      (onPage === undefined ? undefined : pages.nodes.get(onPage)?.template) ?? null;
    const ofPages = some.filter(({ onPage }) => onPage !== undefined);
    return {
      placement,
      usual,
      cells: templates.map(({ template }) => ({
        ...shownWith(winning(some, { template, pages: [] })),
        pages: ofPages.filter((one) => templateOf(one) === template),
      })),
      pages: ofPages.filter((one) => templateOf(one) === null),
    };
  });
  const isSomewhere = (menu: Id): boolean =>
    rows.some(
      ({ placement, usual }) =>
        (usual.isShown && usual.menu === menu) ||
        (exceptions.get(placement.id) ?? []).some(({ isShown, shows }) => isShown && shows === menu),
    );
  return {
    templates,
    rows,
    nowhere: [...childrenOf(menus, site.id)].filter((id) => !isSomewhere(id)),
  };
}
