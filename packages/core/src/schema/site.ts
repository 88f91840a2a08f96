import * as Type from 'typebox';
import type { Static } from 'typebox';
import { EMAIL_PATTERN, PHONE_PATTERN } from '../base/address.ts';
import { MOST_OWN_STARTERS, OwnStarterShape, StarterKeyShape } from './ownStarter.ts';
import { PictureShape } from './picture.ts';
import { IconShape } from './settings.ts';
import {
  closed,
  IdShape,
  KeyShape,
  LabelShape,
  LanguageShape,
  LinkAddressShape,
  recordOf,
  someOf,
} from './shapes.ts';

/** The most variants that a site keeps. */
export const MOST_VARIANTS = 30;

/** What may change of a site. Widths are CSS px; a device class begins at its width. */
export const siteFields = {
  name: LabelShape,
  language: LanguageShape,
  direction: Type.Union([Type.Literal('ltr'), Type.Literal('rtl')]),
  timeZone: Type.String({ maxLength: 64 }),
  /** Scheme and host of the site itself, without a slash at the end; empty when it is not known. */
  origin: Type.String({ maxLength: 300 }),
  breakpoints: Type.Object(
    { medium: Type.Integer({ minimum: 1 }), wide: Type.Integer({ minimum: 2 }) },
    closed,
  ),
};

const MarginShape = Type.Integer({ minimum: 0, maximum: 400 });
const LineShape = Type.String({ minLength: 1, maxLength: 200 });
/** Lines of text, such as those of a postal address. */
const LinesShape = Type.Array(LineShape, { minItems: 1, maxItems: 12 });
const MarkShape = Type.Object({ name: IconShape.properties.name, path: IconShape.properties.path }, closed);

/**
 * What may be said of a site, and need not be. Facts are kept once here and shown wherever the frame uses them.
 * Widths are CSS px.
 */
export const siteFacts = {
  /** How wide the content of bands is; not there: `USUAL_CONTENT`. */
  contentWidth: Type.Integer({ minimum: 320, maximum: 2400 }),
  /** What is left free beside it, by device class; not there: `usualMargins`. */
  margins: someOf({ wide: MarginShape, medium: MarginShape, narrow: MarginShape }),
  logo: PictureShape,
  phone: Type.String({ pattern: PHONE_PATTERN }),
  email: Type.String({ pattern: EMAIL_PATTERN, maxLength: 254 }),
  postal: LinesShape,
  hours: LinesShape,
  /** Who has the rights; not there: the name of the site. */
  holder: LineShape,
  social: Type.Array(Type.Object({ name: LineShape, address: LinkAddressShape, mark: MarkShape }, closed), {
    minItems: 1,
    maxItems: 20,
  }),
  payments: Type.Array(Type.Object({ name: LineShape, mark: MarkShape }, closed), {
    minItems: 1,
    maxItems: 20,
  }),
  /** Words that visitors read, in the place of those that ship: by language, then by what they are for. */
  words: recordOf(LanguageShape, recordOf(KeyShape, LineShape, { maxProperties: 60 }), { maxProperties: 40 }),
  /** It has colours for the dark scheme, too. */
  hasDark: Type.Literal(true),
  /** The looks that the site begins with; not there: `FIRST_STARTER`. */
  starter: StarterKeyShape,
  /** Areas that begin with others. */
  areaStarters: someOf({
    header: StarterKeyShape,
    side: StarterKeyShape,
    footer: StarterKeyShape,
    drawer: StarterKeyShape,
  }),
  /** Looks of buttons and links that have a name here, besides those that ship, by their keys. */
  variants: recordOf(KeyShape, Type.Object({ name: LabelShape }, closed), { maxProperties: MOST_VARIANTS }),
  /** Looks that were saved here, to begin with, by their keys. */
  ownStarters: recordOf(KeyShape, OwnStarterShape, { maxProperties: MOST_OWN_STARTERS }),
};

/** Facts of the site that everything else hangs on. Its id and its key stay. */
export const SiteShape = Type.Object(
  { id: IdShape, key: KeyShape, ...siteFields, ...someOf(siteFacts).properties },
  closed,
);
/** What may change of a site. */
export type SiteFields = Omit<Site, 'id' | 'key'>;
/** A site: its name, key, main language, direction and time zone; facts that its frame shows. */
export type Site = Static<typeof SiteShape>;

/** How wide the content of a site is where nobody said it, in px. */
export const USUAL_CONTENT = 1200;
/** What is left free beside it where nobody said it, in px. */
export const usualMargins = { wide: 32, medium: 24, narrow: 16 } as const;

/**
 * First parts of paths that the editor and its server use themselves: a site with such a key could not be
 * opened at its address.
 */
const reservedKeys: ReadonlySet<string> = new Set([
  'api',
  'assets',
  'delivery',
  'design',
  'healthz',
  'live',
  'preview',
  'sites',
]);

/** Whether a new site may not have this key. */
export function isReservedKey(key: string): boolean {
  return reservedKeys.has(key);
}
