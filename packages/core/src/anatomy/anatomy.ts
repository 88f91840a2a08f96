import type { Property } from './properties.ts';
import type { Medium } from '../style/rule.ts';
import { selectorsIn } from './specificity.ts';

/** In which a thing can be. Those that come later win where several hold. */
export const states = ['normal', 'within', 'current', 'open', 'hover', 'focus', 'pressed'] as const;
/** See `states`. */
export type State = (typeof states)[number];

/** A thing that has looks: where it is in what we write, its states, and its properties. */
export interface Thing {
  /** What it is called. */
  readonly name: string;
  /** A selector for each state that it can be in. */
  readonly in: { readonly normal: string } & { readonly [S in State]?: string };
  /** What can be said of it; see `properties`. A thing that is like another has what that one has, too. */
  readonly has: readonly Property[];
  /**
   * It is that thing, too, and takes over what is not said of it: whatever its selector finds, that of the other one
   * finds as well (part of law 1).
   */
  readonly like?: string;
  /** The only medium in which it is there. */
  readonly medium?: Medium;
  /** It is part of the entry of one item: what is set for an item holds for that entry alone, not for those below it. */
  readonly isOfEntry?: true;
  /** It is always something else besides: where nobody says anything of it, it looks like that. */
  readonly isOnTop?: true;
}

const FONT = [
  'fontFamily',
  'fontSize',
  'fontWeight',
  'fontStyle',
  'lineHeight',
  'letterSpacing',
  'wordSpacing',
  'textTransform',
] as const;
const TEXT = ['color', ...FONT, 'textDecoration', 'textUnderlineOffset'] as const;
const BORDER = [
  'borderBlockWidth',
  'borderInlineWidth',
  'borderStyle',
  'borderColor',
  'borderRadius',
] as const;
const SURFACE = ['background', 'backgroundImage', ...BORDER, 'boxShadow'] as const;
const PADDING = ['paddingBlock', 'paddingInline'] as const;
const MARGIN = ['marginBlock', 'marginInline'] as const;
const RING = ['outline', 'outlineOffset', 'transition'] as const;
/** What can be said of a link, a button, or anything else that is pressed. */
const CONTROL = [...TEXT, ...SURFACE, ...PADDING, ...MARGIN, 'minBlockSize', ...RING] as const;
const LINK = [...TEXT, 'background', 'borderRadius', ...PADDING, ...MARGIN, ...RING] as const;
const SIGN = ['arrowShape', 'inlineSize', 'blockSize', ...MARGIN] as const;
const ICON = ['color', 'inlineSize', 'blockSize', 'marginInline'] as const;
/** What can be said of the rows of a list behind the first one: a line between them, and room. */
const ROW = ['borderBlockWidth', 'borderInlineWidth', 'borderStyle', 'borderColor', 'paddingBlock'] as const;

/**
 * The states of what is pressed, from its selector. `also`: those that it has besides. A heading without a link is
 * like it at rest.
 */
function pressable<O extends { readonly [S in State]?: string } = object>(
  normal: string,
  also?: O,
): { readonly [S in 'normal' | 'hover' | 'focus' | 'pressed']: string } & O {
  const when = (pseudo: string): string => each(normal, (one) => `${one}:not(span)${pseudo}`);
  return {
    normal,
    ...(also as O),
    hover: when(':hover'),
    focus: when(':focus-visible'),
    pressed: when(':active'),
  };
}

/** The states of an entry of a menu, from its selector: it may also lead to the page that is seen. */
function entryStates(normal: string): {
  readonly [S in 'normal' | 'within' | 'current' | 'hover' | 'focus' | 'pressed']: string;
} {
  return {
    ...pressable(normal),
    within: each(normal, (one) => `${one}[aria-current]`),
    current: each(normal, (one) => `${one}[aria-current=page]`),
  };
}

/** The same of an entry that may have a branch, which it or the button beside it opens. */
function branchStates(normal: string): ReturnType<typeof entryStates> & { readonly open: string } {
  return { ...entryStates(normal), open: whileOpen(normal) };
}

