import * as Type from 'typebox';
import type { Static } from 'typebox';
import { field } from './definePart.ts';

/** How a menu that is a list opens its branches in one place: in a drawer, at the side, in a vertical header. */

/** The patterns that a place can have. */
export const patterns = ['accordion', 'stepIn', 'open'] as const;
const PatternShape = Type.Enum(patterns);
const FirstShape = Type.Enum(['none', 'current', 'all'] as const);
const YesShape = Type.Literal(true);
/** Where lists are: nothing folds in a bar. */
const inAreas = ['drawer', 'side', 'vertical'];

/** Branches fold, replace what they stand in, or are always open; not there: they fold in a drawer and are open elsewhere. */
const pattern = field<Static<typeof PatternShape>>(PatternShape, {
  control: {
    kind: 'choice',
    label: 'Submenus',
    usual: 'as the area',
    choices: [
      { value: 'accordion', label: 'accordion' },
      { value: 'stepIn', label: 'step in' },
      { value: 'open', label: 'always open' },
    ],
    inAreas,
  },
});
/** Which branches of an accordion are open at first; not there: the one that the current page is in. */
const opensFirst = field<Static<typeof FirstShape>>(FirstShape, {
  control: {
    kind: 'choice',
    label: 'Open at first',
    usual: 'current',
    choices: [
      { value: 'none', label: 'none' },
      { value: 'all', label: 'all' },
    ],
    inAreas,
  },
});
/** Opening one branch of an accordion closes the one beside it. */
const isSingle = field<Static<typeof YesShape>>(YesShape, {
  control: {
    kind: 'flag',
    label: 'Branches open',
    off: 'several',
    on: 'one at a time',
    value: true,
    inAreas,
  },
});
/** The whole row opens the branch, whose first entry is the link; not there: the arrow opens it, and the label is the link. */
const rowOpens = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Opened by', off: 'arrow', on: 'whole row', value: true, inAreas },
});

/** All of it. */
export const folding = { pattern, opensFirst, isSingle, rowOpens };
