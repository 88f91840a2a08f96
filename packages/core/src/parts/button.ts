import { element, linkTo, textOf } from './html.ts';
import { linked, type PartHandler } from './partHandler.ts';
import { rule, type Rule } from '../style/rule.ts';

const rules: readonly Rule[] = [
  rule(
    '.zv .zv-action-link',
    'display:inline-flex;align-items:center;min-height:2.75rem;margin-inline:.5rem;padding:.375rem 1.1rem;border-radius:var(--_radius);background:var(--zv-button,var(--_accent));color:var(--zv-button-ink,#fff);font-weight:600;text-decoration:none',
  ),
  rule('.zv a.zv-action-link:hover', 'background:var(--zv-button-hover,var(--_ink))'),
  rule('.zv .zv-action-link', 'border:1px solid ButtonText', { medium: 'forcedColors' }),
];

export const button: PartHandler<'button'> = {
  resolve: linked,
  html: (part, within, classes) =>
    element(part, within, ` zv-action${classes}`, linkTo(part, textOf(part), ' class="zv-action-link"')),
  css: () => rules,
};
