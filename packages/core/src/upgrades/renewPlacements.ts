import { childrenOf, nodeAt, spotOf } from '../model/forest.ts';
import type { SiteDocument } from '../model/document.ts';
import type { Operation } from '../ops/registry.ts';

/**
 * Placements said on which templates and device classes they stand, which nothing ever read. Each is removed and
 * added again without that: an update could not take a field away whose value is null.
 */
export function renewPlacements({ placements, site }: SiteDocument): Operation[] {
  return [...childrenOf(placements, site.id)].flatMap((id): Operation[] => {
    const old = nodeAt(placements, id);
    const { after } = spotOf(placements, id);
    const { parent, menu, place } = old;
    return [
      { kind: 'removePlacement', after, branch: [old] },
      { kind: 'addPlacement', after, branch: [{ id, parent, menu, place }] },
    ];
  });
}
