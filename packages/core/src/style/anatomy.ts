import type { Medium } from './rule.ts';

/** In which a thing can be. Those that come later win where several hold. */
export const states = ['normal', 'within', 'current', 'open', 'hover', 'focus'] as const;
/** See `states`. */
export type State = (typeof states)[number];

/** A thing that has looks: where it is in what we write, in which states it can be, what can be said of it. */
export interface Thing {
  /** What it is called. */
  readonly name: string;
  /** A selector for each state that it can be in. */
  readonly in: { readonly normal: string } & { readonly [S in State]?: string };
  /** What can be said of it; see `properties`. */
  readonly has: readonly Property[];
  /** What is not said of it is as it is with that thing, which it also is. */
  readonly like?: string;
  /** The only medium in which it is there. */
  readonly medium?: Medium;
}

/** A header that lies over the content and in which nobody is at work. */
const OVER = '.zv-header.zv-over-content:not(:hover,:focus-within,:has([aria-expanded=true]))';

/** What can be said of things: the CSS property of each. */
export const properties = {
  font: 'font',
  color: 'color',
  minHeight: 'min-height',
  padding: 'padding',
  border: 'border',
  borderRadius: 'border-radius',
  background: 'background',
  textDecoration: 'text-decoration',
  outline: 'outline',
  outlineOffset: 'outline-offset',
  textUnderlineOffset: 'text-underline-offset',
  paddingBlock: 'padding-block',
  fontWeight: 'font-weight',
  paddingInlineStart: 'padding-inline-start',
  gap: 'gap',
  paddingInline: 'padding-inline',
  marginInlineStart: 'margin-inline-start',
  minInlineSize: 'min-inline-size',
  inlineSize: 'inline-size',
  blockSize: 'block-size',
  marginBlockEnd: 'margin-block-end',
  borderWidth: 'border-width',
  maxInlineSize: 'max-inline-size',
  boxShadow: 'box-shadow',
  marginInlineEnd: 'margin-inline-end',
  marginInline: 'margin-inline',
  fontSize: 'font-size',
  opacity: 'opacity',
  lineHeight: 'line-height',
  panelInset: '--_inset',
  marginBlockStart: 'margin-block-start',
  margin: 'margin',
  borderBlockStart: 'border-block-start',
  minBlockSize: 'min-block-size',
  borderColor: 'border-color',
  accentColor: 'accent-color',
  borderBlockEnd: 'border-block-end',
  paddingBlockStart: 'padding-block-start',
  ink: '--zv-ink',
  tint: '--zv-tint',
  accent: '--zv-accent',
} as const satisfies Record<string, string>;
/** See `properties`. */
export type Property = keyof typeof properties;

/**
 * All that has looks. How things are laid out, and what they do, is no look: that is in `render` and `parts`. Not
 * here either: what somebody set for an item or a part as a number, and the colours of badges, which are classes
 * of their own.
 */
