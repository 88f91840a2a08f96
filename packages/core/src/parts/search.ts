import { escapeHtml } from '../base/escape.ts';
import { actionOf, opening, textOf } from './html.ts';
import { sendable, type PartHandler } from './partHandler.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const MAGNIFIER =
  'M10 4a6 6 0 1 0 3.7 10.7l5.3 5.3 1.4-1.4-5.3-5.3A6 6 0 0 0 10 4Zm0 2a4 4 0 1 1 0 8 4 4 0 0 1 0-8Z';
const icon = (path: string): string =>
  `<svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true"><path d="${escapeHtml(path)}" fill="currentColor"/></svg>`;

const rules: readonly Rule[] = [
  rule('.zv-search', 'display:grid;grid-template-columns:minmax(0,1fr) auto'),
  rule('.zv-search label', 'grid-column:1/-1'),
  rule('.zv-search :is(input,button)', 'box-sizing:border-box;min-inline-size:0'),
  rule('.zv-search button', 'cursor:pointer'),
  rule('.zv-search svg', 'display:block'),
  rule('.zv-bar .zv-search button::after', 'content:none'),
  rule('.zv-search button', 'border-color:ButtonText', { medium: 'forcedColors', isLate: true }),
  looks('search', 'searchLabel', 'searchField', 'searchButton'),
];

/** An icon that opens the field below it: it needs no script, and lies over what comes next. */
const folding: readonly Rule[] = [
  rule('.zv-fold', 'position:relative'),
  rule('.zv-fold>summary', 'display:grid;place-items:center;cursor:pointer;list-style:none'),
  rule('.zv-fold>summary::-webkit-details-marker', 'display:none'),
  rule(
    '.zv-fold>form',
    'position:absolute;z-index:10;inset-block-start:100%;inset-inline-start:0;box-sizing:border-box;inline-size:20rem;grid-template-columns:minmax(0,1fr) auto',
    { weight: 1 },
  ),
  rule('.zv-zone-end .zv-fold>form', 'inset-inline:auto 0', { weight: 1 }),
  // On a small screen the field is as wide as the band: it could not stand beside its icon.
  rule('.zv-fold', 'position:static', { medium: 'narrow', weight: 1 }),
  rule('.zv-band-content:has(.zv-fold)', 'position:relative', { medium: 'narrow' }),
  rule('.zv-fold>form', 'inset-inline:0;inline-size:auto', { medium: 'narrow', weight: 2 }),
  looks('foldedSearch', 'openedSearch'),
];

export const search: PartHandler<'search'> = {
  resolve: sendable,
  html(part, within, classes) {
    const { parameter = 'q', extraParameter, isFolded, glyph } = part;
    const id = `${within.prefix}-${part.id}`;
    const hidden =
      extraParameter === undefined
        ? ''
        : `<input type="hidden" name="${escapeHtml(extraParameter.name)}" value="${escapeHtml(extraParameter.value)}">`;
    const sign = icon(glyph?.path ?? MAGNIFIER);
    const name = textOf(part);
    const form = (start: string): string =>
      `<${start} role="search"${actionOf(part)}><label for="${id}">${name}</label><input id="${id}" type="search" name="${escapeHtml(parameter)}">${hidden}<button type="submit" aria-label="${name}">${sign}</button></form>`;
    if (isFolded !== true) return [form(opening('form', part, within, ` zv-search${classes}`))];
    const fold = opening('details', part, within, ` zv-fold${classes}`);
    return [
      `<${fold}><summary aria-label="${name}">${sign}</summary>${form('form class="zv-search"')}</details>`,
    ];
  },
  css: (parts) => (parts.some(({ isFolded }) => isFolded === true) ? [...rules, ...folding] : rules),
};
