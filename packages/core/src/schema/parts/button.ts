import { definePart, IN_ZONES, type Field } from './definePart.ts';
import { destination, opensNewTab, text, variant } from './fields.ts';
import { faced, faces, isIconAbove } from './frameFields.ts';

/** A button has no icon of its own: what is said of one is asked when there is one. */
const withIcon = <V>({ control, ...rest }: Field<V>): Field<V> => ({
  ...rest,
  control: { ...control, needs: 'glyph' },
});

/** A call to action. */
export const button = definePart({
  kind: 'button',
  name: 'button',
  about: 'a call to action',
  standsIn: IN_ZONES,
  always: { text: text('Text'), destination: destination() },
  maybe: { opensNewTab, variant, ...faced, faces: withIcon(faces), isIconAbove: withIcon(isIconAbove) },
  begin: ({ root, label, destination: to }) => [
    { kind: 'button', text: root === 'frame' ? 'Button' : `All of ${label}`, destination: to },
  ],
});
