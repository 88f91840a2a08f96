import { escapeHtml } from '../base/escape.ts';
import { opening } from './html.ts';
import { holder, type PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-tabs', 'position:relative;display:flex;flex-wrap:wrap;gap:0 .25rem'),
  rule('.zv-tabs>input', 'position:absolute;opacity:0;pointer-events:none'),
  rule(
    '.zv-tabs>label',
    'padding:.5rem .75rem;border-block-end:2px solid #0000;border-radius:var(--_radius) var(--_radius) 0 0;cursor:pointer',
  ),
  rule('.zv-tabs>label:hover', 'background:var(--_tint)'),
  rule('.zv-tabs>input:checked+label', 'border-color:var(--_accent);font-weight:600'),
  rule(
    '.zv-tab',
    'display:none;flex:1 0 100%;flex-direction:column;gap:.75rem;min-inline-size:0;padding-block-start:.75rem;border-block-start:1px solid var(--_edge);margin-block-start:-1px',
  ),
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
