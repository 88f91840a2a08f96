import * as Type from 'typebox';
import type { Static } from 'typebox';
import { openings } from '../dropdown.ts';
import { IdShape } from '../shapes.ts';
import { definePart, field } from './definePart.ts';
import { text } from './fields.ts';
import { folding } from './folding.ts';
import { fits, inFrame } from './frameFields.ts';

const OpensOnShape = Type.Enum(openings);
const FormShape = Type.Enum(['bar', 'list'] as const);
const EntriesShape = Type.Enum(['equal', 'fill'] as const);

/**
 * The menu that is shown, or that an exception shows; not there: none. It may be gone: then nothing is shown,
 * until the menu comes back.
 */
export const shows = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'none', label: 'Menu' },
  refs: { role: 'memory', find: (value, visit, path) => visit('menu', value, path) },
  isResolved: true,
});
/** A bar that opens its branches, or a list with all of them; not there: a bar in the header, else a list. */
const form = field<Static<typeof FormShape>>(FormShape, {
  control: {
    kind: 'choice',
    label: 'Form',
    usual: 'as the area',
    choices: [
      { value: 'bar', label: 'bar' },
      { value: 'list', label: 'list' },
    ],
  },
});
/** How wide the entries of a bar are; not there: as wide as their labels. */
const entries = field<Static<typeof EntriesShape>>(EntriesShape, {
  control: {
    kind: 'choice',
    label: 'Entries',
    usual: 'own width',
    choices: [
      { value: 'equal', label: 'equal widths' },
      { value: 'fill', label: 'fill the bar' },
    ],
  },
});
/** From this entry on, they stand at the far end of the bar. */
const pushed = field<Static<typeof IdShape>>(IdShape, {
  control: { kind: 'none', label: 'At the far end from' },
  refs: { role: 'memory', find: (value, visit, path) => visit('item', value, path) },
});

/** What opens the branches of a bar here; not there: what each entry says. */
const opensOn = field<Static<typeof OpensOnShape>>(OpensOnShape, {
  control: {
    kind: 'choice',
    label: 'Opens on',
    usual: 'as each entry says',
    choices: [
      { value: 'rest', label: 'hover after a pause' },
      { value: 'atOnce', label: 'hover' },
      { value: 'press', label: 'click' },
    ],
    inAreas: ['header', 'vertical'],
  },
});

/** What a place within the page is called; others are called by where they are. */
const name = { ...text('Name'), control: { kind: 'none', label: 'Name' } } as const;

/**
 * The place of a menu on the page. Directly in the frame, it is a named place within the page, such as beside
 * an article.
 */
export const placement = definePart({
  kind: 'placement',
  name: 'menu',
  about: 'a menu, with its submenus',
  standsIn: ['zone', 'cell', 'frame'],
  root: 'frame',
  always: {},
  maybe: { shows, form, entries, pushed, text: name, ...folding, opensOn, fits, ...inFrame },
  begin: ({ otherMenu }) => [{ kind: 'placement', ...(otherMenu === null ? {} : { shows: otherMenu }) }],
});
