import { onlyInLogs } from './kit/onlyInLogs.ts';
import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { PlacementShape, placePhrase } from '../schema/placement.ts';
import { topOf, type Branch } from './kit/defineAdd.ts';
import { defineRemove } from './kit/defineRemove.ts';

/** Takes a menu out of a place. */
export type RemovePlacement = Branch<'removePlacement', 'placements'>;

export const removePlacement = onlyInLogs(
  defineRemove('removePlacement', 'addPlacement', 'placements', PlacementShape, (document, operation) => {
    const { id, place } = topOf(operation);
    return sentence('placementRemoved', {
      label: nameOf(document, 'placements', id),
      place: placePhrase(place),
    });
  }),
);
