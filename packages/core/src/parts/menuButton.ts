import { escapeHtml } from '../base/escape.ts';
import { menuSigns, type MenuSign } from '../schema/parts/menuButton.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { faceClasses, faceOfPart, faceRules } from './face.ts';
import { element, imageOf } from './html.ts';
import { shown, type PartHandler } from './partHandler.ts';

/** The icons of menu buttons, of our own, in a square of 24 by 24. */
export const signPaths: Readonly<Record<MenuSign, string>> = {
  bars: 'M3 5h18v2H3Zm0 6h18v2H3Zm0 6h18v2H3Z',
  'two-bars': 'M3 8h18v2H3Zm0 6h18v2H3Z',
  aligned: 'M3 5h18v2H3Zm0 6h12v2H3Zm0 6h15v2H3Z',
  grid: 'M4 4h7v7H4Zm9 0h7v7h-7ZM4 13h7v7H4Zm9 0h7v7h-7Z',
  dots: 'M5 10a2 2 0 1 1 0 4 2 2 0 0 1 0-4Zm7 0a2 2 0 1 1 0 4 2 2 0 0 1 0-4Zm7 0a2 2 0 1 1 0 4 2 2 0 0 1 0-4Z',
  compass:
    'M12 2a10 10 0 1 1 0 20 10 10 0 0 1 0-20Zm0 2a8 8 0 1 0 0 16 8 8 0 0 0 0-16Zm4 4-2.5 5.500L8 16l2.500-5.500Z',
};

const rules: readonly Rule[] = [
  ...faceRules,
  rule('.zv-menu-button', 'display:none', { medium: 'noDrawer', weight: 1 }),
  // The script puts a button in the place of the link.
  rule(
    '.zv-menu-button .zv-face',
    'box-sizing:border-box;justify-content:center;cursor:pointer;text-align:center',
  ),
  rule('.zv-menu-button img', 'display:block;inline-size:1.5rem;block-size:1.5rem;object-fit:contain'),
  looks('menuButton'),
];

/** Without script, a link to the drawer, which shows it. */
export const menuButton: PartHandler<'menuButton'> = {
  resolve: (_, { base }) => shown(base),
  html(part, within, classes) {
    const { sign = menuSigns[0], picture } = part;
    const text = part.text ?? within.words.menu;
    const face =
      picture === undefined
        ? faceOfPart({ ...part, text }, signPaths[sign])
        : `${imageOf(picture, '', within).replace(' loading="lazy"', '')}<span class="zv-face-text">${escapeHtml(text)}</span>`;
    return element(
      part,
      within,
      ` zv-menu-button${faceClasses(part)}${classes}`,
      `<a class="zv-face" href="#zv-drawer">${face}</a>`,
    );
  },
  css: () => rules,
};
