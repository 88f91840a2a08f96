import * as Type from 'typebox';
import type { Static } from 'typebox';
import {
  closed,
  IdShape,
  LabelShape,
  LanguageShape,
  LinkAddressShape,
  PagePathShape,
  someOf,
} from './shapes.ts';

/** What sort of page it is: an ordinary page, a product, a category and so on. */
export const PageKindShape = Type.Union([
  Type.Literal('page'),
  Type.Literal('category'),
  Type.Literal('article'),
  Type.Literal('product'),
  Type.Literal('event'),
]);
/** What sort of page it is. */
export type PageKind = Static<typeof PageKindShape>;

/** live: visitors can see it; draft: not yet; gone: no longer. */
export const PageStateShape = Type.Union([Type.Literal('live'), Type.Literal('draft'), Type.Literal('gone')]);
/** Whether a page is live, a draft, planned or gone. */
export type PageState = Static<typeof PageStateShape>;

export const pageFields = {
  /** The name by which its source knows the page (a sitemap: the address); imports find it again by this. */
  key: Type.String({ minLength: 1, maxLength: 2048 }),
  kind: PageKindShape,
  title: LabelShape,
  /** Path from the site's root, with query if it has one: `/seeds/autumn`. */
  address: PagePathShape,
  state: PageStateShape,
  /** Null: the site's main language. */
  language: Type.Union([LanguageShape, Type.Null()]),
  /** Name of the template that the site shows it with; null when not known. */
  template: Type.Union([Type.String({ maxLength: 80 }), Type.Null()]),
};

/** A day, `2026-11-23` (ISO 8601). */
export const DayShape = Type.String({ pattern: '^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])$' });

/** A place in a page that a link may name: a heading with an id. */
export const AnchorShape = Type.Object(
  { id: Type.String({ minLength: 1, maxLength: 200 }), title: LabelShape },
  closed,
);
/** A heading within a page that links can lead to. */
export type PageAnchor = Static<typeof AnchorShape>;

/** What of a site that was read put a page where it stands; the surest first. */
export const placings = ['jsonLd', 'microdata', 'breadcrumb', 'trail', 'up', 'list', 'path', 'none'] as const;
/** See `placings`. */
export const PlacingShape = Type.Enum(placings);
/** What a page's parent was derived from when the site was read. */
export type Placing = (typeof placings)[number];

export const pageOptions = {
  /** The day it was published, or changed last, as its source says. */
  date: DayShape,
  /** How often it was looked at in the time that its source counts. */
  visits: Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER }),
  categories: Type.Array(Type.String({ minLength: 1, maxLength: 200 }), {
    minItems: 1,
    maxItems: 50,
    uniqueItems: true,
  }),
  /** Address of a picture that stands for it. */
  picture: LinkAddressShape,
  summary: Type.String({ minLength: 1, maxLength: 1000 }),
  /** In the order of the page. */
  anchors: Type.Array(AnchorShape, { minItems: 1, maxItems: 500 }),
  /**
   * What the site called it when it was read last; a title that a person gave it since stands beside that.
   */
  readTitle: LabelShape,
  /** By which evidence it stands where it does, and how sure that is, in percent. */
  placedBy: Type.Object({ by: PlacingShape, sure: Type.Integer({ minimum: 0, maximum: 100 }) }, closed),
  /**
   * Since when it stands under its parent, in the order in which pages came and moved: one more than any
   * other page had then. Not there: from the start.
   */
  since: Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER }),
  /** Addresses that it had before; the site answers them with the present one. */
  formerAddresses: Type.Array(PagePathShape, { minItems: 1, maxItems: 50, uniqueItems: true }),
  /**
   * A placeholder: somebody has a place for it in a menu, but the site has it not yet. The next import that
   * names it makes it real.
   */
  planned: Type.Literal(true),
};

/** A page of the site. `parent` is another page, or the site itself on the top level. */
export const PageShape = Type.Object(
  { id: IdShape, parent: IdShape, ...pageFields, ...someOf(pageOptions).properties },
  closed,
);
/** A page of the site, as the site itself states it. */
export type Page = Static<typeof PageShape>;
