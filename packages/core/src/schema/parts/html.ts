import * as Type from 'typebox';
import type { Static } from 'typebox';
import { refusal } from '../../base/refusal.ts';
import { isCleanHtml } from '../../html/isCleanHtml.ts';
import { definePart, field, IN_ZONES } from './definePart.ts';
import { inFrame } from './frameFields.ts';

/** The most characters of own HTML in one part. */
export const LONGEST_HTML = 20_000;
const HtmlShape = Type.String({ minLength: 1, maxLength: LONGEST_HTML });

/** HTML that was cleaned before it was stored. */
const html = field<Static<typeof HtmlShape>>(HtmlShape, { control: { kind: 'html', label: 'HTML' } });

/** HTML of somebody's own. It is stored as it was cleaned, so that there is one form of it for all to check. */
export const htmlPart = definePart({
  kind: 'html',
  name: 'own HTML',
  oneOf: 'a piece of own HTML',
  about: 'cleaned of scripts, forms and styles',
  standsIn: IN_ZONES,
  always: { html },
  maybe: { ...inFrame },
  begin: () => [{ kind: 'html', html: '<p>Your HTML</p>' }],
  check: ({ html: given }) =>
    typeof given !== 'string' || isCleanHtml(given) ? null : refusal('badHtml', {}),
});
