import { escapeHtml } from '../base/escape.ts';
import { actionOf, opening, textOf } from './html.ts';
import { sendable, type PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';

const MAGNIFIER =
  '<svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true"><path d="M10 4a6 6 0 1 0 3.7 10.7l5.3 5.3 1.4-1.4-5.3-5.3A6 6 0 0 0 10 4Zm0 2a4 4 0 1 1 0 8 4 4 0 0 1 0-8Z" fill="currentColor"/></svg>';

const rules: readonly Rule[] = [
  rule(
    '.zv-search',
    'display:grid;grid-template-columns:minmax(0,1fr) auto;gap:.25rem .5rem;padding:.25rem .5rem',
  ),
  rule('.zv-search label', 'grid-column:1/-1;font-weight:600'),
  rule(
    '.zv-search :is(input,button)',
    'box-sizing:border-box;min-inline-size:0;min-block-size:2.5rem;padding:.25rem .75rem;border:1px solid currentColor;border-radius:var(--_radius);background:var(--_paper);color:inherit;font:inherit',
  ),
  rule(
    '.zv-search button',
    'border-color:#0000;background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);cursor:pointer',
  ),
  rule('.zv-search svg', 'display:block'),
  rule('.zv-bar .zv-search button::after', 'content:none'),
  rule('.zv-search button', 'border-color:ButtonText', { medium: 'forcedColors' }),
];

export const search: PartHandler<'search'> = {
  resolve: sendable,
  html(part, within, classes) {
    const { parameter = 'q', extraParameter } = part;
    const id = `${within.prefix}-${part.id}`;
    const hidden =
      extraParameter === undefined
        ? ''
        : `<input type="hidden" name="${escapeHtml(extraParameter.name)}" value="${escapeHtml(extraParameter.value)}">`;
    const form = opening('form', part, within, ` zv-search${classes}`);
    return [
      `<${form} role="search"${actionOf(part)}><label for="${id}">${textOf(part)}</label><input id="${id}" type="search" name="${escapeHtml(parameter)}">${hidden}<button type="submit" aria-label="${textOf(part)}">${MAGNIFIER}</button></form>`,
    ];
  },
  css: () => rules,
};
