import { moss } from './moss.ts';
import { OUTER_RING } from './pieces.ts';
import type { Look, StarterLooks } from './starter.ts';
import { withLooks } from './withLooks.ts';

/** Small capitals, as far as every font has them. */
const LABEL: Look = { textTransform: 'uppercase', letterSpacing: '.08em', fontSize: '.8125rem' };
const UNDERLINE: Look = { textDecoration: 'underline .06em', textUnderlineOffset: '.35em' };
/** A button is an outline that is filled under the pointer. */
const OUTLINED: Look = {
  background: 'none',
  color: '@button',
  borderBlockWidth: '1px',
  borderInlineWidth: '1px',
  borderColor: '@button',
  borderRadius: '0',
  fontWeight: '400',
};
const OUTLINED_HOVER: Look = { background: '@button', color: '@button-ink' };
const LEAF: Look = { boxShadow: '0 .25rem 1rem -.5rem #00000055', borderBlockWidth: '3px 1px' };

/** Like a printed page. */
export const orchard: StarterLooks = withLooks(moss, {
  site: { normal: { fontSize: '1.0625rem', fontWeight: '400', lineHeight: '1.45' } },
  header: { normal: { borderBlockWidth: '0 3px', borderStyle: 'double' } },
  footer: { normal: { background: 'none', borderBlockWidth: '3px 0', borderStyle: 'double' } },
  upperBand: {
    normal: { background: 'none', borderBlockWidth: '0 1px', borderColor: '@edge', ...LABEL },
  },
  footerBand: { normal: { paddingBlock: '1.5rem' } },
  level: { normal: { fontSize: '1rem' } },
  dropdown: {
    normal: { ...LEAF, appear: 'fade 200ms ease', paddingBlock: '.75rem', paddingInline: '.75rem' },
  },
  flyout: { normal: { ...LEAF, appear: 'fade 200ms ease' } },
  panel: { normal: { ...LEAF, appear: 'fade 200ms ease', panelInset: '1.75rem', gap: '1rem 2.5rem' } },
  entry: {
    normal: { transition: '200ms ease' },
    within: { fontStyle: 'italic' },
    current: { textDecoration: 'underline .06em', textUnderlineOffset: '.35em' },
    hover: { background: 'none', ...UNDERLINE },
    focus: OUTER_RING,
  },
  barDivider: {
    normal: { divider: 'dot', color: '@accent', blockSize: 'auto', marginInline: '0 1.25rem' },
  },
  barEntry: { normal: { letterSpacing: '.01em' } },
  arrowButton: { normal: { paddingInline: '.3rem', marginInline: '0' } },
  panelHeading: { normal: { color: '@accent', fontWeight: '400', ...LABEL } },
  groupHeading: { normal: { color: '@accent', fontWeight: '400', ...LABEL } },
  listHeading: { normal: { fontWeight: '400', fontStyle: 'italic' } },
  footerHeading: { normal: { fontStyle: 'normal', color: '@accent', ...LABEL } },
  buttonEntry: {
    normal: OUTLINED,
    within: { color: '@button', fontStyle: 'normal' },
    hover: { ...OUTLINED_HOVER, textDecoration: 'none' },
    focus: { outline: '2px solid @accent' },
    over: { background: 'none' },
  },
  arrow: { normal: { arrowShape: 'arrow', inlineSize: '.45rem', blockSize: '.45rem' } },
  foldArrow: { normal: { arrowShape: 'plus', inlineSize: '.6rem', blockSize: '.6rem' } },
  badge: { normal: { borderRadius: '0', fontWeight: '400' } },
  heading: { normal: { fontWeight: '400', fontSize: '1.25rem' } },
  headingLink: { hover: { background: 'none', ...UNDERLINE } },
  button: {
    normal: OUTLINED,
    hover: OUTLINED_HOVER,
    focus: OUTER_RING,
    over: { background: 'none' },
  },
  searchField: { normal: { borderInlineWidth: '0', borderBlockWidth: '0 1px', background: 'none' } },
  searchButton: {
    normal: { background: 'none', color: '@button' },
    hover: UNDERLINE,
    focus: { outline: '2px solid @accent' },
  },
  formField: { normal: { borderInlineWidth: '0', borderBlockWidth: '0 1px', background: 'none' } },
  formButton: { normal: OUTLINED, hover: OUTLINED_HOVER },
  tabLabel: {
    normal: { ...LABEL },
    open: { fontWeight: '400' },
    hover: { background: 'none', ...UNDERLINE },
  },
  mark: { normal: { borderBlockWidth: '0', borderInlineWidth: '0' } },
  face: { hover: { background: 'none', ...UNDERLINE } },
  copyright: { normal: { fontStyle: 'italic' } },
});