export const anatomy = {
  site: {
    name: 'All navigation',
    in: { normal: '.zv,.zv-band' },
    has: ['font', 'color'],
  },
  entry: {
    name: 'Entries',
    in: {
      normal: '.zv li>:is(a,span,button)',
      within: '.zv [aria-current]',
      current: '.zv [aria-current=page]',
      hover: '.zv li>:is(a,button):hover',
      focus: '.zv li>:is(a,button):focus-visible',
    },
    has: [
      'minHeight',
      'padding',
      'border',
      'borderRadius',
      'background',
      'color',
      'font',
      'textDecoration',
      'outline',
      'outlineOffset',
      'textUnderlineOffset',
    ],
  },
  listEntry: {
    name: 'Entries of a list',
    in: { normal: '.zv-list li>:is(a,span)', hover: '.zv-list a:hover' },
    has: ['textDecoration', 'minHeight', 'paddingBlock', 'fontWeight'],
    like: 'entry',
  },
  listHeading: {
    name: 'Headings of a list',
    in: { normal: '.zv-list li>span,.zv-list>ul>li>a' },
    has: ['fontWeight'],
    like: 'listEntry',
  },
  listLevel: {
    name: 'Levels of a list',
    in: { normal: '.zv-list ul ul' },
    has: ['paddingInlineStart'],
  },
  bar: {
    name: 'Bar',
    in: { normal: '.zv-bar>ul' },
    has: ['gap'],
  },
  arrowButton: {
    name: 'Buttons with an arrow',
    in: { normal: '.zv-bar a+button' },
    has: ['paddingInline', 'marginInlineStart', 'minInlineSize'],
    like: 'entry',
  },
  arrow: {
    name: 'Arrows',
    in: { normal: '.zv-bar button::after', open: '.zv-bar button[aria-expanded=true]::after' },
    has: ['inlineSize', 'blockSize', 'marginInlineStart', 'marginBlockEnd', 'border', 'borderWidth'],
  },
  level: {
    name: 'Submenus of a bar',
    in: { normal: '.zv-bar ul ul' },
    has: ['fontWeight'],
  },
  level3: {
    name: 'Third and deeper levels of a bar',
    in: { normal: '.zv-bar ul ul ul' },
    has: ['paddingInlineStart'],
    like: 'level',
  },
  dropdown: {
    name: 'Dropdowns',
    in: { normal: '.zv-bar>ul>li>ul' },
    has: ['maxInlineSize', 'padding', 'background', 'border', 'borderRadius', 'boxShadow'],
  },
  flyout: {
    name: 'Flyouts',
    in: { normal: '.zv-bar .zv-drops-flyouts ul ul' },
    has: ['minInlineSize', 'maxInlineSize', 'padding', 'background', 'border', 'borderRadius', 'boxShadow'],
    medium: 'wider',
  },
  flyoutArrow: {
    name: 'Arrows in flyouts',
    in: { normal: '.zv-bar .zv-drops-flyouts ul button::after' },
    has: ['marginBlockEnd'],
    like: 'arrow',
    medium: 'wider',
  },
  icon: {
    name: 'Icons',
    in: { normal: '.zv li>*>svg' },
    has: ['inlineSize', 'blockSize', 'marginInlineEnd'],
  },
  iconAfter: {
    name: 'Icons after a label',
    in: { normal: '.zv li>*>svg.zv-after' },
    has: ['marginInline'],
    like: 'icon',
  },
  description: {
    name: 'Descriptions',
    in: { normal: '.zv small' },
    has: ['fontSize', 'fontWeight', 'opacity'],
  },
  badge: {
    name: 'Badges',
    in: { normal: '.zv-badge' },
    has: ['marginInlineStart', 'padding', 'borderRadius', 'fontSize', 'lineHeight', 'fontWeight'],
  },
  badgeBefore: {
    name: 'Badges before a label',
    in: { normal: '.zv-badge.zv-before' },
    has: ['marginInline'],
    like: 'badge',
  },
  buttonEntry: {
    name: 'Entries that look like buttons',
    in: { normal: '.zv li>.zv-button', hover: '.zv li>.zv-button:hover' },
    has: ['background', 'color', 'paddingInline'],
    like: 'entry',
  },
  panel: {
    name: 'Panels',
    in: { normal: '.zv-panel' },
    has: [
      'panelInset',
      'gap',
      'padding',
      'fontWeight',
      'background',
      'border',
      'borderRadius',
      'boxShadow',
      'paddingBlock',
    ],
  },
  panelEntry: {
    name: 'Entries of panels',
    in: { normal: '.zv-bar .zv-panel li>:is(a,span)' },
    has: ['padding', 'minHeight'],
    like: 'entry',
  },
  panelHeading: {
    name: 'Headings in panels',
    in: { normal: '.zv-bar .zv-panel>ul>li:has(>ul)>:is(a,span)' },
    has: ['fontWeight'],
    like: 'panelEntry',
  },
  panelGroup: {
    name: 'Groups in panels',
    in: { normal: '.zv-bar .zv-panel>ul>li+li:has(>ul)' },
    has: ['marginBlockStart'],
  },
  panelLevel: {
    name: 'Third and deeper levels in panels',
    in: { normal: '.zv-bar .zv-panel ul ul ul' },
    has: ['paddingInlineStart'],
    like: 'level3',
  },
  rows: {
    name: 'Composed panels',
    in: { normal: '.zv-rows' },
    has: ['gap'],
  },
  panelRow: {
    name: 'Rows of panels',
    in: { normal: '.zv-panel-row' },
    has: ['gap'],
  },
  cell: {
    name: 'Cells',
    in: { normal: '.zv-cell' },
    has: ['gap'],
  },
  groups: {
    name: 'Columns of groups',
    in: { normal: '.zv-groups' },
    has: ['gap'],
  },
  group: {
    name: 'Groups',
    in: { normal: '.zv-headed>li+li:has(>ul)' },
    has: ['marginBlockStart'],
  },
  groupHeading: {
    name: 'Headings of groups',
    in: { normal: '.zv-headed>li:has(>ul)>:is(a,span)' },
    has: ['fontWeight'],
    like: 'panelEntry',
  },
  heading: {
    name: 'Headings',
    in: { normal: '.zv .zv-title' },
    has: ['padding', 'font', 'fontWeight'],
  },
  headingLink: {
    name: 'Headings with a link',
    in: { normal: '.zv-title>a', hover: '.zv-title>a:hover' },
    has: ['margin', 'padding', 'borderRadius', 'color', 'textDecoration', 'background'],
  },
  partControl: {
    name: 'Links and fields in panels',
    in: {
      normal: '.zv-rows :is(a,input,label)',
      focus: '.zv-rows :is(a,input,label):focus-visible,.zv-tabs>input:focus-visible+label',
    },
    has: ['outline', 'outlineOffset'],
  },
  text: {
    name: 'Texts',
    in: { normal: '.zv-prose' },
    has: ['padding', 'fontWeight'],
  },
  textBlock: {
    name: 'Paragraphs and lists',
    in: { normal: '.zv-prose>p+*,.zv-prose>*+p' },
    has: ['marginBlockStart'],
  },
  textList: {
    name: 'Lists in texts',
    in: { normal: '.zv .zv-prose :is(ul,ol)' },
    has: ['paddingInlineStart'],
  },
  textLink: {
    name: 'Links in texts',
    in: { normal: '.zv-prose a' },
    has: ['color'],
  },
  picture: {
    name: 'Pictures',
    in: { normal: ':is(.zv-picture,.zv-poster) img' },
    has: ['background'],
  },
  roundedPicture: {
    name: 'Rounded pictures',
    in: { normal: '.zv-rounded img' },
    has: ['borderRadius'],
  },
  button: {
    name: 'Buttons',
    in: { normal: '.zv .zv-action-link', hover: '.zv a.zv-action-link:hover' },
    has: [
      'gap',
      'minHeight',
      'marginInline',
      'padding',
      'borderRadius',
      'background',
      'color',
      'fontWeight',
      'textDecoration',
    ],
  },
  divider: {
    name: 'Dividers',
    in: { normal: '.zv .zv-divider' },
    has: ['margin', 'border', 'borderBlockStart'],
  },
  search: {
    name: 'Search fields',
    in: { normal: '.zv-search' },
    has: ['gap', 'padding'],
  },
  foldedSearch: {
    name: 'Icons that open a search field',
    in: { normal: '.zv-fold>summary', hover: '.zv-fold>summary:hover' },
    has: ['minInlineSize', 'minBlockSize', 'borderRadius', 'background', 'color'],
  },
  openedSearch: {
    name: 'Search fields that were opened',
    in: { normal: '.zv-fold>form.zv-search' },
    has: ['padding', 'border', 'borderRadius', 'background', 'boxShadow'],
  },
  searchLabel: {
    name: 'Labels of search fields',
    in: { normal: '.zv-search label' },
    has: ['fontWeight'],
  },
  searchField: {
    name: 'Fields to search in',
    in: { normal: '.zv-search :is(input,button)' },
    has: ['minBlockSize', 'padding', 'border', 'borderRadius', 'background', 'color', 'font'],
  },
  searchButton: {
    name: 'Search buttons',
    in: { normal: '.zv-search button' },
    has: ['borderColor', 'background', 'color'],
    like: 'searchField',
  },
  form: {
    name: 'Sign-up forms',
    in: { normal: '.zv-form' },
    has: ['gap', 'padding'],
  },
  formLabel: {
    name: 'Labels of sign-up forms',
    in: { normal: '.zv-form label' },
    has: ['fontWeight'],
  },
  formField: {
    name: 'E-mail fields',
    in: { normal: '.zv-form>input' },
    has: ['minBlockSize', 'padding', 'border', 'borderRadius', 'background', 'color', 'font'],
  },
  consent: {
    name: 'Consent lines',
    in: { normal: '.zv-consent' },
    has: ['gap', 'fontSize', 'fontWeight'],
  },
  consentLabel: {
    name: 'Labels of consent boxes',
    in: { normal: '.zv-form .zv-consent label' },
    has: ['fontWeight'],
    like: 'formLabel',
  },
  consentBox: {
    name: 'Consent boxes',
    in: { normal: '.zv-consent input' },
    has: ['inlineSize', 'blockSize', 'margin', 'accentColor'],
  },
  consentLink: {
    name: 'Links in consent lines',
    in: { normal: '.zv-consent a' },
    has: ['color'],
  },
  formButton: {
    name: 'Sign-up buttons',
    in: { normal: '.zv-form button', hover: '.zv-form button:hover' },
    has: ['minBlockSize', 'padding', 'border', 'borderRadius', 'background', 'color', 'font', 'fontWeight'],
  },
  cards: {
    name: 'Cards of pages',
    in: { normal: '.zv .zv-cards' },
    has: ['gap'],
  },
  card: {
    name: 'Cards',
    in: { normal: '.zv .zv-cards>li>a' },
    has: ['gap', 'padding'],
    like: 'panelEntry',
  },
  cardPicture: {
    name: 'Pictures of cards',
    in: { normal: '.zv-cards img' },
    has: ['borderRadius', 'background'],
  },
  cardTitle: {
    name: 'Titles of cards',
    in: { normal: '.zv-cards b' },
    has: ['fontWeight'],
  },
  cardText: {
    name: 'Texts of cards',
    in: { normal: '.zv-cards small' },
    has: ['fontSize', 'fontWeight'],
  },
  video: {
    name: 'Videos',
    in: { normal: '.zv-video>:is(a,span)', hover: '.zv-video>a:hover' },
    has: ['color', 'fontWeight', 'textDecoration'],
  },
  poster: {
    name: 'Preview images of videos',
    in: { normal: '.zv-poster' },
    has: ['minBlockSize', 'marginBlockEnd', 'borderRadius', 'background'],
  },
  playMark: {
    name: 'Play marks',
    in: { normal: '.zv-poster::after' },
    has: ['inlineSize', 'blockSize', 'borderRadius', 'background'],
  },
  tabs: {
    name: 'Tabs',
    in: { normal: '.zv-tabs' },
    has: ['gap'],
  },
  tabLabel: {
    name: 'Labels of tabs',
    in: { normal: '.zv-tabs>label', open: '.zv-tabs>input:checked+label', hover: '.zv-tabs>label:hover' },
    has: ['padding', 'borderBlockEnd', 'borderRadius', 'background', 'borderColor', 'fontWeight'],
  },
  tab: {
    name: 'Contents of tabs',
    in: { normal: '.zv-tab' },
    has: ['gap', 'paddingBlockStart', 'borderBlockStart'],
  },
  header: {
    name: 'Header',
    in: { normal: '.zv-header' },
    has: ['background', 'borderBlockEnd'],
  },
  side: {
    name: 'Side area',
    in: { normal: '.zv-side' },
    has: ['fontSize'],
  },
  footer: {
    name: 'Footer',
    in: { normal: '.zv-footer' },
    has: ['background', 'borderBlockStart'],
  },
  footerBand: {
    name: 'Bands of the footer',
    in: { normal: '.zv-footer>.zv-band' },
    has: ['fontSize', 'fontWeight'],
    like: 'band',
  },
  band: {
    name: 'Bands',
    in: { normal: '.zv-band' },
    has: ['paddingBlock'],
  },
  upperBand: {
    name: 'Bands above the one with the logo',
    in: { normal: '.zv-header>.zv-band:has(~.zv-band .zv-logo)' },
    has: ['paddingBlock', 'background', 'fontSize', 'fontWeight'],
    like: 'band',
  },
  lastBand: {
    name: 'Last band of the footer',
    in: { normal: '.zv-footer>.zv-band:last-child:not(:first-child)' },
    has: ['paddingBlock', 'borderBlockStart'],
    like: 'band',
  },
  footerLevel: {
    name: 'Levels of a list in the footer',
    in: { normal: '.zv-footer .zv-list ul ul' },
    has: ['paddingInlineStart'],
    like: 'listLevel',
  },
  frameList: {
    name: 'Lists in the footer',
    in: { normal: '.zv-footer .zv-list' },
    has: ['marginInline'],
  },
  endBar: {
    name: 'Bars at the end of a band',
    in: { normal: '.zv-zone-end .zv-bar' },
    has: ['marginInlineEnd'],
  },
  frameHeading: {
    name: 'Headings in a band',
    in: { normal: '.zv-band .zv-title' },
    has: ['padding'],
    like: 'heading',
  },
  zones: {
    name: 'Zones and cells of a band',
    in: { normal: '.zv-band-content' },
    has: ['gap'],
  },
  zone: {
    name: 'Zones',
    in: { normal: '.zv-zone' },
    has: ['gap'],
  },
  frameCell: {
    name: 'Cells of a band',
    in: { normal: '.zv-band .zv-cell' },
    has: ['gap'],
  },
  headerOver: {
    name: 'Header over the content',
    in: { normal: OVER },
    has: ['background', 'borderBlockEnd', 'ink', 'tint', 'accent'],
    like: 'header',
  },
  bandOver: {
    name: 'Bands over the content',
    in: { normal: `${OVER}>.zv-band` },
    has: ['background', 'ink', 'tint', 'accent'],
    like: 'band',
  },
  menuButton: {
    name: 'Menu buttons',
    in: { normal: '.zv-menu-button .zv-face', hover: '.zv-menu-button .zv-face:hover' },
    has: ['minInlineSize', 'border', 'background', 'font', 'color'],
    like: 'face',
  },
  drawer: {
    name: 'Drawer',
    in: { normal: '.zv-drawer' },
    has: ['padding', 'border', 'background', 'color', 'boxShadow'],
  },
  drawerHead: {
    name: 'Top of the drawer',
    in: { normal: '.zv-drawer-head' },
    has: ['padding', 'background', 'borderBlockEnd', 'fontWeight'],
  },
  closeButton: {
    name: 'Close buttons',
    in: { normal: '.zv-close', hover: '.zv-close:hover', focus: '.zv-close:focus-visible' },
    has: ['minInlineSize', 'minBlockSize', 'borderRadius', 'background', 'color', 'outline', 'outlineOffset'],
  },
  drawerBand: {
    name: 'Bands of the drawer',
    in: { normal: '.zv-drawer>.zv-band' },
    has: ['paddingBlock', 'borderBlockEnd'],
    like: 'band',
  },
  drawerList: {
    name: 'Menus in the drawer',
    in: { normal: '.zv-drawer .zv-list' },
    has: ['marginInline'],
  },
  drawerEntry: {
    name: 'Entries in the drawer',
    in: { normal: '.zv-drawer .zv-list li>:is(a,span,button)' },
    has: ['minHeight'],
    like: 'listEntry',
  },
  foldButton: {
    name: 'Arrows of lists that fold',
    in: { normal: '.zv-folds li>button[aria-label]' },
    has: ['minInlineSize', 'padding'],
    like: 'entry',
  },
  foldArrow: {
    name: 'Signs of lists that fold',
    in: { normal: '.zv-folds li>button::after', open: '.zv-folds li>button[aria-expanded=true]::after' },
    has: ['inlineSize', 'blockSize', 'marginInlineStart', 'marginBlockEnd', 'border', 'borderWidth'],
    like: 'arrow',
  },
  backRow: {
    name: 'Back rows',
    in: { normal: '.zv-back>button' },
    has: ['fontWeight', 'gap'],
    like: 'entry',
  },
  backSign: {
    name: 'Signs of Back rows',
    in: { normal: '.zv-back>button::before' },
    has: ['inlineSize', 'blockSize', 'border', 'borderWidth'],
  },
  sectionButton: {
    name: 'Buttons of a folded side area',
    in: { normal: '.zv-section', hover: '.zv-section:hover', focus: '.zv-section:focus-visible' },
    has: [
      'minBlockSize',
      'padding',
      'border',
      'borderRadius',
      'background',
      'color',
      'font',
      'fontWeight',
      'outline',
      'outlineOffset',
    ],
  },
  sectionArrow: {
    name: 'Signs of a folded side area',
    in: { normal: '.zv-section::after' },
    has: ['inlineSize', 'blockSize', 'border', 'borderWidth'],
  },
  skip: {
    name: 'Skip links',
    in: { normal: '.zv-skip', focus: '.zv-skip:focus' },
    has: ['padding', 'background', 'color', 'fontWeight', 'textDecoration', 'outline', 'outlineOffset'],
  },
  frameControl: {
    name: 'Links in the frame',
    in: { normal: '.zv-band-content a', focus: '.zv-band-content a:focus-visible' },
    has: ['outline', 'outlineOffset'],
  },
  logo: {
    name: 'Logos',
    in: { normal: '.zv-logo a' },
    has: ['gap', 'minHeight', 'color', 'font', 'textDecoration'],
  },
  logoPicture: {
    name: 'Pictures of logos',
    in: { normal: '.zv-logo img' },
    has: ['blockSize'],
  },
  face: {
    name: 'Icons with text',
    in: { normal: '.zv-face', hover: 'a.zv-face:hover' },
    has: ['gap', 'minHeight', 'paddingInline', 'borderRadius', 'background', 'color', 'textDecoration'],
  },
  glyph: {
    name: 'Icons beside a text',
    in: { normal: '.zv-glyph' },
    has: ['inlineSize', 'blockSize'],
  },
  count: {
    name: 'Counts',
    in: { normal: '.zv-count' },
    has: [
      'minInlineSize',
      'padding',
      'borderRadius',
      'background',
      'color',
      'font',
      'fontSize',
      'fontWeight',
    ],
  },
  contact: {
    name: 'Contact lines',
    in: { normal: '.zv-contact' },
    has: ['gap'],
  },
  contactLink: {
    name: 'Links of contact lines',
    in: { normal: '.zv-contact .zv-face' },
    has: ['paddingInline', 'minHeight'],
    like: 'face',
  },
  marks: {
    name: 'Rows of marks',
    in: { normal: '.zv-marks' },
    has: ['gap'],
  },
  mark: {
    name: 'Marks',
    in: { normal: '.zv-marks>*', hover: '.zv-marks>a:hover' },
    has: ['minInlineSize', 'minBlockSize', 'border', 'borderRadius', 'color', 'background'],
  },
  filledMark: {
    name: 'Filled marks',
    in: { normal: '.zv-filled>*', hover: '.zv-filled>a:hover' },
    has: ['background', 'color', 'borderColor'],
    like: 'mark',
  },
  markPicture: {
    name: 'Pictures of marks',
    in: { normal: '.zv-marks svg' },
    has: ['inlineSize', 'blockSize'],
  },
  copyright: {
    name: 'Copyright lines',
    in: { normal: '.zv-copyright' },
    has: ['fontSize', 'fontWeight'],
  },
  breadcrumb: {
    name: 'Breadcrumbs',
    in: { normal: '.zv-breadcrumb' },
    has: ['fontSize', 'fontWeight', 'marginInlineStart'],
  },
  breadcrumbEntry: {
    name: 'Entries of breadcrumbs',
    in: { normal: '.zv .zv-breadcrumb li>:is(a,span)', hover: '.zv .zv-breadcrumb li>a:hover' },
    has: ['padding', 'minHeight', 'color', 'textDecoration', 'background'],
    like: 'entry',
  },
  breadcrumbSign: {
    name: 'Signs between the entries of breadcrumbs',
    in: { normal: '.zv-breadcrumb li+li::before' },
    has: ['inlineSize', 'blockSize', 'borderWidth', 'marginInline'],
  },
  anchors: {
    name: 'Lists of anchors',
    in: { normal: '.zv-anchors' },
    has: ['fontSize'],
  },
  anchorsTitle: {
    name: 'Headings of lists of anchors',
    in: { normal: '.zv-anchors-title' },
    has: ['margin', 'padding', 'font', 'fontWeight'],
  },
  anchorsEntry: {
    name: 'Entries of lists of anchors',
    in: { normal: '.zv .zv-anchors li>a' },
    has: ['padding', 'minHeight', 'fontWeight'],
    like: 'entry',
  },
} as const satisfies Record<string, Thing>;
/** The name of a thing that has looks. */
export type ThingName = keyof typeof anatomy;
