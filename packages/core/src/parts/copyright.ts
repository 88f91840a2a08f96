import { escapeHtml } from '../base/escape.ts';
import { looks, rule, type Rule } from '../style/rule.ts';
import { opening } from './html.ts';
import { shown, slot, type PartHandler } from './partHandler.ts';

const rules: readonly Rule[] = [rule('.zv-copyright', 'margin:0'), looks('copyright')];

export const copyright: PartHandler<'copyright'> = {
  resolve: (part, { base, document: { site } }) =>
    shown({ ...base, text: [site.holder ?? site.name, part.text ?? ''].join(' ').trim() }),
  html: (part, within, classes) => [
    `<${opening('p', part, within, ` zv-copyright${classes}`)}>© ${slot('year')} ${escapeHtml(part.text ?? '')}</p>`,
  ],
  css: () => rules,
};
