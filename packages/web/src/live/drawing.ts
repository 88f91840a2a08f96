/**
 * What draws a menu, and says how things look, for the live header and the rows below it. It is loaded by itself: the
 * tree can be worked in before.
 */
export { entryStyle, renderMenu, renderStyles, resolveMenu, sheetOf, styledIn } from '@zorvik/core';
