import * as Type from 'typebox';
import type { Static } from 'typebox';
import { EMAIL_PATTERN, PHONE_PATTERN } from '../base/address.ts';
import { followOptions } from './follow.ts';
import { PageKindShape } from './page.ts';
import { settingFields } from './settings.ts';
import { AddressShape, closed, IdShape, LabelShape, LinkAddressShape, someOf } from './shapes.ts';

/**
 * What an item leads to. A page is named by its id, so that it may change its address; `none` makes the item
 * a heading; `undecided` is to be settled yet, and held back until then.
 */
export const DestinationShape = Type.Union([
  Type.Object(
    {
      kind: Type.Literal('page'),
      page: IdShape,
      anchor: Type.Union([Type.String({ maxLength: 200 }), Type.Null()]),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal('address'), address: LinkAddressShape }, closed),
  Type.Object(
    { kind: Type.Literal('email'), address: Type.String({ pattern: EMAIL_PATTERN, maxLength: 320 }) },
    closed,
  ),
  Type.Object({ kind: Type.Literal('phone'), number: Type.String({ pattern: PHONE_PATTERN }) }, closed),
  Type.Object({ kind: Type.Literal('none') }, closed),
  Type.Object({ kind: Type.Literal('undecided') }, closed),
]);
/** Where a link leads: a page, an address, a shared link, or nowhere. */
export type Destination = Static<typeof DestinationShape>;

/**
 * What the page of an item was when the editor last set or accepted it. Without these facts nobody could tell
 * later whether the page moved or the editor placed the item elsewhere on purpose.
 */
export const AgreedFactsShape = Type.Object(
  {
    title: LabelShape,
    address: AddressShape,
    parent: IdShape,
    /** The page before it among its siblings then; null: it was the first. */
    after: Type.Union([IdShape, Type.Null()]),
    kind: Type.Optional(PageKindShape),
    /** It was a draft then; not there: live. */
    state: Type.Optional(Type.Literal('draft')),
    /** It was planned then. */
    planned: Type.Optional(Type.Literal(true)),
    /**
     * The latest `since` of any page then: a page with a later one was not known. Not there: none had any.
     */
    known: Type.Optional(Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER })),
  },
  closed,
);
/** What an item's page was like when an editor last set or accepted it. Drift is measured against this. */
export type AgreedFacts = Static<typeof AgreedFactsShape>;

/** What an item and a shared link have alike. */
export const linkFields = {
  /** Null: the title of its page. */
  label: Type.Union([LabelShape, Type.Null()]),
  destination: DestinationShape,
  opensNewTab: Type.Boolean(),
  agreed: Type.Union([AgreedFactsShape, Type.Null()]),
};

/** What an item may have besides. */
export const itemOptions = {
  ...settingFields,
  /** The shared link that it shows; its own label, destination and settings count for nothing then. */
  link: IdShape,
  ...followOptions,
};

/** An item; its parent is another item, or its menu on the top level. */
export const ItemShape = Type.Object(
  { id: IdShape, parent: IdShape, ...linkFields, ...someOf(itemOptions).properties },
  closed,
);
/** An entry of a menu. */
export type Item = Static<typeof ItemShape>;
