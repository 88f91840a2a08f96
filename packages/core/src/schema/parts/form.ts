import * as Type from 'typebox';
import type { Static } from 'typebox';
import { definePart, field, IN_ZONES } from './definePart.ts';
import { address, body, isRounded, parameter, picture, text, TextShape } from './fields.ts';
import { wrongAction } from './wrongAction.ts';
import { inFrame } from './frameFields.ts';

const YesShape = Type.Literal(true);

/** What its field asks for. */
const label = field<Static<typeof TextShape>>(TextShape, { control: { kind: 'line', label: 'Field label' } });
/** Whoever signs up has to tick that they agree; not there: the line says what they agree to. */
const needsConsent = field<Static<typeof YesShape>>(YesShape, {
  control: {
    kind: 'flag',
    label: 'Consent',
    off: 'by signing up',
    on: 'by ticking a box',
    value: true,
    needs: 'body',
  },
});

/** Under which name the address is sent. */
const fieldName = { ...parameter, control: { ...parameter.control, label: 'Field name' } };
const rounded = { ...isRounded, control: { ...isRounded.control, needs: 'picture' } };

/** A sign-up form: one field for an e-mail address, a line about consent, a button. */
export const form = definePart({
  kind: 'form',
  name: 'sign-up form',
  about: 'e-mail field and consent line',
  standsIn: IN_ZONES,
  always: { label, text: text('Button'), address: address('Send to'), parameter: fieldName },
  maybe: { body: body('Consent line'), needsConsent, picture: picture(), isRounded: rounded, ...inFrame },
  begin: () => [
    {
      kind: 'form',
      label: 'Your e-mail address',
      text: 'Sign up',
      address: '/newsletter',
      parameter: 'email',
      body: [
        {
          kind: 'paragraph',
          runs: [{ text: 'At most one letter a month. You can unsubscribe at any time.' }],
        },
      ],
    },
  ],
  check: wrongAction,
});
