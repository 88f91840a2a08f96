import Type from 'typebox';
import { closed } from '../shapes.ts';
import { definePart, IN_CELLS, type Field } from './definePart.ts';
import { address, hiddenOn, parameter, text } from './fields.ts';
import { wrongAction } from './wrongAction.ts';

const ScopeShape = Type.Object(
  { name: parameter.shape, value: Type.String({ minLength: 1, maxLength: 200 }) },
  closed,
);
/** What else it sends, such as the part of the site to search in. */
const scope: Field<typeof ScopeShape> = {
  shape: ScopeShape,
  control: { kind: 'pair', label: 'Limit to (optional)', placeholder: 'name=value' },
};

/** A field that searches the site. */
export const search = definePart({
  kind: 'search',
  name: 'search',
  oneOf: 'a search field',
  about: 'a field that searches the site',
  standsIn: IN_CELLS,
  always: { text: text('Name'), address: address('Search page'), parameter },
  maybe: { scope, hiddenOn },
  begin: () => [{ kind: 'search', text: 'Search', address: '/search', parameter: 'q' }],
  check: wrongAction,
});
