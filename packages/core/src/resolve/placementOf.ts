import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { childrenOf, nodeAt } from '../model/forest.ts';
import type { Placement } from '../schema/placement.ts';

/**
 * The first placement of a menu, which is where the live header shows it; null when it stands nowhere yet.
 */
export function placementOf(document: SiteDocument, menu: Id): Placement | null {
  for (const id of childrenOf(document.placements, document.site.id)) {
    const placement = nodeAt(document.placements, id);
    if (placement.menu === menu) return placement;
  }
  return null;
}
