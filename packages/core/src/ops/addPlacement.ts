import { onlyInLogs } from './kit/onlyInLogs.ts';
import { refusal, type Refusal } from '../base/refusal.ts';
import { sentence } from '../base/sentences.ts';
import type { SiteDocument } from '../model/document.ts';
import { nameOf } from '../model/labelOf.ts';
import { PlacementShape, placePhrase, type Placement } from '../schema/placement.ts';
import { defineAdd, topOf, type Branch } from './kit/defineAdd.ts';

/** Puts a menu in a place. */
export type AddPlacement = Branch<'addPlacement', 'placements'>;

export const addPlacement = onlyInLogs(
  defineAdd(
    'addPlacement',
    'removePlacement',
    'placements',
    PlacementShape,
    (document, operation) => {
      const { menu, place } = topOf(operation);
      return sentence('placementAdded', {
        label: nameOf(document, 'menus', menu),
        place: placePhrase(place),
      });
    },
    missingMenu,
  ),
);

export function missingMenu(document: SiteDocument, { menu }: Placement): Refusal | null {
  return document.menus.nodes.has(menu) ? null : refusal('wrongMenu', { id: menu });
}
