import { escapeHtml } from '../base/escape.ts';
import { opening } from './html.ts';
import { holder, type PartHandler } from './partHandler.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-tabs', 'position:relative;display:flex;flex-wrap:wrap'),
  rule('.zv-tabs>input', 'position:absolute;opacity:0;pointer-events:none'),
  rule('.zv-tabs>label', 'cursor:pointer'),
  rule(
    '.zv-tab',
    'display:none;flex:1 0 100%;flex-direction:column;min-inline-size:0;margin-block-start:-1px',
  ),
  looks('tabs', 'tabLabel', 'tab'),
];

/**
 * Radio buttons and their labels: chosen by arrow keys and pointer, and by the style sheet alone, without any
 * script.
 */
export const tabs: PartHandler<'tabs'> = {
  resolve: holder,
  html(part, within, classes) {
    const name = `${within.prefix}-${part.id}`;
    const labels = (part.parts ?? []).map(
      ({ id, text = '' }, at) =>
        `<input type="radio" name="${name}" id="${name}-${id}"${at === 0 ? ' checked' : ''}><label for="${name}-${id}">${escapeHtml(text)}</label>`,
    );
    const start = opening('div', part, within, ` zv-tabs${classes}`);
    return [`<${start}>${labels.join('')}`, ...within.inside(part), '</div>'];
  },
  css(parts) {
    const most = Math.max(0, ...parts.map((part) => part.parts?.length ?? 0));
    const pairs = Array.from(
      { length: most },
      (_, at) => `.zv-tabs>input:nth-of-type(${at + 1}):checked~.zv-tab:nth-of-type(${at + 1})`,
    );
    return most === 0 ? [] : [...rules, rule(pairs.join(','), 'display:flex')];
  },
};
