import Type, { type Static } from 'typebox';
import { capitalised } from '../base/capitalised.ts';
import type { Phrase } from '../base/fillIn.ts';
import { phrase } from '../base/sentences.ts';
import { deviceClasses } from './deviceClass.ts';
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
  /** Templates it stands on; null: all. */
  templates: Type.Union([Type.Array(Type.String({ maxLength: 80 }), { maxItems: 200 }), Type.Null()]),
  deviceClasses: Type.Array(Type.Enum(deviceClasses), { maxItems: 3 }),
};

/** A menu put in a place; its parent is the site, its order that within the place. */
export const PlacementShape = Type.Object({ id: IdShape, parent: IdShape, ...placementFields }, closed);
/** That a menu stands in a place. */
export type Placement = Static<typeof PlacementShape>;

/** What a place is called. */
export function placePhrase(place: Place): Phrase {
  return phrase(`place${capitalised(place)}`);
}
