import * as Type from 'typebox';
import type { Static } from 'typebox';
import { closed } from '../shapes.ts';
import { definePart, IN_ZONES, field } from './definePart.ts';
import { address, parameter, ParameterShape, text } from './fields.ts';
import { glyph, inFrame } from './frameFields.ts';
import { wrongAction } from './wrongAction.ts';

const ExtraParameterShape = Type.Object(
  { name: ParameterShape, value: Type.String({ minLength: 1, maxLength: 200 }) },
  closed,
);
/** What else it sends, such as the part of the site to search in. */
const extraParameter = field<Static<typeof ExtraParameterShape>>(ExtraParameterShape, {
  control: { kind: 'pair', label: 'Limit to (optional)', placeholder: 'name=value' },
});

const YesShape = Type.Literal(true);
/** It is an icon first, which opens the field. */
const isFolded = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Shows', off: 'field', on: 'icon that opens it', value: true },
});

/** A field that searches the site. */
export const search = definePart({
  kind: 'search',
  name: 'search',
  oneOf: 'a search field',
  about: 'a field that searches the site',
  standsIn: IN_ZONES,
  always: { text: text('Name'), address: address('Search page'), parameter },
  maybe: { extraParameter, isFolded, glyph, ...inFrame },
  begin: () => [{ kind: 'search', text: 'Search', address: '/search', parameter: 'q' }],
  check: wrongAction,
});
