import { escapeHtml } from '../base/escape.ts';
import { actionOf, imageOf, opening, roundedClass, textOf } from './html.ts';
import { sendable, type PartHandler } from './partHandler.ts';
import { pictureRules } from './pictureRules.ts';
import { lineOf, resolveBody } from './prose.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-form', 'display:grid'),
  rule('.zv-form>input', 'box-sizing:border-box;inline-size:100%'),
  rule('.zv-consent', 'display:flex;align-items:start'),
  rule('.zv-consent input', 'flex:none'),
  rule('.zv-form button', 'justify-self:start;cursor:pointer'),
  rule('.zv-bar .zv-form button::after', 'content:none'),
  rule('.zv-form button', 'border-color:ButtonText', { medium: 'forcedColors', isLate: true }),
  looks(
    'form',
    'formLabel',
    'formField',
    'consent',
    'consentLabel',
    'consentBox',
    'consentLink',
    'formButton',
  ),
];

export const form: PartHandler<'form'> = {
  resolve(part, within) {
    const sent = sendable(part, within);
    if (part.body === undefined) return sent;
    return { ...sent, part: { ...sent.part, body: resolveBody(within.document, part.body) } };
  },
  html(part, within, classes) {
    const { label = '', parameter = 'email', body, needsConsent, picture } = part;
    const id = `${within.prefix}-${part.id}`;
    const image =
      picture === undefined
        ? ''
        : `<div class="zv-picture${roundedClass(part)}">${imageOf(picture, '', within)}</div>`;
    const line = body === undefined ? '' : lineOf(body);
    const ticked = `<input type="checkbox" id="${id}-consent" name="consent" value="yes" required><label for="${id}-consent">${line}</label>`;
    const consent =
      line === ''
        ? ''
        : `<div class="zv-consent">${needsConsent === true ? ticked : `<span>${line}</span>`}</div>`;
    return [
      `<${opening('form', part, within, ` zv-form${classes}`)} method="post"${actionOf(part)}>${image}<label for="${id}">${escapeHtml(label)}</label><input id="${id}" type="email" name="${escapeHtml(parameter)}" autocomplete="email" required>${consent}<button type="submit">${textOf(part)}</button></form>`,
    ];
  },
  css: (parts) => [...(parts.some(({ picture }) => picture !== undefined) ? pictureRules : []), ...rules],
};
