import * as Type from 'typebox';
import type { Static } from 'typebox';
import { capitalised } from '../base/capitalised.ts';
import type { Phrase } from '../base/fillIn.ts';
import { phrase } from '../base/sentences.ts';
import { closed, IdShape } from './shapes.ts';

/** Where on a page a menu can stand. */
export const places = ['bar', 'secondBar', 'side', 'footer', 'drawer', 'inPage'] as const;
/** See `places`. */
export const PlaceShape = Type.Enum(places);
/** A place on the page where a menu can stand. */
export type Place = (typeof places)[number];

export const placementFields = {
  menu: IdShape,
  place: PlaceShape,
};

/** A menu put in a place; its parent is the site, its order that within the place. */
export const PlacementShape = Type.Object({ id: IdShape, parent: IdShape, ...placementFields }, closed);
/** That a menu stands in a place. */
export type Placement = Static<typeof PlacementShape>;

/** What a place is called. */
export function placePhrase(place: Place): Phrase {
  return phrase(`place${capitalised(place)}`);
}
