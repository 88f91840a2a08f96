import { moss } from './moss.ts';
import { OUTER_RING } from './pieces.ts';
import type { Look, StarterLooks } from './starter.ts';
import { withLooks } from './withLooks.ts';

const PILL: Look = { borderRadius: '1.5rem' };
/** Filled: what one is at. In the colour of buttons, which stays where the accent turns white over a picture. */
const FILL: Look = { background: '@button', color: '@button-ink', textDecoration: 'none' };
const LIFTED: Look = {
  borderBlockWidth: '0',
  borderInlineWidth: '0',
  borderRadius: '@radius',
  boxShadow: '0 1.25rem 3rem -1rem #00000059, 0 0 0 1px #00000014',
};

/** Round and bold. */
export const poppy: StarterLooks = withLooks(moss, {
  site: { normal: { fontSize: '1rem', fontWeight: '600', lineHeight: '1.5' } },
  header: {
    normal: { borderBlockWidth: '0', boxShadow: '0 .5rem 1.5rem -1rem #00000066' },
  },
  footer: { normal: { borderBlockWidth: '0' } },
  lastBand: { normal: { borderBlockWidth: '0' } },
  upperBand: { normal: { background: '@tint', paddingBlock: '.25rem' } },
  footerBand: { normal: { paddingBlock: '2rem' } },
  level: { normal: { fontWeight: '500' } },
  dropdown: {
    normal: { ...LIFTED, appear: 'rise 200ms ease-out', paddingBlock: '.75rem', paddingInline: '.75rem' },
  },
  flyout: {
    normal: { ...LIFTED, appear: 'scale 150ms ease-out', paddingBlock: '.75rem', paddingInline: '.75rem' },
  },
  panel: {
    normal: {
      ...LIFTED,
      appear: 'rise 200ms ease-out',
      panelInset: '1.75rem',
      gap: '1rem 2rem',
      fontWeight: '500',
    },
  },
  entry: {
    normal: { ...PILL, transition: '150ms ease-out' },
    within: { color: '@accent' },
    current: FILL,
    hover: { background: '@tint', color: '@ink' },
    focus: OUTER_RING,
  },
  arrowButton: { normal: { paddingInline: '.5rem .8rem' } },
  dropEntry: { normal: { paddingInline: '1rem', minBlockSize: '3rem' } },
  panelEntry: { normal: { paddingInline: '.875rem', minBlockSize: '2.5rem' } },
  panelHeading: { normal: { fontSize: '1.0625rem', fontWeight: '800' } },
  listEntry: { hover: { textDecoration: 'none' } },
  footerEntry: { current: { background: 'none', color: '@accent', textDecoration: 'underline .16em' } },
  footerHeading: { normal: { fontWeight: '800' } },
  groupHeading: { normal: { fontWeight: '800' } },
  breadcrumbEntry: {
    current: { background: 'none', color: '@accent' },
    hover: { color: '@accent' },
  },
  buttonEntry: {
    normal: { paddingInline: '1.5rem' },
    hover: { color: '@button-ink' },
    focus: { background: '@button', color: '@button-ink' },
  },
  arrow: { normal: { arrowShape: 'bold', inlineSize: '.5rem', blockSize: '.5rem' } },
  foldArrow: { normal: { arrowShape: 'bold' } },
  description: { normal: { opacity: '.92' } },
  foldList: { normal: { appear: 'fade 200ms ease' } },
  drawer: { normal: { appear: 'slide 250ms ease-out' } },
  heading: { normal: { fontWeight: '800', fontSize: '1.125rem' } },
  button: { normal: { ...PILL, fontWeight: '700', paddingInline: '1.5rem', minBlockSize: '3rem' } },
  formButton: { normal: { ...PILL, fontWeight: '700', paddingInline: '1.5rem' } },
  formField: { normal: { ...PILL, paddingInline: '1.25rem', borderColor: '@ink/60%' } },
  searchField: { normal: { ...PILL, paddingInline: '1.25rem', borderColor: '@ink/60%' } },
  searchButton: { normal: { borderColor: 'none' } },
  tabLabel: { normal: { borderRadius: '1.5rem', borderBlockWidth: '0' }, open: { background: '@tint' } },
  mark: { normal: { borderRadius: '50%', borderBlockWidth: '0', borderInlineWidth: '0' } },
  face: { normal: PILL, focus: OUTER_RING },
  logo: { normal: { fontWeight: '800' } },
  picture: { normal: { borderRadius: '@radius' } },
  poster: { normal: { borderRadius: '@radius' } },
  cardPicture: { normal: { borderRadius: '@radius' } },
});
