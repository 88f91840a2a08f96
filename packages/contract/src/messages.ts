import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, fnv1a, IdShape, KeyShape } from '@zorvik/core';

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
 * A short text that is the same where the same people are known: so that whoever knows them already need not be told
 * again. O(people), with their order left aside.
 */
export function peopleKey(people: readonly Person[]): string {
  const lines = people.map(({ session, name, menu, item }) => [session, menu, item, name].join(' ')).sort();
  return `${people.length}.${(fnv1a(lines.join('\n')) >>> 0).toString(16)}`;
}

/**
 * One message of the event stream. `missed`: the server may have missed some itself, so look for what is new.
 */
export const ServerMessageShape = Type.Union([
  Type.Object({ kind: Type.Literal('site'), site: KeyShape, revision: Type.Integer({ minimum: 0 }) }, closed),
  Type.Object(
    { kind: Type.Literal('edition'), site: KeyShape, number: Type.Integer({ minimum: 1 }) },
    closed,
  ),
  /** Who came, or is elsewhere or called otherwise now, and who left. */
  Type.Object(
    {
      kind: Type.Literal('people'),
      site: KeyShape,
      here: Type.Array(PersonShape),
      left: Type.Array(IdShape),
    },
    closed,
  ),
  /** The site was read, or its reading was taken in or planned otherwise. */
  Type.Object({ kind: Type.Literal('reading'), site: KeyShape }, closed),
  Type.Object({ kind: Type.Literal('missed') }, closed),
]);
export type ServerMessage = Static<typeof ServerMessageShape>;
