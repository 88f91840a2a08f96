import { escapeHtml } from '../base/escape.ts';
import { actionOf, imageOf, opening, roundedClass, textOf } from './html.ts';
import { sendable, type PartHandler } from './partHandler.ts';
import { pictureRules } from './pictureRules.ts';
import { lineOf, resolveBody } from './prose.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule('.zv-form', 'display:grid;gap:.5rem;padding:.25rem .5rem'),
  rule('.zv-form label', 'font-weight:600'),
  rule(
    '.zv-form>input',
    'box-sizing:border-box;inline-size:100%;min-block-size:2.75rem;padding:.25rem .75rem;border:1px solid currentColor;border-radius:var(--_radius);background:var(--_paper);color:inherit;font:inherit',
  ),
  rule('.zv-consent', 'display:flex;gap:.5rem;align-items:start;font-size:.85em;font-weight:400'),
  rule('.zv-form .zv-consent label', 'font-weight:400'),
  rule(
    '.zv-consent input',
    'flex:none;inline-size:1.25rem;block-size:1.25rem;margin:0;accent-color:var(--_accent)',
  ),
  rule('.zv-consent a', 'color:var(--_accent)'),
  rule(
    '.zv-form button',
    'justify-self:start;min-block-size:2.75rem;padding:.375rem 1.1rem;border:1px solid #0000;border-radius:var(--_radius);background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);font:inherit;font-weight:600;cursor:pointer',
  ),
  rule('.zv-bar .zv-form button::after', 'content:none'),
  rule('.zv-form button:hover', 'background:var(--zv-button-hover,var(--_ink))'),
  rule('.zv-form button', 'border-color:ButtonText', { medium: 'forcedColors' }),
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
