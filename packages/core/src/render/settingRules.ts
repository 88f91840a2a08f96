import type { ResolvedItem, ResolvedMenu } from '../resolve/resolved.ts';
import { deviceClasses } from '../schema/deviceClass.ts';
import { settingNames } from '../schema/settings.ts';
import { rule, type Rule } from '../style/rule.ts';
import { preorder } from '../walk/preorder.ts';
import { buttonRules } from '../parts/buttonRules.ts';
import { entryFaceRules } from '../parts/entryFace.ts';
import { UNSEEN } from '../style/unseen.ts';

/** What the settings of items need of the style sheet; empty when no item has any. O(items). */
export function settingRules(menus: readonly ResolvedMenu[]): Rule[] {
  const items = menus.flatMap((menu) =>
    [...preorder<ResolvedItem>(menu.items, ({ children }) => children)].map(({ node }) => node),
  );
  if (!items.some((item) => settingNames.some((name) => name !== 'dropdown' && name in item))) return [];
  return [...entryFaceRules, ...buttonRules(items.map(({ look }) => look)), ...hiding];
}

/** Hidden labels, arrows and items, for all or some device classes. */
export const hiding: readonly Rule[] = [
  rule('.zv-bar .zv-no-arrow::after', 'content:none'),
  rule(`.zv-visually-hidden,${quietOn('')}`, UNSEEN, { isLate: true }),
  ...deviceClasses.flatMap((device) => [
    rule(
      `.zv .zv-hidden-${device},.zv .zv-branch-hidden-${device}>:is(ul,.zv-panel,a~button)`,
      'display:none',
      { medium: device, weight: 1 },
    ),
    rule(quietOn(`-${device}`), UNSEEN, { medium: device, isLate: true }),
  ]),
];

/**
 * A button without a face comes forth when the keyboard gets to it: its branch stays within everybody's
 * reach.
 */
function quietOn(device: string): string {
  return `.zv li>.zv-arrow-hidden${device}:not(:focus-visible)`;
}
