import { onlyInLogs } from './kit/onlyInLogs.ts';
import { sentence } from '../base/sentences.ts';
import { nameOf } from '../model/labelOf.ts';
import { placementFields } from '../schema/placement.ts';
import { missingMenu } from './addPlacement.ts';
import { defineUpdate, type Update } from './kit/defineUpdate.ts';

/** Puts a menu that is in a place into another one. */
export type UpdatePlacement = Update<'updatePlacement', 'placements'>;

export const updatePlacement = onlyInLogs(
  defineUpdate(
    'updatePlacement',
    'placements',
    { always: placementFields, maybe: {} },
    (document, { id }) => sentence('placementChanged', { label: nameOf(document, 'placements', id) }),
    missingMenu,
  ),
);
