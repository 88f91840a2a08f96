import type { State, ThingName } from '../anatomy/anatomy.ts';
import type { Situation, StyleValues } from '../schema/style.ts';

/** Values of some properties; see `values.ts`. What begins with "=" is CSS as it is. */
export type Look = StyleValues;

/** How a thing looks: in each state; and at rest on narrow screens, and in situations of the header. */
export type Looks = { readonly [S in State]?: Look } & {
  readonly narrow?: Look;
} & { readonly [S in Situation]?: Look };

/** How everything looks before anybody sets anything. Frozen: a change is a new version beside it. */
export type Starter = { readonly [T in ThingName]?: Looks };

const RING: Look = { outline: '2px solid @accent', outlineOffset: '-2px' };
const OUTER_RING: Look = { outline: '2px solid @accent', outlineOffset: '2px' };
const BOXED: Look = {
  background: '@paper',
  borderBlockWidth: '1px',
  borderInlineWidth: '1px',
  borderColor: '@edge',
  borderRadius: '@radius',
  boxShadow: '0 .75rem 1.75rem -.75rem #00000066',
};
const SIGN: Look = { arrowShape: 'chevron', inlineSize: '.4rem', blockSize: '.4rem' };
const FILLED: Look = { background: '@button', color: '@button-ink' };
const FILLED_HOVER: Look = { background: '@button-hover' };
const FIELD: Look = {
  minBlockSize: '2.75rem',
  borderBlockWidth: '1px',
  borderInlineWidth: '1px',
  borderRadius: '@radius',
  background: '@paper',
};
const OVER: Look = { background: 'none', ink: '#ffffff', tint: '#ffffff33', accent: '#ffffff' };

