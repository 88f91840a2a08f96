import type { Property, State, ThingName } from './anatomy.ts';

/** Values of some properties. */
export type Look = { readonly [P in Property]?: string };

/** How a thing looks: in each state, and in its normal state on a device class. */
export type Looks = { readonly [S in State]?: Look } & { readonly on?: { readonly narrow?: Look } };

/** How everything looks before anybody sets anything. Frozen: a change is a new version beside it. */
export type Starter = { readonly [T in ThingName]: Looks };

const moss: Starter = {
  site: {
    normal: { font: 'var(--zv-font,500 1rem/1.5 system-ui,sans-serif)', color: 'var(--_ink)' },
  },
  entry: {
    normal: {
      minHeight: '2.75rem',
      padding: '.375rem var(--_pad)',
      border: '0',
      borderRadius: 'var(--_radius)',
      background: 'none',
      color: 'inherit',
      font: 'inherit',
      textDecoration: 'none',
    },
    within: { color: 'var(--_accent)' },
    current: { textDecoration: 'underline .16em', textUnderlineOffset: '.5em' },
    hover: { background: 'var(--_tint)' },
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '-2px' },
  },
  listEntry: {
    normal: { minHeight: '2rem', paddingBlock: '.125rem', fontWeight: '400' },
    hover: { textDecoration: 'underline' },
  },
  listHeading: {
    normal: { fontWeight: '600' },
  },
  listLevel: {
    normal: { paddingInlineStart: '1rem' },
  },
  bar: {
    normal: { gap: 'var(--_gap)' },
  },
  arrowButton: {
    normal: { paddingInline: '.4rem .7rem', marginInlineStart: '-.6rem', minInlineSize: '1.75rem' },
  },
  arrow: {
    normal: {
      inlineSize: '.4rem',
      blockSize: '.4rem',
      marginInlineStart: '.5rem',
      marginBlockEnd: '.2rem',
      border: 'solid',
      borderWidth: '0 .11rem .11rem 0',
    },
    open: { marginBlockEnd: '-.2rem' },
  },
  level: {
    normal: { fontWeight: '400' },
  },
  level3: {
    normal: { paddingInlineStart: '1rem' },
  },
  dropdown: {
    normal: {
      maxInlineSize: 'min(22rem,calc(100vw - 1rem))',
      padding: '.375rem',
      background: 'var(--_paper)',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      boxShadow: '0 .75rem 1.75rem -.75rem #0006',
    },
    on: { narrow: { boxShadow: 'none' } },
  },
  flyout: {
    normal: {
      minInlineSize: '12rem',
      maxInlineSize: 'min(20rem,40vw)',
      padding: '.375rem',
      background: 'var(--_paper)',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      boxShadow: '0 .75rem 1.75rem -.75rem #0006',
    },
  },
  flyoutArrow: {
    normal: { marginBlockEnd: '0' },
  },
  icon: {
    normal: { inlineSize: '1.25em', blockSize: '1.25em', marginInlineEnd: '.45em' },
  },
  iconAfter: {
    normal: { marginInline: '.45em 0' },
  },
  description: {
    normal: { fontSize: '.85em', fontWeight: '400', opacity: '.85' },
  },
  badge: {
    normal: {
      marginInlineStart: '.5em',
      padding: '0 .5em',
      borderRadius: '.8em',
      fontSize: '.75em',
      lineHeight: '1.6',
      fontWeight: '600',
    },
  },
  badgeBefore: {
    normal: { marginInline: '0 .5em' },
  },
  buttonEntry: {
    normal: {
      background: 'var(--zv-button,var(--_accent))',
      color: 'var(--zv-button-ink,#fff)',
      paddingInline: '1.1rem',
    },
    hover: { background: 'var(--zv-button-hover,var(--_ink))' },
  },
  panel: {
    normal: {
      panelInset: '1.25rem',
      gap: '.75rem 1.5rem',
      padding: 'var(--_inset)',
      fontWeight: '400',
      background: 'var(--_paper)',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      boxShadow: '0 .75rem 1.75rem -.75rem #0006',
    },
    on: { narrow: { panelInset: '.5rem', paddingBlock: '.25rem .75rem', boxShadow: 'none' } },
  },
  panelEntry: {
    normal: { padding: '.25rem .5rem', minHeight: '2rem' },
  },
  panelHeading: {
    normal: { fontWeight: '600' },
  },
  panelGroup: {
    normal: { marginBlockStart: '.75rem' },
  },
  panelLevel: {
    normal: { paddingInlineStart: '1rem' },
  },
  rows: {
    normal: { gap: '1rem' },
  },
  panelRow: {
    normal: { gap: '1rem 1.5rem' },
  },
  cell: {
    normal: { gap: '.75rem' },
  },
  groups: {
    normal: { gap: '.75rem 1.5rem' },
  },
  group: {
    normal: { marginBlockStart: '.75rem' },
  },
  groupHeading: {
    normal: { fontWeight: '600' },
  },
  heading: {
    normal: { padding: '.25rem .5rem', font: 'inherit', fontWeight: '650' },
  },
  headingLink: {
    normal: {
      margin: '-.25rem -.5rem',
      padding: '.25rem .5rem',
      borderRadius: 'var(--_radius)',
      color: 'inherit',
      textDecoration: 'none',
    },
    hover: { background: 'var(--_tint)' },
  },
  partControl: {
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '-2px' },
  },
  text: {
    normal: { padding: '.25rem .5rem', fontWeight: '400' },
  },
  textBlock: {
    normal: { marginBlockStart: '.5em' },
  },
  textList: {
    normal: { paddingInlineStart: '1.25em' },
  },
  textLink: {
    normal: { color: 'var(--_accent)' },
  },
  picture: {
    normal: { background: 'var(--_tint)' },
  },
  roundedPicture: {
    normal: { borderRadius: 'calc(var(--_radius)*1.5)' },
  },
  button: {
    normal: {
      gap: '.4rem',
      minHeight: '2.75rem',
      marginInline: '.5rem',
      padding: '.375rem 1.1rem',
      borderRadius: 'var(--_radius)',
      background: 'var(--zv-button,var(--_accent))',
      color: 'var(--zv-button-ink,#fff)',
      fontWeight: '600',
      textDecoration: 'none',
    },
    hover: { background: 'var(--zv-button-hover,var(--_ink))' },
  },
  divider: {
    normal: { margin: '.25rem 0', border: '0', borderBlockStart: '1px solid var(--_edge)' },
  },
  search: {
    normal: { gap: '.25rem .5rem', padding: '.25rem .5rem' },
  },
  foldedSearch: {
    normal: {
      minInlineSize: '2.75rem',
      minBlockSize: '2.75rem',
      borderRadius: 'var(--_radius)',
      background: '#0000',
      color: 'inherit',
    },
    hover: { background: 'var(--_tint)' },
  },
  openedSearch: {
    normal: {
      padding: '.75rem',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      background: 'var(--_paper)',
      boxShadow: '0 .5rem 1.5rem #0002',
    },
  },
  searchLabel: {
    normal: { fontWeight: '600' },
  },
  searchField: {
    normal: {
      minBlockSize: '2.5rem',
      padding: '.25rem .75rem',
      border: '1px solid currentColor',
      borderRadius: 'var(--_radius)',
      background: 'var(--_paper)',
      color: 'inherit',
      font: 'inherit',
    },
  },
  searchButton: {
    normal: {
      borderColor: '#0000',
      background: 'var(--zv-button,var(--_accent))',
      color: 'var(--zv-button-ink,#fff)',
    },
  },
  form: {
    normal: { gap: '.5rem', padding: '.25rem .5rem' },
  },
  formLabel: {
    normal: { fontWeight: '600' },
  },
  formField: {
    normal: {
      minBlockSize: '2.75rem',
      padding: '.25rem .75rem',
      border: '1px solid currentColor',
      borderRadius: 'var(--_radius)',
      background: 'var(--_paper)',
      color: 'inherit',
      font: 'inherit',
    },
  },
  consent: {
    normal: { gap: '.5rem', fontSize: '.85em', fontWeight: '400' },
  },
  consentLabel: {
    normal: { fontWeight: '400' },
  },
  consentBox: {
    normal: { inlineSize: '1.25rem', blockSize: '1.25rem', margin: '0', accentColor: 'var(--_accent)' },
  },
  consentLink: {
    normal: { color: 'var(--_accent)' },
  },
  formButton: {
    normal: {
      minBlockSize: '2.75rem',
      padding: '.375rem 1.1rem',
      border: '1px solid #0000',
      borderRadius: 'var(--_radius)',
      background: 'var(--zv-button,var(--_accent))',
      color: 'var(--zv-button-ink,#fff)',
      font: 'inherit',
      fontWeight: '600',
    },
    hover: { background: 'var(--zv-button-hover,var(--_ink))' },
  },
  cards: {
    normal: { gap: '.75rem' },
  },
  card: {
    normal: { gap: '.25rem', padding: '.5rem' },
  },
  cardPicture: {
    normal: { borderRadius: 'var(--_radius)', background: 'var(--_tint)' },
  },
  cardTitle: {
    normal: { fontWeight: '600' },
  },
  cardText: {
    normal: { fontSize: '.85em', fontWeight: '400' },
  },
  video: {
    normal: { color: 'inherit', fontWeight: '600', textDecoration: 'none' },
    hover: { textDecoration: 'underline' },
  },
  poster: {
    normal: {
      minBlockSize: '5rem',
      marginBlockEnd: '.5rem',
      borderRadius: 'var(--_radius)',
      background: 'var(--_tint)',
    },
  },
  playMark: {
    normal: {
      inlineSize: '3rem',
      blockSize: '3rem',
      borderRadius: '50%',
      background: 'conic-gradient(from 60deg at 30% 50%,#fff 60deg,#0000 0) 35% 50%/45% 50% no-repeat #000b',
    },
  },
  tabs: {
    normal: { gap: '0 .25rem' },
  },
  tabLabel: {
    normal: {
      padding: '.5rem .75rem',
      borderBlockEnd: '2px solid #0000',
      borderRadius: 'var(--_radius) var(--_radius) 0 0',
    },
    open: { borderColor: 'var(--_accent)', fontWeight: '600' },
    hover: { background: 'var(--_tint)' },
  },
  tab: {
    normal: { gap: '.75rem', paddingBlockStart: '.75rem', borderBlockStart: '1px solid var(--_edge)' },
  },
  header: {
    normal: { background: 'var(--_paper)', borderBlockEnd: '1px solid var(--_edge)' },
  },
  side: {
    normal: { fontSize: '.9375rem' },
  },
  footer: {
    normal: {
      background: 'var(--_tint)',
      borderBlockStart: '1px solid var(--_edge)',
    },
  },
  footerBand: {
    normal: { fontSize: '.9375rem', fontWeight: '400' },
  },
  band: {
    normal: { paddingBlock: '.75rem' },
  },
  upperBand: {
    normal: {
      paddingBlock: '.125rem',
      background: 'var(--_tint)',
      fontSize: '.875rem',
      fontWeight: '400',
    },
  },
  lastBand: {
    normal: { paddingBlock: '.75rem', borderBlockStart: '1px solid var(--_edge)' },
  },
  footerLevel: {
    normal: { paddingInlineStart: '0' },
  },
  frameList: {
    normal: { marginInline: 'calc(-1*var(--_pad))' },
  },
  endBar: {
    normal: { marginInlineEnd: 'calc(-1*var(--_pad))' },
  },
  frameHeading: {
    normal: { padding: '.375rem 0' },
  },
  zones: {
    normal: { gap: '.5rem 1.5rem' },
  },
  zone: {
    normal: { gap: '.5rem 1rem' },
  },
  frameCell: {
    normal: { gap: '.75rem' },
  },
  headerOver: {
    normal: {
      background: 'linear-gradient(#000a,#0009) padding-box',
      borderBlockEnd: '1px solid #0000',
      ink: '#fff',
      tint: '#fff3',
      accent: '#fff',
    },
  },
  bandOver: {
    normal: { background: 'none', ink: '#fff', tint: '#fff3', accent: '#fff' },
  },
  menuButton: {
    normal: { minInlineSize: '2.75rem', border: '0', background: 'none', font: 'inherit', color: 'inherit' },
    hover: { background: 'var(--_tint)' },
  },
  drawer: {
    normal: {
      padding: '0',
      border: '0',
      background: 'var(--_paper)',
      color: 'var(--_ink)',
      boxShadow: '0 0 3rem #0004',
    },
  },
  drawerHead: {
    normal: {
      padding: '.25rem .25rem .25rem 1rem',
      background: 'var(--_paper)',
      borderBlockEnd: '1px solid var(--_edge)',
      fontWeight: '600',
    },
  },
  closeButton: {
    normal: {
      minInlineSize: '2.75rem',
      minBlockSize: '2.75rem',
      borderRadius: 'var(--_radius)',
      background: 'none',
      color: 'inherit',
    },
    hover: { background: 'var(--_tint)' },
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '-2px' },
  },
  drawerBand: {
    normal: { paddingBlock: '.5rem', borderBlockEnd: '1px solid var(--_edge)' },
  },
  drawerList: {
    normal: { marginInline: 'calc(-1*var(--_pad))' },
  },
  drawerEntry: {
    normal: { minHeight: '2.75rem' },
  },
  foldButton: {
    normal: { minInlineSize: '2.75rem', padding: '0' },
  },
  foldArrow: {
    normal: {
      inlineSize: '.4rem',
      blockSize: '.4rem',
      marginInlineStart: '0',
      marginBlockEnd: '.2rem',
      border: 'solid',
      borderWidth: '0 .11rem .11rem 0',
    },
    open: { marginBlockEnd: '-.2rem' },
  },
  backRow: {
    normal: { fontWeight: '600', gap: '.75rem' },
  },
  backSign: {
    normal: { inlineSize: '.4rem', blockSize: '.4rem', border: 'solid', borderWidth: '0 .11rem .11rem 0' },
  },
  sectionButton: {
    normal: {
      minBlockSize: '2.75rem',
      padding: '.375rem .875rem',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      background: 'var(--_paper)',
      color: 'inherit',
      font: 'inherit',
      fontWeight: '600',
    },
    hover: { background: 'var(--_tint)' },
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '-2px' },
  },
  sectionArrow: {
    normal: { inlineSize: '.4rem', blockSize: '.4rem', border: 'solid', borderWidth: '0 .11rem .11rem 0' },
  },
  skip: {
    normal: {
      padding: '.75rem 1.25rem',
      background: 'var(--_paper)',
      color: 'var(--_ink)',
      fontWeight: '600',
      textDecoration: 'underline',
    },
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '-4px' },
  },
  frameControl: {
    focus: { outline: '2px solid var(--_accent)', outlineOffset: '2px' },
  },
  logo: {
    normal: {
      gap: '.625rem',
      minHeight: '2.75rem',
      color: 'inherit',
      font: 'inherit',
      textDecoration: 'none',
    },
  },
  logoPicture: {
    normal: { blockSize: '2.5rem' },
  },
  face: {
    normal: {
      gap: '.4rem',
      minHeight: '2.75rem',
      paddingInline: '.5rem',
      borderRadius: 'var(--_radius)',
      color: 'inherit',
      textDecoration: 'none',
    },
    hover: { background: 'var(--_tint)' },
  },
  glyph: {
    normal: { inlineSize: '1.25em', blockSize: '1.25em' },
  },
  count: {
    normal: {
      minInlineSize: '1.5em',
      padding: '0 .4em',
      borderRadius: '1em',
      background: 'var(--_accent)',
      color: '#fff',
      font: 'inherit',
      fontSize: '.75em',
      fontWeight: '600',
    },
  },
  contact: {
    normal: { gap: '.375rem 1rem' },
  },
  contactLink: {
    normal: { paddingInline: '0', minHeight: '2rem' },
  },
  marks: {
    normal: { gap: '.375rem' },
  },
  mark: {
    normal: {
      minInlineSize: '2.25rem',
      minBlockSize: '2.25rem',
      border: '1px solid var(--_edge)',
      borderRadius: 'var(--_radius)',
      color: 'inherit',
    },
    hover: { background: 'var(--_paper)' },
  },
  filledMark: {
    normal: { background: 'var(--_ink)', color: 'var(--_paper)', borderColor: 'var(--_ink)' },
    hover: { background: 'var(--_accent)' },
  },
  markPicture: {
    normal: { inlineSize: '1.25rem', blockSize: '1.25rem' },
  },
  copyright: {
    normal: { fontSize: '.875rem', fontWeight: '400' },
  },
  breadcrumb: {
    normal: { fontSize: '.875rem', fontWeight: '400', marginInlineStart: '-.25rem' },
  },
  breadcrumbEntry: {
    normal: { padding: '0 .25rem', minHeight: '2rem', color: 'inherit', textDecoration: 'none' },
    hover: { textDecoration: 'underline', background: 'none' },
  },
  breadcrumbSign: {
    normal: { inlineSize: '.35em', blockSize: '.35em', borderWidth: '0 .1em .1em 0', marginInline: '0 .4em' },
  },
  anchors: {
    normal: { fontSize: '.9375rem' },
  },
  anchorsTitle: {
    normal: { margin: '0', padding: '.25rem .5rem', font: 'inherit', fontWeight: '600' },
  },
  anchorsEntry: {
    normal: { padding: '.125rem .5rem', minHeight: '2rem', fontWeight: '400' },
  },
};

/** The starters by name and version. */
export const starters = { 'moss@1': moss } as const satisfies Record<string, Starter>;
/** See `starters`. */
export type StarterName = keyof typeof starters;
