import * as Type from 'typebox';
import type { Static } from 'typebox';
import { PageKindShape } from './page.ts';
import { closed, IdShape, LabelShape } from './shapes.ts';

/** In which order followed pages stand: as the pages do, by title, most visited first, newest first. */
export const followOrders = ['site', 'title', 'visits', 'date'] as const;
/** An order of followed pages. */
export type FollowOrder = (typeof followOrders)[number];

/** The most levels that can be followed. */
export const MOST_LEVELS = 20;

/**
 * Where an item or a menu takes its children from, and by which rule. What need not be there does not narrow.
 */
export const FollowShape = Type.Object(
  {
    of: Type.Union([
      /** What stands below a page; null: the whole site. */
      Type.Object({ kind: Type.Literal('pages'), page: Type.Union([IdShape, Type.Null()]) }, closed),
      Type.Object({ kind: Type.Literal('menu'), menu: IdShape }, closed),
    ]),
    /** How many levels. */
    depth: Type.Integer({ minimum: 1, maximum: MOST_LEVELS }),
    order: Type.Enum(followOrders),
    /** All levels as one list: with an order and a limit, a live list. */
    flat: Type.Optional(Type.Literal(true)),
    kinds: Type.Optional(Type.Array(PageKindShape, { minItems: 1, maxItems: 5, uniqueItems: true })),
    /** Pages of any of these. */
    categories: Type.Optional(
      Type.Array(Type.String({ minLength: 1, maxLength: 200 }), {
        minItems: 1,
        maxItems: 50,
        uniqueItems: true,
      }),
    ),
    /** At most so many children of each parent. */
    limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
    /** Drafts stand there too, held back until they are live. */
    drafts: Type.Optional(Type.Literal(true)),
  },
  closed,
);
/** The rule by which a menu or an item is filled from pages or another menu. */
export type Follow = Static<typeof FollowShape>;

/**
 * What is otherwise with one followed child, kept as an item with the child's id: its label, if it has one,
 * and its settings count instead of what is followed. Its parent is what follows, on whatever level the child
 * stands.
 */
export const ExceptionShape = Type.Object(
  {
    /** The page, or the item of the followed menu, that it is about. */
    of: IdShape,
    hidden: Type.Optional(Type.Literal(true)),
    /** What the item of the followed menu was called when it was given another label here. */
    was: Type.Optional(LabelShape),
  },
  closed,
);
/** How a followed page or item differs from what the rule would give: its label, or left out. */
export type FollowException = Static<typeof ExceptionShape>;

/**
 * A place among followed siblings: behind the one that stands for this page or item; null: first. Its anchor
 * gone, it stands behind all.
 */
export const PinShape = Type.Object({ after: Type.Union([IdShape, Type.Null()]) }, closed);
/** A fixed place among followed siblings. */
export type Pin = Static<typeof PinShape>;

/** What an item has that follows, stands among what is followed, or says what is otherwise there. */
export const followOptions = {
  follow: FollowShape,
  exception: ExceptionShape,
  pin: PinShape,
};
