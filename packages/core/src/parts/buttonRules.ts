import { PLAIN_BUTTON } from '../model/variants.ts';
import { looks, rule, type Rule } from '../style/rule.ts';

/** What links in lists need that look like buttons or have a variant. `some`: the looks that they have. */
export function buttonRules(some: readonly (string | undefined)[]): Rule[] {
  if (some.every((one) => one === undefined)) return [];
  return [
    rule('.zv li>.zv-button', 'border:1px solid ButtonText', { medium: 'forcedColors', isLate: true }),
    looks('buttonEntry'),
    ...variantRules(some),
  ];
}

/** The looks of variants, where a link has one. */
export function variantRules(some: readonly (string | undefined)[]): Rule[] {
  return some.some((one) => one !== undefined && one !== PLAIN_BUTTON) ? [looks('variant')] : [];
}
