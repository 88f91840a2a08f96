import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field } from './definePart.ts';
import { faces, inFrame } from './frameFields.ts';

/** What a contact line can say, in the order in which it does. */
export const contactFacts = ['phone', 'email', 'postal', 'hours'] as const;
const ContactFactsShape = Type.Array(Type.Enum(contactFacts), {
  minItems: 1,
  maxItems: 4,
  uniqueItems: true,
});

/** Which of the site's facts it says. */
const says = field<Static<typeof ContactFactsShape>>(ContactFactsShape, {
  control: {
    kind: 'some',
    label: 'Says',
    choices: [
      { value: 'phone', label: 'phone' },
      { value: 'email', label: 'e-mail' },
      { value: 'postal', label: 'address' },
      { value: 'hours', label: 'opening hours' },
    ],
  },
});

/** Phone number, e-mail address, postal address or opening hours, from the site's facts. */
export const contact = definePart({
  kind: 'contact',
  name: 'contact line',
  about: 'phone, e-mail, address, opening hours',
  standsIn: ['zone', 'cell'],
  root: 'frame',
  always: { says },
  maybe: { faces, ...inFrame },
  begin: () => [{ kind: 'contact', says: ['phone', 'email'] }],
});
