import { escapeHtml } from '../base/escape.ts';
import { actionOf, opening, textOf } from './html.ts';
import { sendable, type PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';
import { compileStyles } from '../style/compileStyles.ts';

const MAGNIFIER =
  '<svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true"><path d="M10 4a6 6 0 1 0 3.7 10.7l5.3 5.3 1.4-1.4-5.3-5.3A6 6 0 0 0 10 4Zm0 2a4 4 0 1 1 0 8 4 4 0 0 1 0-8Z" fill="currentColor"/></svg>';

const rules: readonly Rule[] = [
  rule('.zv-search', 'display:grid;grid-template-columns:minmax(0,1fr) auto'),
  rule('.zv-search label', 'grid-column:1/-1'),
  rule('.zv-search :is(input,button)', 'box-sizing:border-box;min-inline-size:0'),
  rule('.zv-search button', 'cursor:pointer'),
  rule('.zv-search svg', 'display:block'),
  rule('.zv-bar .zv-search button::after', 'content:none'),
  rule('.zv-search button', 'border-color:ButtonText', { medium: 'forcedColors' }),
  ...compileStyles(['search', 'searchLabel', 'searchField', 'searchButton']),
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
