import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed, IdShape, KeyShape, LabelShape, LanguageShape } from './shapes.ts';

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

/** Facts of the site that everything else hangs on. Its id and its key stay. */
export const SiteShape = Type.Object({ id: IdShape, key: KeyShape, ...siteFields }, closed);
/** What may change of a site. */
export type SiteFields = Omit<Site, 'id' | 'key'>;
/** A site: its name, key, main language, direction and time zone. */
export type Site = Static<typeof SiteShape>;

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
  'sites',
]);

/** Whether a new site may not have this key. */
export function isReservedKey(key: string): boolean {
  return reservedKeys.has(key);
}