const moss: Starter = {
  site: {
    normal: {
      color: '@ink',
      fontFamily: '@font',
      fontSize: '1rem',
      fontWeight: '500',
      fontStyle: 'normal',
      lineHeight: '1.5',
    },
  },
  menu: {
    normal: {
      fontFamily: 'inherit',
      fontSize: 'inherit',
      fontWeight: 'inherit',
      fontStyle: 'inherit',
      lineHeight: 'inherit',
    },
  },
  header: {
    normal: { background: '@paper', borderBlockWidth: '0 1px', borderColor: '@edge' },
    over: { ...OVER, backgroundImage: 'linear(180deg, #000000aa, #00000099)', borderColor: 'none' },
  },
  side: { normal: { fontSize: '.9375rem' } },
  footer: { normal: { background: '@tint', borderBlockWidth: '1px 0', borderColor: '@edge' } },
  band: { normal: { paddingBlock: '.75rem' }, over: OVER },
  upperBand: {
    normal: { paddingBlock: '.125rem', background: '@tint', fontSize: '.875rem', fontWeight: '400' },
    over: { background: 'none' },
  },
  footerBand: { normal: { fontSize: '.9375rem', fontWeight: '400' } },
  lastBand: { normal: { borderBlockWidth: '1px 0', borderColor: '@edge' } },
  drawer: { normal: { background: '@paper', boxShadow: '0 0 3rem #00000044' } },
  drawerBand: { normal: { paddingBlock: '.5rem', borderBlockWidth: '0 1px', borderColor: '@edge' } },
  drawerHead: {
    normal: {
      paddingBlock: '.25rem',
      paddingInline: '1rem .25rem',
      background: '@paper',
      borderBlockWidth: '0 1px',
      borderColor: '@edge',
      fontWeight: '600',
    },
  },
  zones: { normal: { gap: '.5rem 1.5rem' } },
  zone: { normal: { gap: '.5rem 1rem' } },
  bar: { normal: { gap: '@gap' } },
  endBar: { normal: { marginInline: '0 -@pad' } },
  frameList: { normal: { marginInline: '-@pad' } },
  drawerList: { normal: { marginInline: '-@pad' } },
  listLevel: { normal: { paddingInline: '1rem 0' } },
  footerLevel: { normal: { paddingInline: '0' } },
  level: { normal: { fontWeight: '400' } },
  dropdown: {
    normal: {
      ...BOXED,
      maxInlineSize: '=min(22rem,calc(100vw - 1rem))',
      paddingBlock: '.375rem',
      paddingInline: '.375rem',
    },
    narrow: { boxShadow: 'none', maxInlineSize: 'none' },
  },
  level3: { normal: { paddingInline: '1rem 0' } },
  flyout: {
    normal: {
      ...BOXED,
      minInlineSize: '12rem',
      maxInlineSize: '=min(20rem,40vw)',
      paddingBlock: '.375rem',
      paddingInline: '.375rem',
    },
  },
  panel: {
    normal: {
      ...BOXED,
      panelInset: '1.25rem',
      gap: '.75rem 1.5rem',
      paddingBlock: '=var(--_inset)',
      paddingInline: '=var(--_inset)',
      fontWeight: '400',
    },
    narrow: { panelInset: '.5rem', paddingBlock: '.25rem .75rem', boxShadow: 'none' },
  },
  panelGroup: { normal: { marginBlock: '.75rem 0' } },
  panelList: { normal: { paddingInline: '0' } },
  panelLevel: { normal: { paddingInline: '1rem 0' } },
  rows: { normal: { gap: '1rem' } },
  panelRow: { normal: { gap: '1rem 1.5rem' } },
  cell: { normal: { gap: '.75rem' } },
  groups: { normal: { gap: '.75rem 1.5rem' } },
  group: { normal: { marginBlock: '.75rem 0' } },
  entry: {
    normal: {
      minBlockSize: '2.75rem',
      paddingBlock: '.375rem',
      paddingInline: '@pad',
      borderRadius: '@radius',
    },
    within: { color: '@accent' },
    current: { textDecoration: 'underline .16em', textUnderlineOffset: '.5em' },
    hover: { background: '@tint' },
    focus: RING,
  },
  arrowButton: {
    normal: { paddingInline: '.4rem .7rem', marginInline: '-.6rem 0', minInlineSize: '1.75rem' },
  },
  panelEntry: { normal: { paddingBlock: '.25rem', paddingInline: '.5rem', minBlockSize: '2rem' } },
  panelHeading: { normal: { fontWeight: '600' } },
  groupHeading: { normal: { fontWeight: '600' } },
  card: { normal: { gap: '.25rem', paddingBlock: '.5rem', paddingInline: '.5rem' } },
  listEntry: {
    normal: { minBlockSize: '2rem', paddingBlock: '.125rem', fontWeight: '400' },
    hover: { textDecoration: 'underline' },
  },
  listHeading: { normal: { fontWeight: '600' } },
  drawerEntry: { normal: { minBlockSize: '2.75rem' } },
  foldButton: { normal: { minInlineSize: '2.75rem', paddingBlock: '0', paddingInline: '0' } },
  backRow: { normal: { fontWeight: '600', gap: '.75rem' } },
  breadcrumbEntry: {
    normal: { paddingBlock: '0', paddingInline: '.25rem', minBlockSize: '2rem' },
    hover: { textDecoration: 'underline', background: 'none' },
  },
  anchorsEntry: {
    normal: { paddingBlock: '.125rem', paddingInline: '.5rem', minBlockSize: '2rem', fontWeight: '400' },
  },
  buttonEntry: {
    normal: { ...FILLED, paddingInline: '1.1rem' },
    within: { color: '@button-ink' },
    hover: FILLED_HOVER,
  },
  arrow: {
    normal: { ...SIGN, marginInline: '.5rem 0', marginBlock: '0 .2rem' },
    open: { marginBlock: '0 -.2rem' },
  },
  loneArrow: { normal: { marginInline: '0' } },
  flyoutArrow: { normal: { marginBlock: '0' }, open: { marginBlock: '0' } },
  foldArrow: {
    normal: { ...SIGN, marginBlock: '0 .2rem' },
    open: { marginBlock: '0 -.2rem' },
  },
  backSign: { normal: SIGN },
  icon: { normal: { inlineSize: '1.25em', blockSize: '1.25em', marginInline: '0 .45em' } },
  iconAfter: { normal: { marginInline: '.45em 0' } },
  description: { normal: { fontSize: '.85em', fontWeight: '400', opacity: '.85' } },
  badge: {
    normal: {
      marginInline: '.5em 0',
      paddingInline: '.5em',
      borderRadius: '.8em',
      fontSize: '.75em',
      lineHeight: '1.6',
      fontWeight: '600',
    },
  },
  badgeBefore: { normal: { marginInline: '0 .5em' } },
  heading: { normal: { paddingBlock: '.25rem', paddingInline: '.5rem', fontWeight: '650' } },
  frameHeading: { normal: { paddingBlock: '.375rem', paddingInline: '0' } },
  headingLink: {
    normal: {
      marginBlock: '-.25rem',
      marginInline: '-.5rem',
      paddingBlock: '.25rem',
      paddingInline: '.5rem',
      borderRadius: '@radius',
    },
    hover: { background: '@tint' },
    focus: RING,
  },
  text: { normal: { paddingBlock: '.25rem', paddingInline: '.5rem', fontWeight: '400' } },
  textBlock: { normal: { marginBlock: '.5em 0' } },
  textList: { normal: { paddingInline: '1.25em 0' } },
  textLink: { normal: { color: '@accent', textDecoration: 'underline' }, focus: RING },
  picture: { normal: { background: '@tint' } },
  roundedPicture: { normal: { borderRadius: '@radius*1.5' } },
  button: {
    normal: {
      ...FILLED,
      gap: '.4rem',
      minBlockSize: '2.75rem',
      marginInline: '.5rem',
      paddingBlock: '.375rem',
      paddingInline: '1.1rem',
      borderRadius: '@radius',
      fontWeight: '600',
    },
    hover: FILLED_HOVER,
    focus: RING,
  },
  divider: { normal: { marginBlock: '.25rem', borderBlockWidth: '1px 0', borderColor: '@edge' } },
  bandDivider: { normal: { marginBlock: '0', borderBlockWidth: '0', borderInlineWidth: '1px 0' } },
  search: { normal: { gap: '.25rem .5rem', paddingBlock: '.25rem', paddingInline: '.5rem' } },
  bandSearch: { normal: { paddingBlock: '0', paddingInline: '0' } },
  openedSearch: {
    normal: {
      ...BOXED,
      paddingBlock: '.75rem',
      paddingInline: '.75rem',
      boxShadow: '0 .5rem 1.5rem #00000022',
    },
  },
  foldedSearch: {
    normal: { minInlineSize: '2.75rem', minBlockSize: '2.75rem', borderRadius: '@radius' },
    hover: { background: '@tint' },
    focus: RING,
  },
  searchLabel: { normal: { fontWeight: '600' } },
  searchField: {
    normal: { ...FIELD, minBlockSize: '2.5rem', paddingBlock: '.25rem', paddingInline: '.75rem' },
    focus: RING,
  },
  // A ring in the colour of the button would not be seen on it.
  searchButton: { normal: { ...FILLED, borderColor: 'none' }, focus: { outline: '2px solid @button-ink' } },
  form: { normal: { gap: '.5rem', paddingBlock: '.25rem', paddingInline: '.5rem' } },
  formLabel: { normal: { fontWeight: '600' } },
  formField: { normal: { ...FIELD, paddingBlock: '.25rem', paddingInline: '.75rem' }, focus: RING },
  consent: { normal: { gap: '.5rem', fontSize: '.85em', fontWeight: '400' } },
  consentLabel: { normal: { fontWeight: '400' } },
  consentBox: { normal: { inlineSize: '1.25rem', blockSize: '1.25rem' }, focus: RING },
  consentLink: { normal: { color: '@accent', textDecoration: 'underline' }, focus: RING },
  formButton: {
    normal: {
      ...FILLED,
      minBlockSize: '2.75rem',
      paddingBlock: '.375rem',
      paddingInline: '1.1rem',
      borderBlockWidth: '1px',
      borderInlineWidth: '1px',
      borderColor: 'none',
      borderRadius: '@radius',
      fontWeight: '600',
    },
    hover: FILLED_HOVER,
    focus: OUTER_RING,
  },
  cards: { normal: { gap: '.75rem' } },
  cardPicture: { normal: { borderRadius: '@radius', background: '@tint' } },
  cardTitle: { normal: { fontWeight: '600' } },
  video: { normal: { fontWeight: '600' }, hover: { textDecoration: 'underline' }, focus: RING },
  poster: {
    normal: { minBlockSize: '5rem', marginBlock: '0 .5rem', borderRadius: '@radius', background: '@tint' },
  },
  playMark: {
    normal: {
      inlineSize: '3rem',
      blockSize: '3rem',
      borderRadius: '50%',
      background: '#000000bb',
      backgroundImage: '=conic-gradient(from 60deg at 30% 50%,#fff 60deg,#0000 0)',
    },
  },
  tabs: { normal: { gap: '0 .25rem' } },
  tabLabel: {
    normal: {
      paddingBlock: '.5rem',
      paddingInline: '.75rem',
      borderBlockWidth: '0 2px',
      borderColor: 'none',
      borderRadius: '@radius @radius 0 0',
    },
    open: { borderColor: '@accent', fontWeight: '600' },
    hover: { background: '@tint' },
    focus: RING,
  },
  tab: {
    normal: { gap: '.75rem', paddingBlock: '.75rem 0', borderBlockWidth: '1px 0', borderColor: '@edge' },
  },
  pictureLink: { focus: RING },
  closeButton: {
    normal: { minInlineSize: '2.75rem', minBlockSize: '2.75rem', borderRadius: '@radius' },
    hover: { background: '@tint' },
    focus: RING,
  },
  sectionButton: {
    normal: {
      ...FIELD,
      paddingBlock: '.375rem',
      paddingInline: '.875rem',
      borderColor: '@edge',
      fontWeight: '600',
    },
    hover: { background: '@tint' },
    focus: RING,
  },
  sectionArrow: { normal: SIGN },
  skip: {
    normal: {
      paddingBlock: '.75rem',
      paddingInline: '1.25rem',
      background: '@paper',
      color: '@ink',
      fontWeight: '600',
      textDecoration: 'underline',
    },
    focus: { outline: '2px solid @accent', outlineOffset: '-4px' },
  },
  logo: { normal: { gap: '.625rem', minBlockSize: '2.75rem' }, focus: OUTER_RING },
  logoPicture: { normal: { blockSize: '2.5rem' } },
  face: {
    normal: {
      minInlineSize: '0',
      gap: '.4rem',
      minBlockSize: '2.75rem',
      paddingInline: '.5rem',
      borderRadius: '@radius',
    },
    hover: { background: '@tint' },
    focus: OUTER_RING,
  },
  contactLink: { normal: { paddingInline: '0', minBlockSize: '2rem' } },
  menuButton: { normal: { minInlineSize: '2.75rem' } },
  bandButton: { focus: OUTER_RING },
  glyph: { normal: { inlineSize: '1.25em', blockSize: '1.25em' } },
  count: {
    normal: {
      minInlineSize: '1.5em',
      paddingInline: '.4em',
      borderRadius: '1em',
      background: '@accent',
      color: '#ffffff',
      fontSize: '.75em',
      fontWeight: '600',
    },
  },
  contact: { normal: { gap: '.375rem 1rem' } },
  marks: { normal: { gap: '.375rem' } },
  mark: {
    normal: {
      minInlineSize: '2.25rem',
      minBlockSize: '2.25rem',
      borderBlockWidth: '1px',
      borderInlineWidth: '1px',
      borderColor: '@edge',
      borderRadius: '@radius',
    },
    hover: { background: '@paper' },
    focus: OUTER_RING,
  },
  filledMark: {
    normal: { background: '@ink', color: '@paper', borderColor: '@ink' },
    hover: { background: '@accent' },
  },
  markPicture: { normal: { inlineSize: '1.25rem', blockSize: '1.25rem' } },
  copyright: { normal: { fontSize: '.875rem', fontWeight: '400' } },
  breadcrumb: { normal: { fontSize: '.875rem', fontWeight: '400', marginInline: '-.25rem 0' } },
  breadcrumbSign: {
    normal: { arrowShape: '=0 .1em .1em 0', inlineSize: '.35em', blockSize: '.35em', marginInline: '0 .4em' },
  },
  anchors: { normal: { fontSize: '.9375rem' } },
  anchorsTitle: { normal: { paddingBlock: '.25rem', paddingInline: '.5rem', fontWeight: '600' } },
};

/** The starters by name and version. */
export const starters = { 'moss@1': moss } as const satisfies Record<string, Starter>;
/** See `starters`. */
export type StarterName = keyof typeof starters;
