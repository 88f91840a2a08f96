import { onlyInLogs } from './kit/onlyInLogs.ts';
import { sentence } from '../base/sentences.ts';
import { nodeAt } from '../model/forest.ts';
import { nameOf } from '../model/labelOf.ts';
import { placePhrase } from '../schema/placement.ts';
import { defineMove, type Move } from './kit/defineMove.ts';

/** Puts a placement elsewhere in the order of those in its place. */
export type MovePlacement = Move<'movePlacement'>;

export const movePlacement = onlyInLogs(
  defineMove('movePlacement', 'placements', (document, { id }) =>
    sentence('placementMoved', {
      label: nameOf(document, 'placements', id),
      place: placePhrase(nodeAt(document.placements, id).place),
    }),
  ),
);
