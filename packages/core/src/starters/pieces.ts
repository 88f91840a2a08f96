import type { Look } from './starter.ts';

/* What starters say of several things. */

export const RING: Look = { outline: '2px solid @accent', outlineOffset: '-2px' };
export const OUTER_RING: Look = { outline: '2px solid @accent', outlineOffset: '2px' };
export const BOXED: Look = {
  background: '@paper',
  borderBlockWidth: '1px',
  borderInlineWidth: '1px',
  borderColor: '@edge',
  borderRadius: '@radius',
  boxShadow: '0 .75rem 1.75rem -.75rem #00000066',
};
export const SIGN: Look = { arrowShape: 'chevron', inlineSize: '.4rem', blockSize: '.4rem' };
export const FILLED: Look = { background: '@button', color: '@button-ink' };
export const FILLED_HOVER: Look = { background: '@button-hover' };
/** Over the content, the accent is white: a button that has it as its colour could not be read there. */
export const FILLED_OVER: Look = { background: '#000000b3' };
/** Inside what is filled, a ring in the accent could not be told from it. */
export const FILLED_RING: Look = { outline: '2px solid @button-ink', outlineOffset: '-4px' };
export const FIELD: Look = {
  minBlockSize: '2.75rem',
  borderBlockWidth: '1px',
  borderInlineWidth: '1px',
  borderRadius: '@radius',
  background: '@paper',
};
export const OVER: Look = { background: 'none', ink: '#ffffff', tint: '#ffffff33', accent: '#ffffff' };