/** What has been opened, by itself or by the button behind it. */
function whileOpen(normal: string): string {
  return each(normal, (one) => `${one}[aria-expanded=true],${one}:has(+button[aria-expanded=true])`);
}

/** A list of selectors, each changed. */
function each(list: string, change: (one: string) => string): string {
  return selectorsIn(list).map(change).join(',');
}

/** A header that lies over the content and in which nobody is at work. */
export const OVER = '.zv-header.zv-over-content:not(:hover,:focus-within,:has([aria-expanded=true]))';

/** A button with a face: one that is an arrow alone has its name as a label. */
const FACE = ':is(a,span,button:not([aria-label]))';

/**
 * All that has looks. How things are laid out, and what they do, is no look: that is in `render` and `parts`. Not
 * here either: what somebody set for an item or a part as a number, and the colours of badges, which are classes
 * of their own. Of what is said of two things that an element is, that of the later one wins.
 */
export const anatomy = {
  site: {
    name: 'All navigation',
    in: { normal: '.zv,.zv-band' },
    has: ['color', ...FONT],
  },
  menu: {
    name: 'Menus in a band',
    in: { normal: '.zv .zv' },
    has: ['color', ...FONT],
    like: 'site',
  },
  header: {
    name: 'Header',
    in: { normal: '.zv-header' },
    has: [...SURFACE, 'ink', 'tint', 'accent', 'zIndex', 'comeBack'],
    like: 'site',
  },
  side: {
    name: 'Side area',
    in: { normal: '.zv-side' },
    has: [...SURFACE, ...PADDING],
    like: 'site',
  },
  footer: {
    name: 'Footer',
    in: { normal: '.zv-footer' },
    has: [...SURFACE],
    like: 'site',
  },
  band: {
    name: 'Bands',
    in: { normal: '.zv-band' },
    has: [...SURFACE, 'paddingBlock', 'ink', 'tint', 'accent'],
    like: 'site',
  },
  upperBand: {
    name: 'Bands above the logo',
    in: { normal: '.zv-header>.zv-band:has(~.zv-band .zv-logo)' },
    has: [],
    like: 'band',
  },
  footerBand: {
    name: 'Footer bands',
    in: { normal: '.zv-footer>.zv-band' },
    has: [],
    like: 'band',
  },
  lastBand: {
    name: 'Last footer band',
    in: { normal: '.zv-footer>.zv-band:last-child:not(:first-child)' },
    has: [],
    like: 'footerBand',
  },
  drawer: {
    name: 'Drawer',
    in: { normal: '.zv-drawer' },
    has: [...SURFACE, 'zIndex', 'appear'],
    like: 'site',
  },
  drawerBand: {
    name: 'Drawer bands',
    in: { normal: '.zv-drawer>.zv-band' },
    has: [],
    like: 'band',
  },
  drawerHead: {
    name: 'Drawer header',
    in: { normal: '.zv-drawer-head' },
    has: ['color', ...FONT, ...SURFACE, ...PADDING],
  },
  zones: {
    name: 'Band content',
    in: { normal: '.zv-band-content' },
    has: ['gap'],
  },
  zone: {
    name: 'Zones',
    in: { normal: '.zv-zone' },
    has: ['gap'],
  },
  bar: {
    name: 'Bar',
    in: { normal: '.zv-bar>ul' },
    has: ['gap'],
  },
  barDivider: {
    name: 'Dividers between bar entries',
    in: { normal: '.zv-bar>ul>li+li::before' },
    has: ['divider', 'color', 'opacity', ...FONT, 'blockSize', ...MARGIN],
  },
  endBar: {
    name: 'End-aligned bars',
    in: { normal: '.zv-zone-end .zv-bar' },
    has: ['marginInline'],
  },
  frameList: {
    name: 'Footer lists',
    in: { normal: '.zv-footer .zv-list' },
    has: ['marginInline'],
  },
  drawerList: {
    name: 'Drawer menus',
    in: { normal: '.zv-drawer .zv-list' },
    has: ['marginInline'],
  },
  listLevel: {
    name: 'List levels',
    in: { normal: '.zv-list ul ul' },
    has: ['paddingInline'],
  },
  footerLevel: {
    name: 'Footer list levels',
    in: { normal: '.zv-footer .zv-list ul ul' },
    has: [],
    like: 'listLevel',
  },
  listRow: {
    name: 'List rows after the first',
    in: { normal: '.zv-list li+li' },
    has: [...ROW],
  },
  foldList: {
    name: 'Lists that unfold',
    in: { normal: '.zv-folds ul ul' },
    has: ['appear'],
    like: 'listLevel',
  },
  level: {
    name: 'Submenus',
    in: { normal: '.zv-bar ul ul' },
    has: [...FONT, 'paddingInline'],
  },
  dropdown: {
    name: 'Dropdowns',
    in: { normal: '.zv-bar>ul>li>ul' },
    has: [...SURFACE, 'paddingBlock', 'maxInlineSize', 'zIndex', 'appear'],
    like: 'level',
  },
  level3: {
    name: 'Third and deeper levels',
    in: { normal: '.zv-bar ul ul ul' },
    has: [],
    like: 'level',
  },
  dropRow: {
    name: 'Dropdown rows after the first',
    in: { normal: '.zv-bar ul ul>li+li' },
    has: [...ROW],
  },
  flyout: {
    name: 'Flyouts',
    in: { normal: '.zv-bar .zv-drops-flyouts ul ul' },
    has: [...SURFACE, 'paddingBlock', 'minInlineSize', 'maxInlineSize', 'zIndex', 'appear'],
    like: 'level',
    medium: 'wider',
  },
  panel: {
    name: 'Panels',
    in: { normal: '.zv-panel' },
    has: [...FONT, ...SURFACE, 'gap', 'panelInset', ...PADDING, 'zIndex', 'appear'],
  },
  panelGroup: {
    name: 'Panel groups',
    in: { normal: '.zv-bar .zv-panel>ul>li+li:has(>ul)' },
    has: ['marginBlock'],
  },
  panelList: {
    name: 'Panel lists',
    in: { normal: '.zv-bar .zv-panel ul ul' },
    has: [],
    like: 'level',
  },
  panelLevel: {
    name: 'Deeper panel levels',
    in: { normal: '.zv-bar .zv-panel ul ul ul' },
    has: [],
    like: 'panelList',
  },
  rows: {
    name: 'Composed panels',
    in: { normal: '.zv-rows' },
    has: ['gap'],
  },
  panelRow: {
    name: 'Panel rows',
    in: { normal: '.zv-panel-row' },
    has: [...SURFACE, ...PADDING, 'gap'],
  },
  cell: {
    name: 'Panel cells',
    in: { normal: '.zv-cell' },
    has: [...SURFACE, ...PADDING, 'gap'],
  },
  frameCell: {
    name: 'Band cells',
    in: { normal: '.zv-band .zv-cell' },
    has: [],
    like: 'cell',
  },
  groups: {
    name: 'Link group columns',
    in: { normal: '.zv-groups' },
    has: ['gap'],
  },
  group: {
    name: 'Link groups',
    in: { normal: '.zv-headed>li+li:has(>ul)' },
    has: ['marginBlock'],
  },
  entry: {
    name: 'All entries',
    in: branchStates('.zv li>:is(a,span,button)'),
    has: [...CONTROL],
  },
  barEntry: {
    name: 'Bar entries',
    in: branchStates(`.zv-bar>ul>li>${FACE}`),
    has: [],
    like: 'entry',
  },
  barBranch: {
    name: 'Bar entries with a dropdown',
    in: branchStates('.zv-bar>ul>li>:is(button:not([aria-label]),a:has(+button))'),
    has: [],
    like: 'barEntry',
  },
  arrowButton: {
    name: 'Arrow buttons',
    in: pressable('.zv-bar a+button', { open: whileOpen('.zv-bar a+button') }),
    has: ['minInlineSize'],
    like: 'entry',
  },
  dropEntry: {
    name: 'Dropdown links',
    in: branchStates(`.zv-bar ul ul li>${FACE}`),
    has: [],
    like: 'entry',
  },
  panelEntry: {
    name: 'Panel links',
    in: entryStates('.zv-bar .zv-panel li>:is(a,span)'),
    has: [],
    like: 'entry',
  },
  panelHeading: {
    name: 'Panel headings',
    in: entryStates('.zv-bar .zv-panel>ul>li:has(>ul)>:is(a,span)'),
    has: [],
    like: 'panelEntry',
  },
  listEntry: {
    name: 'List links',
    in: entryStates('.zv-list li>:is(a,span,button)'),
    has: [],
    like: 'entry',
  },
  listHeading: {
    name: 'List headings',
    in: entryStates('.zv-list li>span,.zv-list>ul>li>a'),
    has: [],
    like: 'listEntry',
  },
  sideEntry: {
    name: 'Side menu links',
    in: entryStates('.zv-side .zv-list li>:is(a,span,button)'),
    has: [],
    like: 'listEntry',
  },
  sideTop: {
    name: 'Side menu, first level',
    in: entryStates('.zv-side .zv-list>ul>li>:is(a,span,button)'),
    has: [],
    like: 'sideEntry',
  },
  sideDeep: {
    name: 'Side menu, deeper levels',
    in: entryStates('.zv-side .zv-list ul ul ul>li>:is(a,span,button)'),
    has: [],
    like: 'sideEntry',
  },
  footerEntry: {
    name: 'Footer links',
    in: entryStates('.zv-footer .zv-list li>:is(a,span,button)'),
    has: [],
    like: 'listEntry',
  },
  footerHeading: {
    name: 'Footer headings',
    in: entryStates('.zv-footer .zv-list>ul>li>:is(a,span)'),
    has: [],
    like: 'footerEntry',
  },
  drawerEntry: {
    name: 'Drawer links',
    in: branchStates('.zv-drawer .zv-list li>:is(a,span,button)'),
    has: [],
    like: 'listEntry',
  },
  groupHeading: {
    name: 'Link group headings',
    in: entryStates('.zv-headed>li:has(>ul)>:is(a,span)'),
    has: [],
    like: 'entry',
  },
  card: {
    name: 'Page cards',
    in: entryStates('.zv .zv-cards>li>a'),
    has: ['gap'],
    like: 'entry',
  },
  foldButton: {
    name: 'Expand buttons',
    in: pressable('.zv-folds li>button[aria-label]', { open: whileOpen('.zv-folds li>button[aria-label]') }),
    has: ['minInlineSize'],
    like: 'entry',
  },
  backRow: {
    name: 'Back rows',
    in: pressable('.zv-back>button'),
    has: ['gap'],
    like: 'entry',
  },
  breadcrumbEntry: {
    name: 'Breadcrumb links',
    in: entryStates('.zv .zv-breadcrumb li>:is(a,span)'),
    has: [],
    like: 'entry',
  },
  anchorsEntry: {
    name: 'Anchor links',
    in: entryStates('.zv .zv-anchors li>a'),
    has: [],
    like: 'entry',
  },
  buttonEntry: {
    name: 'Button entries',
    in: branchStates('.zv li>.zv-button'),
    has: [],
    like: 'entry',
  },
  arrow: {
    name: 'Arrows',
    in: { normal: '.zv-bar li>button::after', open: '.zv-bar li>button[aria-expanded=true]::after' },
    has: [...SIGN, 'turn'],
  },
  loneArrow: {
    name: 'Arrows beside links',
    in: { normal: '.zv-bar a+button::after' },
    has: [],
    like: 'arrow',
  },
  flyoutArrow: {
    name: 'Flyout arrows',
    in: {
      normal: '.zv-bar .zv-drops-flyouts ul button::after',
      open: '.zv-bar .zv-drops-flyouts ul button[aria-expanded=true]::after',
    },
    has: [],
    like: 'arrow',
    medium: 'wider',
  },
  foldArrow: {
    name: 'Expand arrows',
    in: { normal: '.zv-folds li>button::after', open: '.zv-folds li>button[aria-expanded=true]::after' },
    has: [...SIGN, 'turn'],
  },
  backSign: {
    name: 'Back arrows',
    in: { normal: '.zv-back>button::before' },
    has: [...SIGN],
  },
  icon: {
    name: 'Icons',
    in: { normal: '.zv li>*>svg' },
    has: [...ICON],
    isOfEntry: true,
  },
  iconAfter: {
    name: 'Icons after a label',
    in: { normal: '.zv li>*>svg.zv-after' },
    has: [],
    like: 'icon',
    isOfEntry: true,
  },
  description: {
    name: 'Descriptions',
    in: { normal: '.zv small' },
    has: ['color', ...FONT, 'opacity'],
    isOfEntry: true,
  },
  badge: {
    name: 'Badges',
    in: { normal: '.zv-badge' },
    has: ['color', 'background', ...FONT, ...BORDER, ...PADDING, 'marginInline'],
    isOfEntry: true,
  },
  badgeBefore: {
    name: 'Badges before a label',
    in: { normal: '.zv-badge.zv-before' },
    has: [],
    like: 'badge',
    isOfEntry: true,
  },
  heading: {
    name: 'Headings',
    in: { normal: '.zv .zv-title' },
    has: ['textAlign', 'color', ...FONT, ...PADDING],
  },
  frameHeading: {
    name: 'Headings in a band',
    in: { normal: '.zv-band .zv-title' },
    has: [],
    like: 'heading',
  },
  headingLink: {
    name: 'Linked headings',
    in: pressable('.zv-title>a'),
    has: [...LINK],
  },
  text: {
    name: 'Text parts',
    in: { normal: '.zv-prose' },
    has: ['textAlign', 'color', ...FONT, ...PADDING],
  },
  textBlock: {
    name: 'Paragraphs and lists',
    in: { normal: '.zv-prose>p+*,.zv-prose>*+p' },
    has: ['marginBlock'],
  },
  textList: {
    name: 'Lists in text',
    in: { normal: '.zv .zv-prose :is(ul,ol)' },
    has: ['paddingInline'],
  },
  textLink: {
    name: 'Links in text',
    in: pressable('.zv-prose a'),
    has: [...TEXT, ...RING],
  },
  picture: {
    name: 'Pictures',
    in: { normal: ':is(.zv-picture,.zv-poster) img' },
    has: ['background', ...BORDER, 'boxShadow', 'opacity'],
  },
  roundedPicture: {
    name: 'Rounded pictures',
    in: { normal: '.zv-rounded img' },
    has: [],
    like: 'picture',
  },
  button: {
    name: 'Buttons',
    in: pressable('.zv .zv-action-link'),
    has: [...CONTROL, 'gap'],
  },
  divider: {
    name: 'Dividers',
    in: { normal: '.zv .zv-divider' },
    has: [...BORDER, ...MARGIN],
  },
  bandDivider: {
    name: 'Dividers in a band',
    in: { normal: '.zv-zone .zv-divider' },
    has: [],
    like: 'divider',
  },
  search: {
    name: 'Search forms',
    in: { normal: '.zv-search' },
    has: ['gap', ...SURFACE, ...PADDING],
  },
  bandSearch: {
    name: 'Search forms in a band',
    in: { normal: '.zv-zone .zv-search' },
    has: [],
    like: 'search',
  },
  openedSearch: {
    name: 'Opened search forms',
    in: { normal: '.zv-fold>form.zv-search' },
    has: [],
    like: 'search',
  },
  foldedSearch: {
    name: 'Search icons',
    in: pressable('.zv-fold>summary'),
    has: ['color', ...SURFACE, 'minInlineSize', 'minBlockSize', ...RING],
  },
  searchLabel: {
    name: 'Search labels',
    in: { normal: '.zv-search label' },
    has: ['color', ...FONT],
  },
  searchField: {
    name: 'Search fields',
    in: pressable('.zv-search :is(input,button)'),
    has: [...CONTROL],
  },
  searchButton: {
    name: 'Search buttons',
    in: pressable('.zv-search button'),
    has: [],
    like: 'searchField',
  },
  form: {
    name: 'Sign-up forms',
    in: { normal: '.zv-form' },
    has: ['gap', ...SURFACE, ...PADDING],
  },
  formLabel: {
    name: 'Sign-up labels',
    in: { normal: '.zv-form label' },
    has: ['color', ...FONT],
  },
  formField: {
    name: 'E-mail fields',
    in: pressable('.zv-form>input'),
    has: [...CONTROL],
  },
  consent: {
    name: 'Consent lines',
    in: { normal: '.zv-consent' },
    has: ['gap', 'color', ...FONT],
  },
  consentLabel: {
    name: 'Consent labels',
    in: { normal: '.zv-form .zv-consent label' },
    has: [],
    like: 'formLabel',
  },
  consentBox: {
    name: 'Consent boxes',
    in: pressable('.zv-consent input'),
    has: ['accentColor', 'inlineSize', 'blockSize', ...MARGIN, ...RING],
  },
  consentLink: {
    name: 'Consent links',
    in: pressable('.zv-consent a'),
    has: [...TEXT, ...RING],
  },
  formButton: {
    name: 'Sign-up buttons',
    in: pressable('.zv-form button'),
    has: [...CONTROL],
  },
  cards: {
    name: 'Page card grids',
    in: { normal: '.zv .zv-cards' },
    has: ['gap'],
  },
  cardPicture: {
    name: 'Card pictures',
    in: { normal: '.zv-cards img' },
    has: ['background', ...BORDER],
  },
  cardTitle: {
    name: 'Card titles',
    in: { normal: '.zv-cards b' },
    has: ['color', ...FONT],
  },
  cardText: {
    name: 'Card text',
    in: { normal: '.zv-cards small' },
    has: [],
    like: 'description',
  },
  video: {
    name: 'Videos',
    in: pressable('.zv-video>:is(a,span)'),
    has: [...LINK],
  },
  poster: {
    name: 'Preview images of videos',
    in: { normal: '.zv-poster' },
    has: ['background', ...BORDER, 'minBlockSize', 'marginBlock'],
  },
  playMark: {
    name: 'Play buttons',
    in: { normal: '.zv-poster::after' },
    has: ['background', 'backgroundImage', 'borderRadius', 'inlineSize', 'blockSize'],
  },
  tabs: {
    name: 'Tabs',
    in: { normal: '.zv-tabs' },
    has: ['gap'],
  },
  tabLabel: {
    name: 'Tab labels',
    in: {
      normal: '.zv-tabs>label',
      open: '.zv-tabs>input:checked+label',
      hover: '.zv-tabs>label:hover',
      focus: '.zv-tabs>input:focus-visible+label',
    },
    has: [...TEXT, ...SURFACE, ...PADDING, ...RING],
  },
  tab: {
    name: 'Tab panels',
    in: { normal: '.zv-tab' },
    has: [...SURFACE, ...PADDING, 'gap'],
  },
  pictureLink: {
    name: 'Linked pictures',
    in: pressable('.zv-picture>a'),
    has: ['borderRadius', ...RING],
  },
  closeButton: {
    name: 'Close buttons',
    in: pressable('.zv-close'),
    has: ['color', ...SURFACE, 'minInlineSize', 'minBlockSize', ...RING],
  },
  sectionButton: {
    name: 'Section buttons',
    in: pressable('.zv-section', { open: '.zv-section[aria-expanded=true]' }),
    has: [...CONTROL],
  },
  sectionArrow: {
    name: 'Section arrows',
    in: { normal: '.zv-section::after' },
    has: [...SIGN, 'turn'],
  },
  skip: {
    name: 'Skip links',
    in: { normal: '.zv-skip', focus: '.zv-skip:focus' },
    has: [...TEXT, ...SURFACE, ...PADDING, ...RING],
    like: 'site',
  },
  logo: {
    name: 'Logos',
    in: pressable('.zv-logo a'),
    has: [...CONTROL, 'gap'],
  },
  logoPicture: {
    name: 'Logo pictures',
    in: { normal: '.zv-logo img' },
    has: ['blockSize'],
  },
  face: {
    name: 'Icon links',
    in: pressable('.zv-face'),
    has: [...CONTROL, 'gap', 'minInlineSize'],
  },
  contactLink: {
    name: 'Contact links',
    in: pressable('.zv-contact .zv-face'),
    has: [],
    like: 'face',
  },
  menuButton: {
    name: 'Menu buttons',
    in: pressable('.zv-menu-button .zv-face'),
    has: [],
    like: 'face',
  },
  bandButton: {
    name: 'Band buttons',
    in: pressable('.zv-band .zv-action-link'),
    has: [],
    like: 'button',
  },
  variant: {
    name: 'Variants',
    in: branchStates('.zv [class*=zv-as-]'),
    has: [...CONTROL],
    isOnTop: true,
  },
  glyph: {
    name: 'Icons beside text',
    in: { normal: '.zv-glyph' },
    has: ['inlineSize', 'blockSize'],
  },
  count: {
    name: 'Basket counts',
    in: { normal: '.zv-count' },
    has: ['color', ...FONT, ...SURFACE, ...PADDING, 'minInlineSize'],
  },
  contact: {
    name: 'Contact lines',
    in: { normal: '.zv-contact' },
    has: ['gap'],
  },
  marks: {
    name: 'Mark rows',
    in: { normal: '.zv-marks' },
    has: ['gap'],
  },
  mark: {
    name: 'Social and payment marks',
    in: pressable('.zv-marks>*'),
    has: ['color', ...SURFACE, 'minInlineSize', 'minBlockSize', ...RING],
  },
  filledMark: {
    name: 'Filled marks',
    in: pressable('.zv-filled>*'),
    has: [],
    like: 'mark',
  },
  markPicture: {
    name: 'Mark icons',
    in: { normal: '.zv-marks svg' },
    has: ['inlineSize', 'blockSize'],
  },
  copyright: {
    name: 'Copyright lines',
    in: { normal: '.zv-copyright' },
    has: ['textAlign', 'color', ...FONT],
  },
  breadcrumb: {
    name: 'Breadcrumbs',
    in: { normal: '.zv-breadcrumb' },
    has: ['color', ...FONT, 'marginInline'],
  },
  breadcrumbSign: {
    name: 'Breadcrumb separators',
    in: { normal: '.zv-breadcrumb li+li::before' },
    has: [...SIGN],
  },
  anchors: {
    name: 'Anchor lists',
    in: { normal: '.zv-anchors' },
    has: ['color', ...FONT],
  },
  anchorsTitle: {
    name: 'Anchor list headings',
    in: { normal: '.zv-anchors-title' },
    has: ['color', ...FONT, ...PADDING, ...MARGIN],
  },
} as const satisfies Record<string, Thing>;
/** The name of a thing that has looks. */
export type ThingName = keyof typeof anatomy;
/** All things, in their order. */
export const thingNames = Object.keys(anatomy) as ThingName[];

/** A thing, by its name. */
export function thingOf(name: ThingName): Thing {
  return anatomy[name];
}

/**
 * A thing and all that it is like, the one that wins first. Of two, that is the later one in the anatomy.
 */
export function lineOf(name: ThingName): ThingName[] {
  const line: ThingName[] = [];
  for (let next: string | undefined = name; next !== undefined; next = thingOf(next as ThingName).like)
    line.push(next as ThingName);
  return line;
}

/** What can be said of a thing: what is said of it alone, and of all that it is like. */
export function propertiesOf(name: ThingName): Property[] {
  return [...new Set(lineOf(name).flatMap((one) => thingOf(one).has))];
}
