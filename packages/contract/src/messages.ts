import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, IdShape, KeyShape } from '@zorvik/core';

/** What a person calls themselves. */
export const PersonNameShape = Type.String({ minLength: 1, maxLength: 40, pattern: '\\S' });

/**
 * Somebody at a window: what they call themselves, the menu they look at, and the item that is selected
 * there.
 */
export const PersonShape = Type.Object(
  {
    session: IdShape,
    name: PersonNameShape,
    menu: Type.Union([IdShape, Type.Null()]),
    item: Type.Union([IdShape, Type.Null()]),
  },
  closed,
);
export type Person = Static<typeof PersonShape>;

/**
 * One message of the event stream. `missed`: the server may have missed some itself, so look for what is new.
 */
export const ServerMessageShape = Type.Union([
  Type.Object({ kind: Type.Literal('site'), site: KeyShape, revision: Type.Integer({ minimum: 0 }) }, closed),
  Type.Object(
    { kind: Type.Literal('edition'), site: KeyShape, number: Type.Integer({ minimum: 1 }) },
    closed,
  ),
  Type.Object({ kind: Type.Literal('people'), site: KeyShape, people: Type.Array(PersonShape) }, closed),
  /** The site was read, or its reading was taken in or planned otherwise. */
  Type.Object({ kind: Type.Literal('reading'), site: KeyShape }, closed),
  Type.Object({ kind: Type.Literal('missed') }, closed),
]);
export type ServerMessage = Static<typeof ServerMessageShape>;
