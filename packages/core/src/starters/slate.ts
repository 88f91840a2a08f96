import { moss } from './moss.ts';
import type { Look, StarterLooks } from './starter.ts';
import { withLooks } from './withLooks.ts';

const CAPITALS: Look = { textTransform: 'uppercase', letterSpacing: '.05em' };
const SLAB: Look = {
  boxShadow: '0 0 0 2px @edge',
  borderBlockWidth: '4px 0',
  borderInlineWidth: '0',
  borderColor: '@accent',
  borderRadius: '0',
};
/** A bar along the edge of what one is at. */
const bar = (x: string, y: string): Look => ({
  boxShadow: `inset ${x} ${y} 0 @accent`,
  textDecoration: 'none',
});

/** Square and firm. */
export const slate: StarterLooks = withLooks(moss, {
  site: { normal: { fontSize: '.9375rem', fontWeight: '600', lineHeight: '1.4' } },
  header: { normal: { borderBlockWidth: '6px 2px', borderColor: '@ink' } },
  footer: { normal: { borderBlockWidth: '6px 0', borderColor: '@ink' } },
  band: { normal: { paddingBlock: '0' } },
  upperBand: { normal: { fontSize: '.8125rem', paddingBlock: '0' } },
  footerBand: { normal: { paddingBlock: '1.25rem' } },
  dropdown: { normal: { ...SLAB, paddingBlock: '0', paddingInline: '0' } },
  flyout: { normal: { ...SLAB, paddingBlock: '0', paddingInline: '0' } },
  panel: { normal: { ...SLAB, panelInset: '1.5rem', gap: '1.25rem 2rem' } },
  entry: {
    within: bar('4px', '0'),
    current: { ...bar('4px', '0'), background: '@tint' },
    hover: { background: '@tint' },
    focus: { outline: '3px solid @accent', outlineOffset: '-3px' },
  },
  barEntry: {
    normal: { ...CAPITALS, minBlockSize: '3.5rem' },
    within: bar('0', '-4px'),
    current: { ...bar('0', '-4px'), background: 'none' },
    open: { background: '@tint' },
  },
  arrowButton: {
    normal: { paddingInline: '.5rem .9rem', marginInline: '-.9rem 0', textTransform: 'none' },
  },
  panelEntry: { normal: { paddingBlock: '.375rem', fontWeight: '500' } },
  panelHeading: {
    normal: { ...CAPITALS, borderBlockWidth: '0 2px', borderColor: '@ink', fontWeight: '700' },
  },
  listEntry: { normal: { fontWeight: '500' }, hover: { textDecoration: 'none' } },
  footerHeading: { normal: { ...CAPITALS, fontWeight: '700' } },
  groupHeading: { normal: { ...CAPITALS, fontWeight: '700' } },
  breadcrumbEntry: { within: { boxShadow: 'none' }, current: { boxShadow: 'none', background: 'none' } },
  buttonEntry: {
    normal: { ...CAPITALS, paddingInline: '1.5rem' },
    within: { boxShadow: 'none' },
    current: { boxShadow: 'none', background: '@button', textDecoration: 'underline .16em' },
    open: { background: '@button' },
  },
  foldList: { normal: { appear: 'none' } },
  arrow: {
    normal: { turn: 'none', arrowShape: 'triangle', inlineSize: '.45rem', blockSize: '.45rem' },
  },
  foldArrow: { normal: { arrowShape: 'bold' } },
  badge: { normal: { borderRadius: '0', textTransform: 'uppercase', paddingInline: '.4em' } },
  heading: { normal: { ...CAPITALS, fontWeight: '800' } },
  button: { normal: { ...CAPITALS, borderRadius: '0', fontWeight: '700', paddingInline: '1.5rem' } },
  formButton: { normal: { ...CAPITALS, fontWeight: '700' } },
  formField: { normal: { borderBlockWidth: '2px', borderInlineWidth: '2px', borderColor: '@ink' } },
  searchField: { normal: { borderBlockWidth: '2px', borderInlineWidth: '2px', borderColor: '@ink' } },
  searchButton: { normal: { borderColor: '@ink' } },
  tabLabel: {
    normal: { ...CAPITALS, borderBlockWidth: '4px 0' },
    open: { borderColor: '@accent', background: '@tint', fontWeight: '700' },
  },
  tab: { normal: { borderBlockWidth: '2px 0', borderColor: '@ink' } },
  mark: { normal: { borderBlockWidth: '2px', borderInlineWidth: '2px', borderColor: '@ink' } },
});
